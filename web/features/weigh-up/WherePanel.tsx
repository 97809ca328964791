import { taxonName } from '@/text/taxonNames.ts'
import { useMemo, useState } from 'react'
import type { Composition } from '@/core/survey/composition.ts'
import { shareSurface } from '@/core/survey/surface.ts'
import { whereItStands, type WhereItStands } from '@/core/survey/whereItStands.ts'
import type { Round } from '@/core/records/round.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { RouteMap } from '../../parts/RouteMap.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { fixed } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'

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

/** One plant over the paddock: its share at each stop, and between them. */
export function WherePanel({ round, made }: { round: Round; made: Composition }) {
  const byId = useFlora((s) => s.byId)
  const first = made.taxa.find((t) => byId.get(t.taxon)?.role === 'toxic') ?? made.taxa[0]
  const [chosen, setChosen] = useState(first?.taxon ?? '')
  const where = useMemo(() => whereItStands(round, chosen), [round, chosen])
  const surface = useMemo(() => (where && where.placed.length > 2 ? shareSurface(where.placed) : undefined), [where])
  if (!where || !round.paddock.boundary || where.placed.length < 3) return null
  const name = taxonName(chosen, byId)
  const unread = round.stops.filter((s) => s.position && !where.byStop.has(s.seq)).length
  return (
    <section className="mt-6" aria-labelledby="where">
      <h2 id="where" className="text-xl">
        {say('Where it stands')}
      </h2>
      <Labelled label={say('Plant on the map')}>
        {(id) => (
          <select id={id} value={chosen} onChange={(e) => setChosen(e.target.value)} className={inputClass}>
            {made.taxa.map((t) => (
              <option key={t.taxon} value={t.taxon}>
                {taxonName(t.taxon, byId)}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <RouteMap
        boundary={round.paddock.boundary}
        parts={round.paddock.strata}
        line={[]}
        stops={round.stops}
        sharesAt={where.byStop}
        {...(surface ? { surface } : {})}
        label={say('Map: {{name}} was met at {{n}} of {{stops}} stops', {
          name,
          n: where.stopsWith,
          stops: where.byStop.size,
        })}
        className="mt-2 w-full"
      />
      <p className="mt-1" data-testid="clumps">
        {clumpWords(where)}
      </p>
      <p className="text-sm text-ink-soft">
        {say(
          'Between the stops the map is drawn by distance alone, fainter where no stop is near: a guess, without an error of its own.',
        )}{' '}
        {unread > 0
          ? say('{{n}} stops (dashed) are not counted: they and the white ground say nothing of it.', { n: unread })
          : say('White ground: no stop came near, so the map says nothing there.')}
      </p>
    </section>
  )
}
