import { conflictOf, type Conflict, type Kept, type Refused } from './outboxEntry.ts'
import { deleteFromJournal, inOrder, journal, openOutboxStorage, type Done, type Entry, type OutboxStorage } from './outboxStorage.ts' // prettier-ignore

/** What lies in the box, sorted by what is to be done with it. */
export interface InBox {
  /** Commands to be sent, in their order. */
  pending: Kept[]
  /** What the server refused: shown with what was typed, never dropped in silence. */
  refused: Refused[]
  conflicts: Conflict[]
}

/** The box on the disk, and what is on its way there: several pages of the device share it. */
export class Box {
  private readonly storage: Promise<OutboxStorage> = openOutboxStorage()
  /** Writes follow one another, so that the last word on an entry is the last one said. */
  private storing: Promise<void> = Promise.resolve()
  /** What is on its way into the box, or could not be brought there: it stands above what is read from it. */
  private readonly onTheWay = new Map<string, Entry | Done>()

  constructor(
    /** Told which of the changes only the open page has. */
    private readonly onLost: (changed: string[], lost: string[]) => void,
    private readonly onStored: () => void,
  ) {}

  /** Bring what is to be kept to the store: at once into the journal, then, on the disk, into the box. */
  store(changes: (Entry | Done)[]): void {
    if (changes.length === 0) return
    const journalled = new Set<string>()
    for (const change of changes) {
      this.onTheWay.set(change.id, change)
      if (change.state === 'done') deleteFromJournal(change.id)
      else if (journal(change)) journalled.add(change.id)
    }
    this.storing = this.storing.then(() => this.write(changes, journalled))
  }

  private async write(changes: (Entry | Done)[], journalled: Set<string>): Promise<void> {
    const written = await (await this.storage).write(changes).then(
      () => true,
      () => false,
    )
    const lost = changes.filter((c) => !written && c.state !== 'done' && !journalled.has(c.id)).map((c) => c.id)
    this.onLost(changes.map((c) => c.id), lost) // prettier-ignore
    if (!written) return
    for (const change of changes) {
      if (this.onTheWay.get(change.id) !== change) continue
      this.onTheWay.delete(change.id)
      deleteFromJournal(change.id)
    }
    this.onStored()
  }

  /** Done when all that was handed over is stored, or could not be. */
  settled(): Promise<void> {
    return this.storing
  }

  /** Whether any page of the device was done with an entry at that time or later. */
  async doneSince(at: number): Promise<boolean> {
    return (await this.storage).doneSince(at).catch(() => false)
  }

  /** What lies in the box, another page's entries too; what is on its way there stays as it is here. */
  async read(): Promise<InBox> {
    const kept = new Map<string, Entry | Done>((await (await this.storage).read()).map((e) => [e.id, e]))
    for (const [id, change] of this.onTheWay) kept.set(id, change)
    const entries = [...kept.values()].filter((e): e is Entry => e.state !== 'done').sort(inOrder)
    return {
      pending: entries.filter((e) => e.state === 'waiting'),
      refused: entries.filter((e) => e.state === 'refused').map((e) => ({ ...e, message: e.message ?? '' })),
      conflicts: latestOfEach(entries.filter((e) => e.state === 'conflict')).map(conflictOf),
    }
  }
}

/** An earlier version kept a conflict for each key that was pressed, all of them at 0: the last one holds all of them. */
const latestOfEach = (entries: Entry[]): Entry[] => [
  ...new Map(entries.map((e) => [e.n === 0 ? e.key : e.id, e])).values(),
]
