import { memo } from 'react'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Observation } from '@/core/records/observation.ts'
import { say } from '../../../language/say.ts'
import { DrawingView } from '../../../parts/DrawingView.tsx'
import { answerWords, characterTitle } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'

interface Props {
  answers: readonly Observation[]
  onAsk: (character: string) => void
  onTakeAway: (character: string) => void
}

const drawn = (o: Observation) =>
  'states' in o && o.states.length === 1 ? drawState(o.character, o.states[0]!) : undefined

/** One answer; it stays as it is drawn while others come. */
const Chip = memo(function Chip({ answer, onAsk, onTakeAway }: Omit<Props, 'answers'> & { answer: Observation }) {
  const characters = useFlora((s) => s.characters)
  const title = characterTitle(characters, answer.character)
  const drawing = drawn(answer)
  return (
    <li className="flex items-center rounded-xl border border-rule">
      <button
        type="button"
        className="flex min-h-13 items-center gap-2 py-1 pl-2 text-left leading-tight"
        onClick={() => onAsk(answer.character)}
      >
        {drawing ? <DrawingView drawing={drawing} className="size-11 shrink-0" /> : null}
        <span>
          {title}
          <b className="block">{answerWords(answer)}</b>
        </span>
      </button>
      <button
        type="button"
        aria-label={say('Take away {{characterTitle}}', { characterTitle: title })}
        className="min-h-11 min-w-11 text-xl"
        onClick={() => onTakeAway(answer.character)}
      >
        ×
      </button>
    </li>
  )
})

/** What was understood, drawn: each to change or take away by one touch. */
export function Understood({ answers, onAsk, onTakeAway }: Props) {
  return (
    <ul aria-label={say('Understood')} className="mt-2 flex flex-wrap gap-2">
      {answers.map((o) => (
        <Chip key={o.character} answer={o} onAsk={onAsk} onTakeAway={onTakeAway} />
      ))}
    </ul>
  )
}
