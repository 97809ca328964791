import { commandWords } from '@/text/commandWords.ts'
import type { Unsent } from '../../stores/unsentFile.ts'
import { say } from '../../language/say.ts'

interface Props {
  unsent: Unsent[]
  onTake: () => void
  onLeave: () => void
}

/** What a file of unsent work would do, before any of it is done. */
export function UnsentFile({ unsent, onTake, onLeave }: Props) {
  const times = new Map<string, number>()
  for (const { command: c } of unsent) times.set(commandWords(c), (times.get(commandWords(c)) ?? 0) + 1)
  const button = 'min-h-12 rounded-xl border-2 px-5 font-semibold'
  return (
    <section className="mt-4 rounded-2xl rounded-tl-sm border-2 border-straw p-4" aria-labelledby="unsent-file">
      <h3 id="unsent-file" className="text-lg">
        {say('This file holds work that another device could not send')}
      </h3>
      <ul className="list-disc pl-5">
        {[...times].map(([words, n]) => (
          <li key={words}>
            {words}
            {n > 1 ? ` (${n})` : ''}
          </li>
        ))}
      </ul>
      <p className="mt-2">
        {say('Taken in, it is written under your name. Where in doubt, ask whoever gave you the file.')}
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className={`${button} border-culm text-culm`} onClick={onTake}>
          {say('Take it in')}
        </button>
        <button type="button" className={`${button} border-rule`} onClick={onLeave}>
          {say('Leave it')}
        </button>
      </div>
    </section>
  )
}
