import type { Interval } from '../stats/clusterRatio.ts'
import { wilson } from '../stats/proportionIntervals.ts'

/** An answer with how sure the person said they were, 0 to 1 of being right. */
export interface Judged {
  sure: number
  right: boolean
}

/** What may be said of sureness, and what it stands for. */
export const surenessSteps = [0.5, 0.7, 0.9, 0.95, 0.99] as const

/** Least and most chance that is taken, so that a single answer said to be certain does not cost without end. */
const [LEAST, MOST] = [0.01, 0.99]

const given = ({ sure, right }: Judged): number => {
  if (!(sure >= 0 && sure <= 1)) throw new RangeError(`sureness is 0 to 1: ${sure}`)
  const p = Math.min(MOST, Math.max(LEAST, sure))
  return right ? p : 1 - p
}

const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length

/**
 * Logarithmic score: the mean of -ln of the chance that was given to what came true; 0 is the best, ln 2 is a coin
 * (Good 1952). Chances are held between 0.01 and 0.99.
 *
 * @returns undefined without an answer
 * @throws RangeError sureness out of 0 to 1
 */
export const logScore = (answers: readonly Judged[]): number | undefined =>
  answers.length === 0 ? undefined : mean(answers.map((a) => -Math.log(given(a))))

/** Brier score: the mean squared difference between what was said and what came true, 0 the best (Brier 1950). */
export const brierScore = (answers: readonly Judged[]): number | undefined =>
  answers.length === 0 ? undefined : mean(answers.map((a) => (a.sure - Number(a.right)) ** 2))

/** How often one was right where one said so sure. */
export interface ReliabilityPoint {
  /** Mean of what was said, 0 to 1. */
  said: number
  right: number
  answers: number
  share: number
  interval: Interval
}

/**
 * Reliability: answers of like sureness put together, how often they were right, with the 95 % interval of Wilson 1927.
 *
 * @param edges upper edges of the classes of sureness, rising, the last 1
 */
export function reliability(answers: readonly Judged[], edges: readonly number[] = [0.6, 0.8, 0.925, 0.97, 1]) {
  return edges.flatMap((edge, i): ReliabilityPoint[] => {
    const from = i === 0 ? -Infinity : edges[i - 1]!
    const here = answers.filter((a) => a.sure > from && a.sure <= edge)
    if (here.length === 0) return []
    const right = here.filter((a) => a.right).length
    return [
      {
        said: mean(here.map((a) => a.sure)),
        right,
        answers: here.length,
        share: right / here.length,
        interval: wilson({ x: right, n: here.length }),
      },
    ]
  })
}

/**
 * The Brier score in its parts (Murphy 1973), over the classes of sureness that were said: how far what was said lies from
 * how it came (reliability, 0 the best), how much the classes differ (resolution), and how hard it was (uncertainty).
 * Their sum, reliability - resolution + uncertainty, is the score itself where every answer of a class said the same.
 */
export function brierParts(answers: readonly Judged[]) {
  if (answers.length === 0) return undefined
  const base = mean(answers.map((a) => Number(a.right)))
  const classes = new Map<number, boolean[]>()
  for (const a of answers) classes.set(a.sure, [...(classes.get(a.sure) ?? []), a.right])
  let [off, apart] = [0, 0]
  for (const [said, came] of classes) {
    const share = mean(came.map(Number))
    off += came.length * (said - share) ** 2
    apart += came.length * (share - base) ** 2
  }
  return { reliability: off / answers.length, resolution: apart / answers.length, uncertainty: base * (1 - base) }
}

/** Too sure, not sure enough, or neither, by more than chance would have it (two standard errors of what was said). */
export function bearing(answers: readonly Judged[]): 'too sure' | 'not sure enough' | 'well judged' | undefined {
  if (answers.length < 10) return undefined
  const off = mean(answers.map((a) => a.sure - Number(a.right)))
  const se = Math.sqrt(answers.reduce((s, a) => s + a.sure * (1 - a.sure), 0)) / answers.length
  return off > 2 * se ? 'too sure' : off < -2 * se ? 'not sure enough' : 'well judged'
}
