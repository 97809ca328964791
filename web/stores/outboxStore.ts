import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { Stop } from '@/core/records/round.ts'
import { ApiError, send } from '../api/client.ts'
import { noteSent } from './fieldCache.ts'

interface Letter {
  key: string
  method: 'POST' | 'PUT' | 'DELETE'
  url: string
  body: unknown
  /** A stop: it says which device writes, and which version of the stop that device had. */
  stop?: true
}

/** A stop that two devices counted: both are kept until the person has chosen. */
export interface Conflict {
  url: string
  mine: Omit<Stop, 'version' | 'seq'>
  theirs: Stop
}

interface OutboxState {
  letters: Letter[]
  /** Set when the server refused a letter: shown, never dropped in silence. */
  refused: { url: string; message: string }[]
  conflicts: Conflict[]
  /** This device, as the server knows it. */
  device: string
  /** The version of each stop that this device has seen last. */
  versions: Record<string, number>
  /** Put something in; a later one with the same key takes the place of one still waiting. */
  post: (letter: Letter) => void
  drain: () => Promise<void>
  dismiss: () => void
  saw: (versions: Record<string, number>) => void
  /** Conflicts met while a file was opened. */
  met: (conflicts: Conflict[]) => void
  /** Settle a conflict: what is kept is sent again, over the version of the other device. */
  settle: (url: string, keep: 'mine' | 'theirs') => void
}

type Change = (change: (s: OutboxState) => Partial<OutboxState>) => void

/** The run under way: whoever asks meanwhile waits for the same one. */
let running: Promise<void> | undefined

/** What the server said to a letter it would not take. */
function notTaken(letter: Letter, error: ApiError, set: Change): void {
  const { theirs } = error
  if (letter.stop && error.status === 409 && theirs)
    set((s) => ({
      conflicts: [
        ...s.conflicts.filter((c) => c.url !== letter.url),
        { url: letter.url, mine: letter.body as Conflict['mine'], theirs: theirs as Stop },
      ],
    }))
  else set((s) => ({ refused: [...s.refused, { url: letter.url, message: error.message }] }))
}

async function sendAll(get: () => OutboxState, set: Change): Promise<void> {
  for (let first = get().letters[0]; first; first = get().letters[0]) {
    const sent = first
    const { device, versions } = get()
    const stamped = sent.stop ? { ...(sent.body as object), by: device, base: versions[sent.url] ?? 0 } : sent.body
    try {
      const answer = await send<{ version?: number } | undefined>(sent.method, sent.url, stamped)
      const version = answer?.version
      await noteSent(sent.url, sent.body, version)
      if (sent.stop && version !== undefined) set((s) => ({ versions: { ...s.versions, [sent.url]: version } }))
    } catch (error) {
      if (!(error instanceof ApiError && error.status >= 400 && error.status < 500)) return
      notTaken(sent, error, set)
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
      conflicts: [],
      device: crypto.randomUUID(),
      versions: {},
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
      saw: (versions) =>
        set((s) => {
          // What still waits was written over the version that the device had then.
          const waiting = new Set(s.letters.map((l) => l.url))
          const news = Object.entries(versions).filter(([url, v]) => !waiting.has(url) && v !== (s.versions[url] ?? 0))
          return news.length === 0 ? {} : { versions: { ...s.versions, ...Object.fromEntries(news) } }
        }),
      met: (news) =>
        set((s) => ({ conflicts: [...s.conflicts.filter((c) => !news.some((n) => n.url === c.url)), ...news] })),
      settle: (url, keep) => {
        const conflict = get().conflicts.find((c) => c.url === url)
        if (!conflict) return
        set((s) => ({
          conflicts: s.conflicts.filter((c) => c !== conflict),
          versions: { ...s.versions, [url]: conflict.theirs.version },
        }))
        if (keep === 'mine') get().post({ key: url, method: 'PUT', url, body: conflict.mine, stop: true })
      },
    }),
    {
      name: 'fold-sprig-outbox',
      partialize: ({ letters, refused, conflicts, device, versions }) => ({
        letters,
        refused,
        conflicts,
        device,
        versions,
      }),
    },
  ),
)

/** Try again now and then, and as soon as the browser says it is back. */
export function keepDraining(): void {
  const drain = () => void useOutbox.getState().drain()
  window.addEventListener('online', drain)
  window.setInterval(drain, 5000)
  drain()
}
