import { create } from 'zustand'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { getPracticeAnswers } from '../../api/client.ts'
import { answersAfter } from '@/contract/applied.ts'
import { pendingCommands, useOutbox } from '../../stores/outboxStore.ts'

interface PracticeState {
  answers: PracticeAnswer[]
  /** Read them from the server, with what still waits to be sent. */
  read: () => Promise<void>
  /** Keep an answer: on the screen at once, with the server through the outbox. */
  keep: (answer: PracticeAnswer) => void
}

/** Everything that was answered in practice. */
export const usePracticeAnswers = create<PracticeState>()((set) => ({
  answers: [],
  read: async () => {
    const kept = await getPracticeAnswers().catch(() => [])
    set({ answers: pendingCommands().reduce(answersAfter, kept) })
  },
  keep: (answer) => {
    set((s) => ({ answers: [...s.answers, answer] }))
    useOutbox.getState().post({ do: 'keep-answers', answers: [answer] })
  },
}))
