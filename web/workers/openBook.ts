import type { Flora, Plant } from '@/core/flora/flora.ts'
import { pause } from '../pause.ts'
import type { FloraWithoutPlants } from './bookTaker.ts'

interface Taker {
  take: (some: Plant[]) => Promise<void>
  open: (rest: FloraWithoutPlants) => Promise<void>
}

/** So many plants are copied for another thread at a stretch: a slow phone takes a tenth of a second for the whole book. */
const PIECE = 48

/** Hand the book to a worker in pieces, a touch being heard between them. The book before must be there first. */
export async function openBook(worker: Taker, { plants, ...rest }: Flora): Promise<void> {
  const taken: Promise<void>[] = []
  for (let i = 0; i < plants.length; i += PIECE) {
    if (i > 0) await pause()
    taken.push(worker.take(plants.slice(i, i + PIECE)))
  }
  await Promise.all([...taken, worker.open(rest)])
}
