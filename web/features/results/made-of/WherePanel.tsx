import { taxonName } from '@/text/taxonNames.ts'
import { useMemo } from 'react'
import { inSentence } from '@/text/say.ts'
import { shareSurface } from '@/core/survey/surface.ts'
import { whereItStands, type WhereItStands } from '@/core/survey/whereItStands.ts'
import { amountsAt } from '@/core/methods/tally.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'
import type { Round } from '@/core/records/round.ts'
import { ZoomMap } from '../../../parts/ZoomMap.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { atMost, fixed } from '../../../language/numbers.ts'
import { say } from '../../../language/say.ts'
import type { Lit } from '../chapter.ts'

/** How a plant lies over the stops, in words: by chance, in clumps, or more evenly than chance. */
function clumpWords({ patchiness: p }: WhereItStands): string {
  if (!p) return say('Covers and weights are no counts: the map says where it stands, no index does.')
  const figures = say('variance over mean {{ratio}} (1 by chance), Morisita {{morisita}}, k {{k}}', {
    ratio: fixed(p.varianceToMean, 1),
    morisita: p.morisita === undefined ? '–' : fixed(p.morisita, 1),
    k: p.k === undefined ? '–' : fixed(p.k, 1),
  })
  if (p.pClumped < 0.05)
    return say(
      'It stands in clumps: a hit has {{times}} times as many others at its stop as chance would give it ({{figures}}). Look for it where it was met.',
      {
        // prettier-ignore
        times: fixed(p.patchiness, 1),
        figures,
      },
    )
  if (p.pClumped > 0.95) return say('It is spread more evenly than chance would spread it ({{figures}}).', { figures })
  return say('It lies over the stops as if by chance ({{figures}}).', { figures })
}

/** What was met at the stop that was touched. */
function MetAt({ round, seq }: { round: Round; seq: number }) {
  const byId = useFlora((s) => s.byId)
  const stop = round.stops.find((s) => s.seq === seq)
  if (!stop) return null
  const tally = countedStops(round).find((s) => s.seq === seq)
  const met = tally ? [...amountsAt(tally, resolvedUnknowns(round))].sort((a, b) => b[1] - a[1]) : []
  return (
    <p aria-live="polite" className="mt-1 rounded-xl bg-lit px-3 py-1.5">
      <b>{say('Stop {{seq}}', { seq })}:</b>{' '}
      {stop.skipped
        ? say('left out')
        : !stop.doneAt
          ? say('not counted')
          : met.map(([taxon, n]) => `${taxonName(taxon, byId).replace(/ \(.*\)/, '')} ${atMost(n, 1)}`).join(', ')}
    </p>
  )
}

/** One plant over the paddock: its share at each stop, and between them. */
export function WherePanel({ round, lit }: { round: Round; lit: Lit }) {
  const byId = useFlora((s) => s.byId)
  const where = useMemo(() => whereItStands(round, lit.plant), [round, lit.plant])
  const surface = useMemo(() => (where && where.placed.length > 2 ? shareSurface(where.placed) : undefined), [where])
  if (!where || !round.paddock.boundary || where.placed.length < 3) return null
  const name = taxonName(lit.plant, byId)
  const unread = round.stops.filter((s) => s.position && !where.byStop.has(s.seq)).length
  return (
    <section aria-labelledby="where">
      <h2 id="where" className="text-xl">
        {say('Where {{name}} stands', { name: inSentence(name.replace(/ \(.*\)/, '')) })}
      </h2>
      <ZoomMap
        boundary={round.paddock.boundary}
        parts={round.paddock.strata}
        line={[]}
        stops={round.stops}
        sharesAt={where.byStop}
        {...(surface ? { surface } : {})}
        {...(lit.stop === undefined ? {} : { current: lit.stop })}
        onPick={lit.lightStop}
        label={say('Map: {{name}} was met at {{n}} of {{stops}} stops', {
          name,
          n: where.stopsWith,
          stops: where.byStop.size,
        })}
        className="mt-1 max-h-[25rem] w-full"
      />
      {lit.stop === undefined ? null : <MetAt round={round} seq={lit.stop} />}
      <p className="mt-1" data-testid="clumps">
        {clumpWords(where)}
      </p>
      <p className="text-sm text-ink-soft">
        {say(
          'Between the stops the map is drawn by distance alone, fainter where no stop is near: a guess, without an error of its own.',
        )}{' '}
        {unread > 0
          ? say('{{count}} stops (dashed) are not counted: they and the white ground say nothing of it.', {
              count: unread,
            })
          : say('White ground: no stop came near, so the map says nothing there.')}
      </p>
    </section>
  )
}
