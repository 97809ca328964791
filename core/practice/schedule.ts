import { createEmptyCard, fsrs, generatorParameters, Rating, State, type Card, type Grade } from 'ts-fsrs'
import type { PracticeAnswer } from './answer.ts'

/** Nothing is shuffled, so that the same answers always give the same days. */
const scheduler = fsrs(generatorParameters({ enable_fuzz: false, request_retention: 0.9 }))

/** Under this sureness a right answer was a guess that came off. */
const GUESS = 0.75
const CERTAIN = 0.95

/** What an answer means for when to ask again. */
export function gradeOf({ right, sure }: Pick<PracticeAnswer, 'right' | 'sure'>): Grade {
  if (!right) return Rating.Again
  if (sure < GUESS) return Rating.Hard
  return sure >= CERTAIN ? Rating.Easy : Rating.Good
}

/** What is known of one thing to learn. */
export interface Learned {
  about: string
  card: Card
  right: number
  answers: number
}

/**
 * When each thing is to be asked again, from all answers so far, by the free spaced repetition scheduler (FSRS). Nothing
 * but the answers is kept, so a better scheduler can start from them.
 */
export function learnedFrom(answers: readonly PracticeAnswer[]): Map<string, Learned> {
  const known = new Map<string, Learned>()
  const inOrder = [...answers].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
  for (const answer of inOrder) {
    const at = new Date(answer.at)
    const before = known.get(answer.about)
    const card = scheduler.next(before?.card ?? createEmptyCard(at), at, gradeOf(answer)).card
    known.set(answer.about, {
      about: answer.about,
      card,
      right: (before?.right ?? 0) + Number(answer.right),
      answers: (before?.answers ?? 0) + 1,
    })
  }
  return known
}

/** Things whose day has come, the longest overdue first. */
export const dueNow = (learned: Iterable<Learned>, now: Date): Learned[] =>
  [...learned].filter((l) => l.card.due <= now).sort((a, b) => Number(a.card.due) - Number(b.card.due))

/** Chance that it is still known now, 0 to 1, as the scheduler reckons. */
export const knownNow = ({ card }: Learned, now: Date): number =>
  card.state === State.New ? 0 : scheduler.get_retrievability(card, now, false)
