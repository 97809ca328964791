import { keyOf } from '@/contract/commandKeys.ts'
import type { Command } from '@/contract/commands.ts'
import type { Conflict, Kept } from './outboxEntry.ts'
import type { Entry } from './outboxStorage.ts'

// What the pages of one device know of each other's commands.

export type SaveStop = Extract<Command, { do: 'save-stop' }>

/** What the server has taken: by which page it was posted, what it is called now, and its number where that is another. */
export interface Taken {
  command: Command
  version?: number | undefined
  seq?: number | undefined
  /** It was posted by this page; else by another one of this device. */
  mine: boolean
}

/** What pages tell each other: that the box changed, what one of them has posted, what the server has taken. */
export type Told = 'changed' | { posted: Entry } | TakenElsewhere
export type TakenElsewhere = Omit<Taken, 'mine'> & { id: string | undefined }

/** Listeners to one kind of news. */
class Listeners<T extends unknown[]> {
  private readonly all = new Set<(...news: T) => void>()
  readonly tell = (...news: T): void => this.all.forEach((listener) => listener(...news))
  readonly add = (listener: (...news: T) => void): (() => void) => {
    this.all.add(listener)
    return () => void this.all.delete(listener)
  }
}

const taken = new Listeners<[Taken]>()
export const tellTaken = taken.tell
/** Be told of each command that the server has taken, before it leaves what waits; those of other pages of the device too. */
export const onTaken = taken.add

const gone = new Listeners<[Command[]]>()
export const tellGone = gone.tell
/** Be told of commands that waited and that another page is done with, without a word from it of what became of them. */
export const onGone = gone.add

const elsewhere = new Listeners<[SaveStop, number | undefined]>()
export const tellElsewhere = elsewhere.tell
/**
 * Be shown a stop that another page of the device counted, with its version once the server has it; not where this page
 * has counted the same stop without knowing of it.
 */
export const onElsewhere = elsewhere.add

/** Entries that this page has posted. */
const own = new Set<string>()
/** Those and what it shows of other pages: what is counted on stands on them. */
const shown = new Set<string>()

export const isOwn = (id: string | undefined): boolean => id === undefined || own.has(id)
export const isShown = (id: string | undefined): boolean => id === undefined || shown.has(id)
export const noteShown = (id: string | undefined): void => void (id && shown.add(id))
export function noteOwn(id: string): void {
  own.add(id)
  shown.add(id)
}

/**
 * Whether this page may show a stop of another one: not where it holds a count of it that the other was made without.
 * @param after ids of the commands that the other one took the place of
 */
export function mayShow(
  command: SaveStop,
  id: string | undefined,
  after: string[],
  { pending, conflicts }: { pending: Kept[]; conflicts: Conflict[] },
): boolean {
  const key = keyOf(command)
  const unseen = (p: Kept) => p.key === key && p.id && own.has(p.id) && p.id !== id && !after.includes(p.id)
  return !pending.some(unseen) && !conflicts.some((c) => c.key === key && c.id !== undefined && own.has(c.id))
}
