import { use, useMemo } from 'react'
import type { Round } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { inSentence } from '@/text/say.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { harmfulStops } from '../../entities/round/harmfulStops.ts'
import { StopsMap } from '../../entities/round/StopsMap.tsx'
import { ShareChart } from '../../ui/charts/ShareChart.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const SHOWN = 4

let book: Promise<unknown> | undefined
/** The book, asked for once; figures speak of plants. */
const bookRead = () =>
  (book ??= useFlora
    .getState()
    .load()
    .catch((error: unknown) => {
      // Asked again when the round is opened again.
      book = undefined
      throw error
    }))

/** What a round that was begun says so far: its commonest plants, what harms, and where that was met. */
export function RoundFigures({ round }: { round: Round }) {
  use(bookRead())
  const byId = useFlora((s) => s.byId)
  const { composition } = useMemo(() => figuresOf(round, byId), [round, byId])
  const harmfulAt = useMemo(() => harmfulStops(round, byId), [round, byId])
  const isHarmful = (taxon: string) => byId.get(taxon)?.role === 'toxic'
  const taxa = composition?.taxa ?? []
  const shown = [...taxa.slice(0, SHOWN), ...taxa.slice(SHOWN).filter((t) => isHarmful(t.taxon))]
  const rows = shown.map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: isHarmful(t.taxon),
    share: t,
  }))
  const names = rows.filter((r) => r.harmful).map((r) => inSentence(r.name))
  return (
    <>
      {rows.length > 0 ? <ShareChart rows={rows} label={say('The commonest plants so far, and what harms')} /> : null}
      {names.length > 0 ? (
        <p className="font-semibold text-harm">
          {say('Met: {{names}}, at {{count}} stops (ringed).', { names: names.join(', '), count: harmfulAt.size })}
        </p>
      ) : null}
      <StopsMap round={round} harmfulAt={harmfulAt} className="mt-3 w-full max-w-[26rem]" />
    </>
  )
}
