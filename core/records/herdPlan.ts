/** What a client keeps on a paddock, and how it is grazed. */
export interface HerdPlan {
  /** Id of a class of stock. */
  animal: string
  count: number
  residualKgPerHa: number
  usePct: number
  refusedPct: number
  /** A stated guess of the standing dry matter, where nothing was measured. */
  guessKgPerHa: number
  /** Days for which animals and hectares are asked; left out: a week. */
  wantedDays?: number
}
