import type { Character, Effort } from '../flora/flora.ts'

/** What a look costs against a glance, and how much dearer one that is often misread is: colour comes last. Conventions of this project. */
const COST: Record<Effort, number> = { glance: 1, hand: 1.1, lens: 1.25, dig: 1.6 }
const OFTEN_MISREAD = 0.15
const MISREAD_COST = 1.5

/** Effort of a look, 1 for a glance at something that is seldom misread. */
export const costOf = (c: Character): number => COST[c.effort] * (c.mistake >= OFTEN_MISREAD ? MISREAD_COST : 1)
