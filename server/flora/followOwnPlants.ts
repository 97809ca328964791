import type { Sql } from '../db/db.ts'
import { listOwnPlants } from '../db/ownPlants.ts'
import type { Book } from './book.ts'
import { sayProblem } from './loadFlora.ts'

/**
 * Put the readers' own plants into the book. A text that no longer fits the vocabulary is left out with a word, not lost: it
 * stays in the database.
 *
 * @param known texts that are in the book already, by id; what is added is noted there
 */
export async function addOwnPlants(
  db: Sql,
  book: Book,
  known: Map<string, string>,
  log: (error: unknown) => void,
): Promise<void> {
  for (const { id, yaml } of await listOwnPlants(db)) {
    if (known.get(id) === yaml) continue
    known.set(id, yaml)
    const added = book.add(yaml, true)
    if ('problems' in added) log(new Error(`Own plant ${id} is left out: ${added.problems.map(sayProblem).join('; ')}`))
  }
}

/**
 * Look now and then for plants that were added through another server on the same database.
 *
 * @returns stops it
 */
export function followOwnPlants(
  db: Sql,
  book: Book,
  known: Map<string, string>,
  log: (error: unknown) => void,
  everyMs = 5000,
): () => void {
  const timer = setInterval(() => void addOwnPlants(db, book, known, log).catch(log), everyMs)
  timer.unref()
  return () => clearInterval(timer)
}
