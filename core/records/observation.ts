import type { Region, Stage } from '../flora/flora.ts'

/** How sure somebody is of what they saw. */
export const surenesses = ['sure', 'likely', 'guess'] as const
export type Sureness = (typeof surenesses)[number]

export interface Context {
  /** 1 to 12. */
  month?: number
  stage?: Stage
  region?: Region
  /** Plant ids of the sown list. */
  sown?: string[]
  /** Plant ids that the last round found here. */
  found?: string[]
  /** Plant ids met in the same paddock today. */
  neighbours?: string[]
  /** What the ground is like: wet, dry, shade, compacted, fertile, disturbed. */
  ground?: string[]
  /** Kit that was left at home: looks that need it are not suggested. */
  lacking?: ('lens' | 'spade')[]
}

/**
 * One look. Several states mean "either of these". Counts and values are of several plants of one kind pulled:
 * "two of five had purple bases". A plant that lacks the part is simply not counted.
 */
export type Observation = { character: string; sureness?: Sureness } & (
  | { states: string[] }
  | { counts: Record<string, number> }
  | { value: number; unit?: 'mm' }
  | { values: number[]; unit?: 'mm' }
)

/** Answer that carries no evidence. */
export const CANT_TELL = 'cant-tell'

/** True where an observation says something. */
export function isEvidence(o: Observation): boolean {
  return !('states' in o) || !o.states.includes(CANT_TELL)
}
