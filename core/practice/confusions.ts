import type { PracticeAnswer } from './answer.ts'

export interface Confusion {
  /** What was shown, and what it was called. */
  shown: string
  called: string
  times: number
}

/** Plants taken for one another when naming, the commonest first. */
export function confusions(answers: readonly PracticeAnswer[]): Confusion[] {
  const counts = new Map<string, Confusion>()
  for (const { kind, about, answered, right } of answers) {
    if (right || answered === '' || !['name', 'key', 'seed'].includes(kind)) continue
    const key = `${about}|${answered}`
    const known = counts.get(key)
    if (known) known.times++
    else counts.set(key, { shown: about, called: answered, times: 1 })
  }
  return [...counts.values()].sort((a, b) => b.times - a.times || (a.shown < b.shown ? -1 : 1))
}
