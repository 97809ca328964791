import type { Taxon } from './taxon.ts'

/** One thing recorded at a stop: a point hit (amount 1), or a species with its cover class value. */
export interface Hit {
  taxon: Taxon
  amount: number
  /** Pin of a layered point, or cell of a grid, from 1. */
  part?: number
}
