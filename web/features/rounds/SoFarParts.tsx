import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import type { Figures } from '@/core/survey/figures.ts'
import { percent } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { Terms } from '../../parts/Terms.tsx'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

/** Where parts of the paddock differ more than chance would have it: then one figure for the whole hides something. */
export function Disagreements({ figures }: { figures: Figures }) {
  const byId = useFlora((s) => s.byId)
  if (figures.disagreements.length === 0) return null
  return (
    <div role="note" className="mt-3 rounded-xl border-2 border-straw px-4 py-2">
      <p className="font-semibold">{say('Parts of the paddock disagree.')}</p>
      <ul>
        {figures.disagreements.map((d) => (
          <li key={d.taxon}>
            {say('{{taxonName}}: {{estimate}} in {{name}}, {{estimate2}} in {{name2}}', {
              taxonName: taxonName(d.taxon, byId),
              estimate: percent(d.high.estimate),
              name: d.high.name || say('the rest'),
              estimate2: percent(d.low.estimate),
              name2: d.low.name || say('the rest'),
            })}
          </li>
        ))}
      </ul>
      <p className="text-ink-soft">{say('Read each part on its own; more stops in one do not mend the other.')}</p>
    </div>
  )
}

export function Estimator({ round, made }: { round: Round; made: Composition | undefined }) {
  const stratified = made?.taxa.some(({ method: limits }) => limits === 'stratified')
  const effect = made?.taxa.find((t) => t.designEffect !== undefined)?.designEffect
  return (
    <details className="mt-3">
      <summary className="min-h-11 content-center text-ink-soft">{say('How this is worked out')}</summary>
      <p>
        <Terms>{methodWords(round.method).estimator}</Terms>
      </p>
      {stratified ? (
        <p className="mt-1">
          {say(
            'The parts of the paddock count by their area, whatever the number of stops in each (combined ratio estimate).',
          )}
        </p>
      ) : null}
      {effect !== undefined ? (
        <p className="mt-1">
          {say(
            'Stops differ: the variance of the first share is {{effect}} times that of as many points spread at random (design effect).',
            { effect: fixed(effect, 1) },
          )}
        </p>
      ) : null}
    </details>
  )
}
