import { useMemo, useState, type ReactNode } from 'react'
import type { Paddock, Round, RoundSummary } from '@/core/records/round.ts'
import { harmfulFinds } from '@/core/survey/harmfulFinds.ts'
import { whereItStands } from '@/core/survey/whereItStands.ts'
import { inSentence } from '@/text/say.ts'
import { roundsOf } from '../../data/readRound.ts'
import { useRead } from '../../data/reads.ts'
import { dayWords } from '../../language/dates.ts'
import { ZoomMap } from '../../parts/ZoomMap.tsx'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const counted = (r: RoundSummary) => r.stopsDone > 0

/** The counts of a paddock with all that was counted, the latest first. */
export const useCountsOf = (paddockId: string) =>
  useRead(useMemo(() => roundsOf(paddockId, 'finds', counted), [paddockId]))

interface LayerProps {
  shown: boolean
  onShow: (shown: boolean) => void
  harmful?: boolean
  children: ReactNode
}

const Layer = ({ shown, onShow, harmful = false, children }: LayerProps) => (
  <li>
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        checked={shown}
        onChange={(e) => onShow(e.target.checked)}
        className={`size-5 shrink-0 ${harmful ? 'accent-harm' : 'accent-culm'}`}
      />
      <span>{children}</span>
    </label>
  </li>
)

/** Where harmful plants were met, in words by year, and the years that are shown. */
function useFinds(rounds: readonly Round[]) {
  const byId = useFlora((s) => s.byId)
  const finds = useMemo(() => harmfulFinds(rounds, byId), [rounds, byId])
  const name = (id: string) => inSentence((byId.get(id)?.commonName ?? id).replace(/ \(.*\)/, ''))
  const years = [...new Set(finds.map((f) => f.year))].map((year) => {
    const here = finds.filter((f) => f.year === year)
    const names = [...new Set(here.flatMap((f) => f.plants))].map(name).join(', ')
    return {
      year,
      words: say('{{year}}: {{names}} at {{count}} stops', { year: String(year), names, count: here.length }),
    }
  })
  return { finds, years, name }
}

/** Everything that is known of a paddock by its place, on one map whose layers can be taken off. */
export function PaddockLayers({ place }: { place: Pick<Paddock, 'id' | 'boundary' | 'strata'> }) {
  const { data: rounds, ...read } = useCountsOf(place.id)
  const [off, setOff] = useState<ReadonlySet<string>>(new Set(['walk', 'bare']))
  const { finds, years, name } = useFinds(rounds ?? [])
  const latest = rounds?.[0]
  const bare = useMemo(() => latest && whereItStands(latest, 'bare')?.byStop, [latest])
  if (!rounds) return <ReadProblem of={say('The counts of this paddock')} {...read} />
  if (!latest || !place.boundary) return null
  const shows = (layer: string) => !off.has(layer)
  const show = (layer: string) => (shown: boolean) => {
    const next = new Set(off)
    if (shown) next.delete(layer)
    else next.add(layer)
    setOff(next)
  }
  const shownYears = years.filter((y) => shows(String(y.year)))
  const walked = shows('walk') || shows('bare')
  const day = dayWords(latest.plannedOn)
  return (
    <section aria-labelledby="finds" className="mt-5">
      <h3 id="finds" className="text-lg">
        {say('On one map')}
      </h3>
      <ZoomMap
        boundary={place.boundary}
        parts={place.strata}
        line={shows('walk') ? (latest.route?.line ?? []) : []}
        stops={walked ? latest.stops : []}
        {...(shows('bare') && bare ? { sharesAt: bare } : {})}
        marks={finds
          .filter((f) => shows(String(f.year)))
          .map((f) => ({
            id: `${f.round} ${f.seq}`,
            at: f.position,
            says: `${f.year}: ${f.plants.map(name).join(', ')}`,
            latest: f.year === years[0]?.year,
          }))}
        label={say('Map of the paddock: {{layers}}', {
          layers: [
            shows('walk') && say('the walk of {{day}}', { day }),
            shows('bare') && bare && say('bare ground at its stops'),
            ...shownYears.map((y) => y.words),
          ]
            .filter(Boolean)
            .join('; '),
        })}
        className="max-h-[24rem] w-full"
      />
      <ul className="mt-1" aria-label={say('Layers of the map')}>
        {years.map(({ year, words }) => (
          <Layer key={year} harmful shown={shows(String(year))} onShow={show(String(year))}>
            <b className="text-harm">{words}</b>
          </Layer>
        ))}
        <Layer shown={shows('walk')} onShow={show('walk')}>
          {say('The walk of {{day}} with its stops', { day })}
        </Layer>
        {bare ? (
          <Layer shown={shows('bare')} onShow={show('bare')}>
            {say('Bare ground at the stops of {{day}}: the larger the barer', { day })}
          </Layer>
        ) : null}
      </ul>
      <p className="text-sm text-ink-soft">
        {finds.length === 0
          ? say(
              'No harmful plant was met at the stops of {{count}} rounds. What stands between them, or was not in leaf, is not excluded.',
              { count: rounds.length },
            )
          : say('Harmful plants: full in the latest year, hollow before. What was not met is not excluded.')}
      </p>
    </section>
  )
}
