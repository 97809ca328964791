/** Ways to practise. */
export const practiceKinds = ['name', 'poison', 'check', 'read', 'seed', 'key', 'cover', 'rank'] as const
export type PracticeKind = (typeof practiceKinds)[number]

/** One answer, as it is kept. */
export interface PracticeAnswer {
  id: string
  kind: PracticeKind
  /** What is learned: a plant, two plants joined by `|`, or a character. */
  about: string
  /** What was answered, in the same terms; empty where the person passed. */
  answered: string
  right: boolean
  /** 0 to 1. */
  sure: number
  seconds: number
  /** ISO time. */
  at: string
  /**
   * Cover by eye: what was there and what was said, 0 to 1. Key: checks taken, and those the engine took. Name: effort of the
   * looks that were taken as said, and all that could be spent as truth.
   */
  measured?: { truth: number; said: number }
}
