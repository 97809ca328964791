import type { Term } from './term.ts'
import { termsOfCounting } from './termsOfCounting.ts'
import { termsOfPlants } from './termsOfPlants.ts'

/** Words that stand in the screens. Text of our own; meanings are common practice unless a source is named. */
export const terms: Term[] = [...termsOfPlants, ...termsOfCounting]
