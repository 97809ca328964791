import type { CharacterTable } from './characterTable.ts'

/** Shannon's measure of doubt in bits; shares need not sum to 1 (the rest is "can't tell"). */
export function entropyBits(shares: number[]): number {
  return shares.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)
}

/** What one pass over the rows gathers: belief in each outcome among harmful plants and the rest, and doubt left. */
export interface Gathered {
  harm: Float64Array
  rest: Float64Array
  /** Doubt left in the answer when the plant is known. */
  left: number
  /** Belief in plants that have the part. */
  fits: number
}

/** Sum of belief times what is there: over all rows along the memory, the fastest way through a large book. */
function sumOfAll(truth: Float32Array, from: number, belief: Float64Array): number {
  // Four sums side by side: one alone waits for each addition before the next.
  let a = 0
  let b = 0
  let c = 0
  let d = 0
  let r = 0
  for (; r + 3 < belief.length; r += 4) {
    a += belief[r]! * truth[from + r]!
    b += belief[r + 1]! * truth[from + r + 1]!
    c += belief[r + 2]! * truth[from + r + 2]!
    d += belief[r + 3]! * truth[from + r + 3]!
  }
  for (; r < belief.length; r++) a += belief[r]! * truth[from + r]!
  return a + b + (c + d)
}

function sumOfSome(truth: Float32Array, from: number, rows: Int32Array, belief: Float64Array): number {
  let sum = 0
  for (let i = 0; i < rows.length; i++) sum += belief[rows[i]!]! * truth[from + rows[i]!]!
  return sum
}

/** Belief in plants that have the part a character asks about. */
export function fitsOf({ without }: CharacterTable, belief: Float64Array): number {
  let fits = 1
  for (let i = 0; i < without.length; i++) fits -= belief[without[i]!]!
  return Math.max(0, fits)
}

/** Of the rows that still hold belief, the harmful ones, and their belief alone: in a long line it is summed fastest. */
export interface Harmful {
  rows: Int32Array
  belief: Float64Array
}

export const noneHarmful: Harmful = { rows: new Int32Array(), belief: new Float64Array() }

export function gather(table: CharacterTable, rows: Int32Array, belief: Float64Array, harmful: Harmful): Gathered {
  const { outcomes, entropy, truth, rows: all } = table
  const most = rows.length * 2 > all
  const manyHarm = harmful.rows.length * 4 > all
  const harm = new Float64Array(outcomes)
  const rest = new Float64Array(outcomes)
  for (let t = 0; t < outcomes; t++) {
    const sum = most ? sumOfAll(truth, t * all, belief) : sumOfSome(truth, t * all, rows, belief)
    harm[t] = manyHarm ? sumOfAll(truth, t * all, harmful.belief) : sumOfSome(truth, t * all, harmful.rows, belief)
    rest[t] = Math.max(0, sum - harm[t]!)
  }
  const left = most ? sumOfAll(entropy, 0, belief) : sumOfSome(entropy, 0, rows, belief)
  return { harm, rest, left, fits: fitsOf(table, belief) }
}

/** Chance of each answer of a careful observer, from what is there. */
export const answered = ({ confusion }: CharacterTable, there: ArrayLike<number>): number[] =>
  confusion.map((_, s) => {
    let p = 0
    for (let t = 0; t < there.length; t++) p += there[t]! * confusion[t]![s]!
    return p
  })

export const added = (a: ArrayLike<number>, b: ArrayLike<number>): number[] => Array.from(a, (x, i) => x + b[i]!)

export function gain(table: CharacterTable, { harm, rest, left }: Gathered): number {
  return Math.max(0, entropyBits(answered(table, added(harm, rest))) - left)
}

/**
 * Expected information of a careful look, in bits (Lindley 1956): the doubt in its answer now, less the doubt that is
 * left when the plant is known.
 *
 * @param rows rows that still hold belief
 * @param belief probability of each row
 */
export function informationGain(table: CharacterTable, rows: Int32Array, belief: Float64Array): number {
  return gain(table, gather(table, rows, belief, noneHarmful))
}
