import { surenessSteps } from '@/core/practice/scoring.ts'
import { say } from '../../language/say.ts'

const words: Record<(typeof surenessSteps)[number], () => string> = {
  0.5: () => say('1 in 2'),
  0.7: () => say('7 in 10'),
  0.9: () => say('9 in 10'),
  0.95: () => say('19 in 20'),
  0.99: () => say('99 in 100'),
}
export const SURE_KEYS = 'asdfg'

/** How sure one is, in natural frequency: asked with every answer. */
export function Sureness({ onSure }: { onSure: (sure: number) => void }) {
  return (
    <div role="group" aria-label={say('How sure')} className="mt-4">
      <p className="font-semibold">{say('How sure? In how many such cases would you be right?')}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {surenessSteps.map((s, i) => (
          <button
            key={s}
            type="button"
            onClick={() => onSure(s)}
            className="min-h-13 rounded-xl border-2 border-culm px-3 font-semibold"
          >
            {words[s]()} <kbd className="ml-1 text-sm font-normal text-ink-soft">{SURE_KEYS[i]}</kbd>
          </button>
        ))}
      </div>
    </div>
  )
}
