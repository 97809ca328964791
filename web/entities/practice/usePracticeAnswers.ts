import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { fresh, reads, useRead } from '../../data/reads.ts'
import { useOutbox } from '../../stores/outboxStore.ts'

const none: PracticeAnswer[] = []

/** Everything that was answered in practice, with what waits to be sent; read first for a screen that needs it. */
export const readAnswers = (): Promise<PracticeAnswer[] | undefined> => fresh(reads.answers).catch(() => undefined)

/** Answers of practice, and how to keep one: on the screen at once, with the server through the outbox. */
export function usePracticeAnswers() {
  const { data: answers = none, problem, again } = useRead(reads.answers)
  return {
    answers,
    problem,
    again,
    keep: (answer: PracticeAnswer) => useOutbox.getState().post({ do: 'keep-answers', answers: [answer] }),
  }
}
