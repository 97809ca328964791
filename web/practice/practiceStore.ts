import { create } from 'zustand'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { getPracticeAnswers } from '../api/client.ts'
import { useOutbox } from '../stores/outboxStore.ts'

const url = '/api/practice-answers'

interface PracticeState {
  answers: PracticeAnswer[]
  /** Read them from the server, with what still waits to be sent. */
  read: () => Promise<void>
  /** Keep an answer: on the screen at once, with the server through the outbox. */
  keep: (answer: PracticeAnswer) => void
}

const waiting = (): PracticeAnswer[] =>
  useOutbox
    .getState()
    .letters.filter((l) => l.url === url)
    .flatMap((l) => (l.body as { answers: PracticeAnswer[] }).answers)

/** Everything that was answered in practice. */
export const usePracticeAnswers = create<PracticeState>()((set) => ({
  answers: [],
  read: async () => {
    const kept = await getPracticeAnswers().catch(() => [])
    const ids = new Set(kept.map((a) => a.id))
    set({ answers: [...kept, ...waiting().filter((a) => !ids.has(a.id))] })
  },
  keep: (answer) => {
    set((s) => ({ answers: [...s.answers, answer] }))
    useOutbox.getState().post({ key: `practice/${answer.id}`, method: 'POST', url, body: { answers: [answer] } })
  },
}))
