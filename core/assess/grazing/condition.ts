/** Condition of a pasture, scored from what was counted and four things that are asked. */
import { askedConditions, type AskedCondition, type ConditionAnswers } from '../../records/management.ts'
import type { Share } from '../../survey/composition.ts'

export const counted = ['desirable', 'legume', 'cover', 'kinds', 'litter', 'grazed'] as const
export type ConditionPart = (typeof counted)[number] | AskedCondition

/** Marks above which the next score stands: five scores, four marks each (pasture condition guides of extension services, from memory). */
const MARKS: Record<'desirable' | 'legume' | 'cover', readonly number[]> = {
  desirable: [0.2, 0.4, 0.6, 0.8],
  legume: [0.1, 0.2, 0.3, 0.4],
  cover: [0.5, 0.7, 0.8, 0.9],
}
/** Share of stops grazed hard at which the score falls by one. */
const HARD = [0.1, 0.3, 0.5, 0.8] as const
/** Litter: some is good, much smothers and none leaves the ground bare. */
const LITTER_BEST = [0.05, 0.3] as const
/** A kind counts from this share of the sward. */
const KIND_FROM = 0.1

const score = (marks: readonly number[], x: number): number => 1 + marks.filter((m) => x >= m).length

export interface ConditionScore {
  part: ConditionPart
  /** 1 to 5, at the estimate and over its interval. */
  score: number
  low: number
  high: number
}

export interface Condition {
  parts: ConditionScore[]
  /** Sum of what is known, and the most it could be: 10 parts of 5. */
  sum: number
  low: number
  high: number
  of: number
  /** The part that is worst, where something is to be gained first. */
  weakest: ConditionPart
  /** Not answered yet. */
  open: AskedCondition[]
}

export interface ConditionFacts {
  desirable: Share
  legume: Share
  /** Living plants against bare ground and litter. */
  cover: Share
  litter: Share
  /** Shares of groups of plants: grasses of either season, legumes, broad-leaved herbs. */
  groups: readonly number[]
  /** Share of stops that were grazed hard; undefined where nobody noted it. */
  hard: number | undefined
}

function byMarks(part: keyof typeof MARKS, { estimate, interval }: Share): ConditionScore {
  const at = (x: number) => score(MARKS[part], x)
  return { part, score: at(estimate), low: at(interval?.[0] ?? estimate), high: at(interval?.[1] ?? estimate) }
}

const exact = (part: ConditionPart, value: number): ConditionScore => ({ part, score: value, low: value, high: value })

const litterScore = (x: number): number =>
  x >= LITTER_BEST[0] && x <= LITTER_BEST[1] ? 5 : x < LITTER_BEST[0] ? 3 : x <= 0.5 ? 3 : 1

/**
 * Scores of 1 (poor) to 5 for each part, their sum with the interval of the counted ones, and what is weakest.
 *
 * @throws RangeError an answer that is no whole score of 1 to 5
 */
export function pastureCondition(facts: ConditionFacts, answers: ConditionAnswers): Condition {
  for (const a of Object.values(answers))
    if (!(Number.isInteger(a) && a >= 1 && a <= 5)) throw new RangeError(`a score is 1 to 5: ${a}`)
  const { litter } = facts
  const parts = [
    byMarks('desirable', facts.desirable),
    byMarks('legume', facts.legume),
    byMarks('cover', facts.cover),
    exact('kinds', Math.min(5, 1 + facts.groups.filter((g) => g >= KIND_FROM).length)),
    exact('litter', litterScore(litter.estimate)),
    ...(facts.hard === undefined ? [] : [exact('grazed', 5 - HARD.filter((m) => facts.hard! >= m).length)]),
    ...askedConditions.flatMap((part) => (answers[part] === undefined ? [] : [exact(part, answers[part])])),
  ]
  const sum = (of: 'score' | 'low' | 'high') => parts.reduce((s, p) => s + p[of], 0)
  return {
    parts,
    sum: sum('score'),
    low: sum('low'),
    high: sum('high'),
    of: 5 * parts.length,
    weakest: parts.toSorted((a, b) => a.score - b.score)[0]!.part,
    open: askedConditions.filter((a) => answers[a] === undefined),
  }
}
