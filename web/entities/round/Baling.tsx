import { baleAtPct, bales, heatSteps } from '@/core/assess/feed/hay.ts'
import { baleWords, heatWords } from '@/text/feedWords.ts'
import { say } from '../../language/say.ts'

/** How dry hay is baled, and what heat in a stack means. */
export function Baling() {
  return (
    <>
      <h3 className="mt-3 text-lg">{say('Baled and stacked')}</h3>
      <p>
        {say('Water in the hay when it is baled without a preservative:')}{' '}
        {bales
          .map((b) =>
            say('{{bale}} {{low}} to {{high}} %', { bale: baleWords(b), low: baleAtPct[b][0], high: baleAtPct[b][1] }),
          )
          .join(', ')}
        .
      </p>
      <ul>
        {heatSteps.map(({ from, code }) => (
          <li key={code} className="border-b border-rule/60 py-1">
            <b>{say('From {{from}} °C in the stack:', { from })}</b> {heatWords(code)}
          </li>
        ))}
      </ul>
      <p className="text-ink-soft">{say('Extension tables, from memory.')}</p>
    </>
  )
}
