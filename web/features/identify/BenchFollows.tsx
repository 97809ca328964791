import type { ReactNode } from 'react'
import type { Round } from '@/core/records/round.ts'
import { say } from '../../language/say.ts'
import type { Sheet } from './sheet.ts'
import { KeepPanel, SentPanel } from './KeepPanel.tsx'
import { Replay } from './Replay.tsx'
import type { useIdentification } from './useIdentification.ts'
import type { useKeeping } from './useKeeping.ts'

interface Props {
  subject: string
  sheet: Sheet
  round: Round | null
  result: NonNullable<ReturnType<typeof useIdentification>['result']>
  /** What was written down last, in words. */
  written: string
  /** Looks that are shown; fewer than there are while the naming is played back. */
  upTo: number
  onUpTo: (looks: number | null) => void
  /** Answers that the verdict beside it stands on. */
  answered: number
  onWrite: ReturnType<typeof useKeeping>['write']
  onKeep: () => void
  /** The verdict. */
  children: ReactNode
}

/** The right half of the bench: what follows from the answers, and what is done with it. */
export function BenchFollows({
  subject,
  sheet,
  round,
  result,
  written,
  upTo,
  onUpTo,
  answered,
  onWrite,
  onKeep,
  children,
}: Props) {
  return (
    <>
      {written ? (
        <p role="status" className="mb-3 rounded-xl bg-culm px-4 py-2.5 font-semibold text-on-culm">
          {written}
        </p>
      ) : null}
      <SentPanel
        sheet={sheet}
        result={result}
        onTake={(o) =>
          onWrite({
            plant: o.plant!,
            probability: o.probability ?? 0.5,
            evidence: result.candidates.find((c) => c.plant === o.plant)?.evidence ?? [],
          })
        }
      />
      {upTo < sheet.answers.length ? (
        <p className="mb-3 flex flex-wrap items-center justify-between gap-2 rounded-xl border-2 border-straw px-4 py-2">
          {say('As it stood after {{upTo}} of {{n}} looks.', { upTo, n: sheet.answers.length })}
          <button type="button" className="min-h-11 underline" onClick={() => onUpTo(null)}>
            {say('Back to now')}
          </button>
        </p>
      ) : null}
      {children}
      {round || sheet.answers.length === 0 || answered === 0 ? null : (
        <>
          <Replay sheet={sheet} upTo={upTo} onUpTo={onUpTo} />
          <KeepPanel subject={subject} sheet={sheet} result={result} onKeep={onKeep} />
        </>
      )}
    </>
  )
}
