import type { Flora, Plant } from '@/core/flora/flora.ts'

export type FloraWithoutPlants = Omit<Flora, 'plants'>

/** How a worker takes the book: its plants some at a time, then the rest, and it is open. */
export function bookTaker(opened: (flora: Flora) => void) {
  let plants: Plant[] = []
  return {
    take: (some: Plant[]): void => void plants.push(...some),
    open: (rest: FloraWithoutPlants): void => {
      opened({ ...rest, plants })
      plants = []
    },
  }
}
