import type { Sureness } from '../records/observation.ts'
import type { Character, Stage } from '../flora/flora.ts'

/**
 * Two ideas of how an eye errs. `near`: a state is taken for one that is like it, and now and then anything slips.
 * `even`: every wrong state is equally wrong. Names are judged by the first; a name and the exclusion of a poison must
 * hold under both.
 */
export const observers = ['near', 'even'] as const
export type Observer = (typeof observers)[number]

/** How many times likelier than a careful look a less sure one is to be wrong. Convention of this project. */
const MISTAKES_TIMES: Record<Sureness, number> = { sure: 1, likely: 2.5, guess: 6 }
/** The same for taking a state for one like it. Convention of this project. */
const NEAR_TIMES: Record<Sureness, number> = { sure: 1, likely: 1.6, guess: 2.5 }
/** Least share of wrong answers: even where a careful look hardly errs, a guess may. Convention of this project. */
const LEAST_WRONG: Record<Sureness, number> = { sure: 0, likely: 0.1, guess: 0.3 }

/** Slips in a hundred careful looks where a character does not say, and the part of its mistakes that are slips. */
const SLIP = 0.01
const SLIPS_OF_MISTAKES = 0.15
/** How far a slip follows what is met at all; the rest of it may be anything. */
const SLIP_AS_MET = 0.75
/** Share said of the other of a pair that trained people mix up, under the even observer, against that of the near one. */
const PAIR_TIMES_EVEN = 3

/** True where a character is mixed up more at one stage than at others. */
export const mixesUpMoreAt = (character: Character, stage: Stage): boolean =>
  character.takenFor.some((m) => m.stage === stage)

/** Chance of a slip at a careful look. */
export const slipOf = (c: Character): number => c.slip ?? Math.max(SLIP, SLIPS_OF_MISTAKES * c.mistake)

/** Steps between two states over the attributes that both have. */
export function stepsApart(a: Record<string, number>, b: Record<string, number>): number {
  return Object.keys(a).reduce((sum, k) => (b[k] === undefined ? sum : sum + Math.abs(a[k]! - b[k]!)), 0)
}

/**
 * Share of careful looks that take one state for another because they are like each other: the pair's own share, or
 * `near` x e^-steps by their places, whichever is more.
 */
export function nearShare(character: Character, is: string, said: string, stage: Stage): number {
  const pair = character.takenFor.find(
    (m) => m.is === is && m.said === said && (m.stage === undefined || m.stage === stage),
  )
  const [a, b] = [character.places?.[is], character.places?.[said]]
  const byPlace = a && b ? (character.near ?? 0) * Math.exp(-stepsApart(a, b)) : 0
  return Math.max(pair?.share ?? 0, byPlace)
}

const sumOf = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0)

/** Set what is left of a row on the state that is there. */
function closed(row: number[], here: number): number[] {
  row[here] = 0
  row[here] = 1 - sumOf(row)
  return row
}

/**
 * Probability of each answer given what is truly there, as an eye errs that mistakes like for like:
 *
 *   P(s|t) = k x near(t, s) + g x (0.75 met(s) + 0.25 / n),  s other than t
 *
 * with g the chance of a slip, so that one odd answer never costs more than log2(1 / (g met)) bits. A less sure look
 * errs more (k 1.6 and 2.5, g 2.5 and 6 times) and at least 1 and 3 times in 10.
 *
 * @param met how often each state is met at all, summing to 1
 * @returns a row per true state, a column per answered state, each row summing to 1
 */
function nearConfusion(character: Character, sureness: Sureness, stage: Stage, met: readonly number[]): number[][] {
  const states = character.states ?? []
  const n = states.length
  const slip = slipOf(character) * MISTAKES_TIMES[sureness]
  const anything = states.map((_, s) => SLIP_AS_MET * (met[s] ?? 1 / n) + (1 - SLIP_AS_MET) / n)
  return states.map((is, t) => {
    const row = states.map((said, s) =>
      s === t ? 0 : NEAR_TIMES[sureness] * nearShare(character, is, said, stage) + slip * anything[s]!,
    )
    const wrong = sumOf(row)
    if (wrong === 0) return closed(row, t)
    const most = 1 - 1 / n
    const share = Math.min(Math.max(wrong, LEAST_WRONG[sureness]), most)
    // What a hasty look adds may be anything that is met.
    const elsewhere = sumOf(anything) - anything[t]!
    const added = Math.max(0, share - wrong)
    const kept = Math.min(wrong, most) / wrong
    return closed(
      row.map((x, s) => (s === t ? 0 : x * kept + (added * anything[s]!) / elsewhere)),
      t,
    )
  })
}

/** The same where every wrong state is equally wrong but for pairs that trained people mix up. */
function evenConfusion(character: Character, sureness: Sureness, stage: Stage): number[][] {
  const states = character.states ?? []
  const n = states.length
  return states.map((is, t) => {
    const row = states.map((said) => {
      const pair = character.takenFor.find(
        (m) => m.is === is && m.said === said && (m.stage === undefined || m.stage === stage),
      )
      return character.mistake / Math.max(1, n - 1) + PAIR_TIMES_EVEN * (pair?.share ?? 0)
    })
    row[t] = 0
    const wrong = sumOf(row)
    // Even a pure guess keeps a little worth: never wrong more often than an answer drawn by lot.
    const share = Math.min(Math.max(MISTAKES_TIMES[sureness] * wrong, LEAST_WRONG[sureness]), 1 - 1 / n)
    // What is mixed up by one who looked is not all that is mixed up by one who did not: half falls anywhere.
    const anywhere = sureness === 'sure' ? 0 : 0.5
    const scaled = row.map((x, s) =>
      s === t || n === 1 ? 0 : share * (anywhere / (n - 1) + (wrong === 0 ? 0 : ((1 - anywhere) * x) / wrong)),
    )
    return closed(scaled, t)
  })
}

/**
 * Probability of each answer given what is truly there.
 *
 * @param met how often each state is met at all; only the near observer asks for it
 * @returns a row per true state, a column per answered state, each row summing to 1
 */
export function confusionMatrix(
  character: Character,
  sureness: Sureness,
  stage: Stage,
  observer: Observer = 'near',
  met: readonly number[] = [],
): number[][] {
  return observer === 'even'
    ? evenConfusion(character, sureness, stage)
    : nearConfusion(character, sureness, stage, met)
}

/**
 * How far a measured size spreads beyond the plant's own range, how often it is read off a leaf that is not the one
 * meant (smaller, torn, not at its widest), and how often quite wrongly.
 */
export function measuringError(sureness: Sureness): { widen: number; loose: number; blunder: number } {
  if (sureness === 'sure') return { widen: 0.95, loose: 0.08, blunder: 0.01 }
  if (sureness === 'likely') return { widen: 0.85, loose: 0.15, blunder: 0.05 }
  return { widen: 0.65, loose: 0.25, blunder: 0.2 }
}
