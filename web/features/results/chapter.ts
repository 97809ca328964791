import type { ComponentType } from 'react'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import type { Outlook, Round } from '@/core/records/round.ts'

/** Chapters of a round's results, in the order they are read; each has an address of its own. */
export const chapterIds = [
  'made-of',
  'says',
  'harm',
  'unseen',
  'do',
  'worth',
  'stock',
  'sow',
  'ground',
  'kept',
  'year',
] as const
export type ChapterId = (typeof chapterIds)[number]

/** What speaks of feed says nothing of a turf, and how a turf is kept nothing of a pasture. */
const OF_FEED: readonly ChapterId[] = ['worth', 'stock', 'sow', 'ground']
const OF_TURF: readonly ChapterId[] = ['kept']

export const chaptersFor = (outlook: Outlook): ChapterId[] =>
  chapterIds.filter((id) => !(outlook === 'turf' ? OF_FEED : OF_TURF).includes(id))

export const isChapter = (id: string): id is ChapterId => (chapterIds as readonly string[]).includes(id)

/** How far the sward has gone, of what it is judged at as feed. */
export const growths = ['walked', 'leafy', 'headed'] as const
export type Growth = (typeof growths)[number]

/** What is lit in both halves and in every chapter: a plant, and a stop of the walk. */
export interface Lit {
  plant: string
  light: (plant: string) => void
  stop: number | undefined
  lightStop: (seq: number | undefined) => void
  growth: Growth
  judge: (growth: Growth) => void
}

export interface ChapterProps {
  round: Round
  weighed: WeighUp
  lit: Lit
}

/** A chapter: on the right what follows, on the left what it stands on. */
export interface Chapter {
  Ground: ComponentType<ChapterProps>
  Follows: ComponentType<ChapterProps>
  /** What stands below it as well. */
  Beside?: ComponentType<ChapterProps>
}
