import type { PracticeKind } from '@/core/practice/answer.ts'
import { say } from './say.ts'

const kindNames: Record<PracticeKind, () => string> = {
  name: () => say('Name it'),
  poison: () => say('Poison round'),
  check: () => say('Which check splits these two'),
  read: () => say('Read the part'),
  seed: () => say('Seed tray'),
  key: () => say('Key it with few checks'),
  cover: () => say('Cover by eye'),
  rank: () => say('Rank three'),
}

export const kindName = (kind: PracticeKind): string => kindNames[kind]()
