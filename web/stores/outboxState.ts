import { requestOf } from '@/contract/commandRequests.ts'
import type { Command } from '@/contract/commands.ts'
import type { Box, InBox } from './outboxBox.ts'
import { sameEntries, type Conflict, type Kept, type StandsOn } from './outboxEntry.ts'
import { mayShow, noteShown, tellElsewhere, tellGone, type SaveStop } from './outboxPages.ts'
import type { VersionStore } from './versionStore.ts'

export interface OutboxState extends InBox {
  /** Commands that this browser could not store: only this open page has them. */
  unkept: string[]
  /** The server wants somebody to sign in before it takes anything. */
  signIn: boolean
  /** Who is signed in; null where there are no accounts. */
  account: string | null
  /** The version of each stop that stands on this page, by its address. */
  versions: Record<string, number>
  /** Put a command in; a later one with the same key takes the place of one still waiting. @param on what it stands on, where that is not what the page shows now */
  post: (command: Command, on?: StandsOn) => void
  drain: () => Promise<void>
  /** Send what was refused once more. */
  retryRefused: () => void
  dropRefused: () => void
  /** What another account left: take it over as one's own, or throw it away. */
  takeOver: () => void
  dropOthers: () => void
  noteVersions: (versions: Record<string, number>) => void
  /** Conflicts met while a file was opened. */
  addConflicts: (conflicts: Conflict[]) => void
  /** Settle a conflict: what is kept is sent again, over the version of the other device. */
  resolveConflict: (conflict: Conflict, keep: 'mine' | 'theirs') => void
}

export type Get = () => OutboxState
export type Change = (change: (s: OutboxState) => Partial<OutboxState>) => void

/** What the outbox of this page is joined to once it is open: its store on the disk, the versions of stops, the other pages. */
export const parts: { box?: Box; versions?: VersionStore; others?: BroadcastChannel } = {}

/** Whether it may go out under the name that is signed in. */
export const isOurs = (entry: Kept, account: string | null): boolean =>
  entry.account === undefined || account === null || entry.account === account

/** The version of a stop: on the disk for every page to come, on this page where it is its own. */
export async function noteVersion(url: string, version: number, here: boolean, set: Change): Promise<void> {
  if (here) set((s) => ({ versions: { ...s.versions, [url]: version } }))
  await parts.versions?.write({ [url]: version }).catch(() => undefined)
}

/** Show a stop of another page, unless this one holds a count of it that the other was made without. */
export function show(
  { command, id, after, version }: { command: SaveStop; id: string | undefined; after: string[]; version?: number },
  get: Get,
  set: Change,
): void {
  const { versions } = get()
  // What was taken before what stands here, or stands on another version than this page, would hide what this page has.
  if (version !== undefined && version <= (versions[requestOf(command).url] ?? 0)) return
  if (!mayShow(command, id, after, get())) return
  noteShown(id)
  tellElsewhere(command, version)
  if (version !== undefined) void noteVersion(requestOf(command).url, version, true, set)
}

/** What waits on the disk, as every page of this browser has left it. */
export const readBox = async (get: Get, set: Change): Promise<void> => {
  const inBox = await parts.box?.read()
  if (!inBox) return
  const before = get().pending
  // It is read every few seconds: where nothing changed, no screen is drawn anew.
  set((s) => ({
    pending: sameEntries(s.pending, inBox.pending) ? s.pending : inBox.pending,
    refused: sameEntries(s.refused, inBox.refused) ? s.refused : inBox.refused,
    conflicts: sameEntries(s.conflicts, inBox.conflicts) ? s.conflicts : inBox.conflicts,
  }))
  const known = new Set(Object.values(inBox).flatMap((list: Kept[]) => list.flatMap((e) => [e.id, ...(e.after ?? [])]))) // prettier-ignore
  const lost = before.filter((p) => p.id && !known.has(p.id))
  if (lost.length > 0) tellGone(lost.map((p) => p.command))
}
