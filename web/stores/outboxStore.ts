import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import { ApiError, send } from '../api/client.ts'

interface Letter {
  key: string
  method: 'POST' | 'PUT'
  url: string
  body: unknown
}

interface OutboxState {
  letters: Letter[]
  /** Set when the server refused a letter: shown, never dropped in silence. */
  refused: { url: string; message: string }[]
  /** Put something in; a later one with the same key takes the place of one still waiting. */
  post: (letter: Letter) => void
  drain: () => Promise<void>
  dismiss: () => void
}

/** The run under way: whoever asks meanwhile waits for the same one. */
let running: Promise<void> | undefined

async function sendAll(
  get: () => OutboxState,
  set: (change: (s: OutboxState) => Partial<OutboxState>) => void,
): Promise<void> {
  for (let first = get().letters[0]; first; first = get().letters[0]) {
    const sent = first
    try {
      await send(sent.method, sent.url, sent.body)
    } catch (error) {
      const refused = error instanceof ApiError && error.status >= 400 && error.status < 500
      if (!refused) return
      set((s) => ({ refused: [...s.refused, { url: sent.url, message: error.message }] }))
    }
    set((s) => ({ letters: s.letters.filter((l) => l !== sent) }))
  }
}

/** Writes wait here, in the browser's own store, until the server has them. */
export const useOutbox = create<OutboxState>()(
  persist(
    (set, get) => ({
      letters: [],
      refused: [],
      post: (letter) => {
        // The first may be on its way: it stays in front, only those behind it are replaced.
        set((s) => ({
          letters: [...s.letters.filter((l, i) => l.key !== letter.key || (i === 0 && running !== undefined)), letter],
        }))
        void get().drain()
      },
      drain: () => {
        running ??= sendAll(get, set).finally(() => (running = undefined))
        return running
      },
      dismiss: () => set({ refused: [] }),
    }),
    { name: 'fold-sprig-outbox', partialize: ({ letters, refused }) => ({ letters, refused }) },
  ),
)

/** Try again now and then, and as soon as the browser says it is back. */
export function keepDraining(): void {
  const drain = () => void useOutbox.getState().drain()
  window.addEventListener('online', drain)
  window.setInterval(drain, 5000)
  drain()
}
