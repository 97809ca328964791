import { naturalFrequency } from '@/text/certaintyWords.ts'
import { useEffect, useState } from 'react'
import { inSentence } from '@/text/say.ts'
import { answerWords, characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import type { HistoryStep } from '../../workers/naming.worker.ts'
import { namingWorker } from '../../workers/namingWorker.ts'
import type { Sheet } from './sheet.ts'
import { say } from '../../language/say.ts'

interface Props {
  sheet: Sheet
  /** Looks shown; all of them where nothing is replayed. */
  upTo: number
  onUpTo: (upTo: number) => void
}

/** How the verdict came about, look by look; any moment of it can be gone back to and looked at. */
export function Replay({ sheet, upTo, onUpTo }: Props) {
  const { characters, byId } = useFlora()
  const [steps, setSteps] = useState<{ of: Sheet['answers']; list: HistoryStep[] }>()
  const [open, setOpen] = useState(false)
  useEffect(() => {
    if (!open) return
    let current = true
    void namingWorker()
      .then((api) => api.history(sheet.context, sheet.answers))
      .then((list) => current && setSteps({ of: sheet.answers, list }))
    return () => void (current = false)
  }, [open, sheet.context, sheet.answers])
  const list = steps?.of === sheet.answers ? steps.list : []
  return (
    <details className="mt-3" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 py-2 font-semibold">{say('How it came about')}</summary>
      <ol>
        {list.map((step, i) => {
          const look = sheet.answers[i]!
          return (
            <li key={look.character}>
              <button
                type="button"
                aria-current={upTo === i + 1}
                onClick={() => onUpTo(i + 1)}
                className="flex min-h-11 w-full flex-wrap items-center justify-between gap-x-3 border-b border-rule/60 px-1 text-left hover:bg-culm/10 aria-[current=true]:bg-culm/12"
              >
                <span>
                  {i + 1}. {characterTitle(characters, look.character)}: {answerWords(look)}
                </span>
                <span>
                  {inSentence(byId.get(step.first)?.commonName ?? '')} <b>{naturalFrequency(step.probability)}</b>
                </span>
              </button>
            </li>
          )
        })}
      </ol>
    </details>
  )
}
