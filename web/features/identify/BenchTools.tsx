import type { Context } from '@/core/records/observation.ts'
import type { Round } from '@/core/records/round.ts'
import { letterWords } from '@/text/taxonNames.ts'
import { say } from '../../language/say.ts'
import type { Sheet } from './sheet.ts'
import { ContextBar } from './ContextBar.tsx'

interface Props {
  round: Round | null
  letter: string | null
  sheet: Sheet
  onContext: (context: Context) => void
  onFind: () => void
  onSay: () => void
  onUndo: () => void
  onClear: () => void
}

const button = 'min-h-11 rounded-xl border border-rule px-3 disabled:opacity-50'

/** Above the question: which unknown it is, place and season, and what can be done with the sheet. */
export function BenchTools({ round, letter, sheet, onContext, onFind, onSay, onUndo, onClear }: Props) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      {round && letter ? (
        <p className="w-full font-semibold">
          {say('Unknown {{letter}} of {{name}}, {{holding}}', {
            letter: letterWords(letter),
            name: round.paddock.name,
            holding: round.holding,
          })}
        </p>
      ) : null}
      <ContextBar context={sheet.context} onChange={onContext} />
      <button type="button" className={`${button} border-2 border-culm font-semibold text-culm`} onClick={onSay}>
        {say('Say it')} <kbd className="ml-1 text-sm text-ink-soft">i</kbd>
      </button>
      <button type="button" className={button} onClick={onFind}>
        {say('Find')} <kbd className="ml-1 text-sm text-ink-soft">/</kbd>
      </button>
      <button type="button" className={button} disabled={sheet.past.length === 0} onClick={onUndo}>
        {say('Undo')} <kbd className="ml-1 text-sm text-ink-soft">z</kbd>
      </button>
      <button type="button" className={button} disabled={sheet.answers.length === 0} onClick={onClear}>
        {say('New plant')}
      </button>
    </div>
  )
}
