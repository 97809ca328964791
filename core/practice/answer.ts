import { say } from '../say.ts'

/** Ways to practise. */
export const practiceKinds = ['name', 'poison', 'check', 'read', 'seed', 'key', 'cover', 'rank'] as const
export type PracticeKind = (typeof practiceKinds)[number]

export const kindNames: Record<PracticeKind, string> = {
  name: say('Name it'),
  poison: say('Poison round'),
  check: say('Which check splits these two'),
  read: say('Read the part'),
  seed: say('Seed tray'),
  key: say('Key it with few checks'),
  cover: say('Cover by eye'),
  rank: say('Rank three'),
}

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
  /** Cover by eye: what was there and what was said, 0 to 1. Key: checks taken, and those the engine took. */
  measured?: { truth: number; said: number }
}
