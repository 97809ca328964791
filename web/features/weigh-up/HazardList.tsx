import { useMemo } from 'react'
import { hazardsHere } from '@/core/assess/harm/hazardsHere.ts'
import { inSentence } from '@/text/say.ts'
import type { Round } from '@/core/records/round.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { Terms } from '../../parts/Terms.tsx'
import { say, listed } from '../../language/say.ts'

/** Dangers that the plants of this sward can carry: what shows, what only a test tells, and which test. */
export function HazardList({ round, animal }: { round: Round; animal?: string | undefined }) {
  const { byId, hazards } = useFlora()
  const here = useMemo(() => hazardsHere(round, byId, hazards, animal), [round, byId, hazards, animal])
  if (here.length === 0) return null
  return (
    <section aria-labelledby="hidden-dangers">
      <h3 id="hidden-dangers" className="mt-3 text-lg">
        {say('What looking does not tell')}
      </h3>
      {here.map(({ hazard: h, plants, share, concerns }) => (
        <details key={h.id} className={`border-b border-harm/40 ${concerns ? '' : 'text-ink-soft'}`}>
          <summary className="min-h-11 py-2">
            <b>{h.name}</b>: {listed(h.who)}. {plants.map((id) => inSentence(byId.get(id)!.commonName)).join(', ')},{' '}
            {percent(share.estimate)}
            {share.interval ? ` (${percentRange(share.interval)})` : say(', no interval from one stop')}
          </summary>
          <dl className="grid gap-x-3 pb-2 sm:grid-cols-[8rem_1fr]">
            <dt className="font-semibold">{say('What shows')}</dt>
            <dd>
              <Terms>{h.shows}</Terms>
            </dd>
            <dt className="font-semibold">{say('What does not')}</dt>
            <dd>
              <Terms>{h.hidden}</Terms>
            </dd>
            <dt className="font-semibold">{say('The test')}</dt>
            <dd>{h.test === 'none' ? say('There is none for the field.') : h.test}</dd>
            <dt className="font-semibold">{say('Usually done')}</dt>
            <dd>
              <Terms>{h.do}</Terms>
            </dd>
            <dd className="text-ink-soft sm:col-start-2">{h.sources.join('; ')}.</dd>
          </dl>
        </details>
      ))}
    </section>
  )
}
