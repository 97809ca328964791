const READ = /^\s*select\b/i

interface Answer {
  rows: readonly object[]
}

/**
 * Many may ask for the same at the same time: while a read still waits for its turn, whoever asks for the same gets its
 * answer, all of them one set of rows, which are frozen. What has begun is not joined, so that everything
 * acknowledged before a question is in its answer.
 *
 * @returns asks; `run` says by `begin` that its turn has come
 */
export function coalesceReads<A extends Answer>() {
  const waiting = new Map<string, Promise<A>>()
  return (text: string, params: unknown[] | undefined, run: (begin: () => void) => Promise<A>): Promise<A> => {
    if (!READ.test(text)) return run(() => undefined)
    const key = JSON.stringify([text, params])
    const asked = waiting.get(key)
    if (asked) return asked
    const answer = run(() => waiting.delete(key))
      .then((a) => {
        a.rows.forEach(Object.freeze)
        return a
      })
      .finally(() => {
        // A turn that never came, as when the database is closed.
        if (waiting.get(key) === answer) waiting.delete(key)
      })
    waiting.set(key, answer)
    return answer
  }
}
