import { coded } from '../coded.ts'
import type { FileRefusal } from '../formats/fileProblem.ts'
import { cohenKappa } from '../stats/agreement.ts'
import { practiceKinds, type PracticeAnswer, type PracticeKind } from './answer.ts'

export const SET_FILE = 'fold-sprig-practice-set'
export const ANSWERS_FILE = 'fold-sprig-practice-answers'

/** Questions that a trainer gives to a group: everybody sees the same specimens. */
export interface TrainerSet {
  kind: typeof SET_FILE
  version: 1
  id: string
  title: string
  questions: { kind: PracticeKind; about: string; seed: number }[]
}

/** What one trainee answered, in the order of the set. */
export interface SetAnswers {
  kind: typeof ANSWERS_FILE
  version: 1
  set: string
  who: string
  answers: Pick<PracticeAnswer, 'about' | 'answered' | 'right' | 'sure' | 'seconds'>[]
}

const MOST_QUESTIONS = 200
const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x)
const isText = (x: unknown, most: number): x is string => typeof x === 'string' && x.length <= most

/** A set from its file, or what is wrong with it in words. */
export function readSet(text: string): { set: TrainerSet } | { problem: FileRefusal } {
  const value = parsed(text)
  if (!isObject(value) || value.kind !== SET_FILE) return { problem: coded('not-a-practice-set') }
  if (value.version !== 1)
    return {
      problem: coded('practice-set-version', { version: String(value.version) }),
    }
  const { id, title, questions } = value
  const good =
    isText(id, 100) &&
    isText(title, 200) &&
    Array.isArray(questions) &&
    questions.length > 0 &&
    questions.length <= MOST_QUESTIONS &&
    questions.every(
      (q) =>
        isObject(q) &&
        (practiceKinds as readonly unknown[]).includes(q.kind) &&
        isText(q.about, 200) &&
        typeof q.seed === 'number' &&
        q.seed >= 0 &&
        q.seed < 1,
    )
  return good ? { set: value as unknown as TrainerSet } : { problem: coded('practice-set-parts-wrong') }
}

/** Answers of a trainee from their file, or what is wrong with it in words. */
export function readAnswers(text: string): { answers: SetAnswers } | { problem: FileRefusal } {
  const value = parsed(text)
  if (!isObject(value) || value.kind !== ANSWERS_FILE) return { problem: coded('not-answers') }
  const { set, who, answers } = value
  const good =
    isText(set, 100) &&
    isText(who, 200) &&
    Array.isArray(answers) &&
    answers.length <= MOST_QUESTIONS &&
    answers.every(
      (a) =>
        isObject(a) &&
        isText(a.about, 200) &&
        isText(a.answered, 200) &&
        typeof a.right === 'boolean' &&
        typeof a.sure === 'number' &&
        a.sure >= 0 &&
        a.sure <= 1,
    )
  return good ? { answers: value as unknown as SetAnswers } : { problem: coded('answers-parts-wrong') }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

/** How a group did on one question of a set. */
export interface GroupQuestion {
  about: string
  right: number
  answered: number
  /** Wrong answers, the commonest first. */
  wrong: { called: string; times: number }[]
}

/** Question by question, in the order of the set. */
export function groupQuestions(set: TrainerSet, group: readonly SetAnswers[]): GroupQuestion[] {
  return set.questions.map(({ about }, i) => {
    const given = group.flatMap((g) => g.answers[i] ?? [])
    const counts = new Map<string, number>()
    for (const a of given) if (!a.right) counts.set(a.answered, (counts.get(a.answered) ?? 0) + 1)
    return {
      about,
      right: given.filter((a) => a.right).length,
      answered: given.length,
      wrong: [...counts].map(([called, times]) => ({ called, times })).sort((a, b) => b.times - a.times),
    }
  })
}

/**
 * Agreement among more than two people beyond chance (Fleiss 1971), over questions that all of them answered.
 *
 * @param answers for each question, what each person answered
 * @returns undefined where nothing can be compared
 */
export function fleissKappa(answers: readonly (readonly string[])[]): number | undefined {
  const people = answers[0]?.length ?? 0
  if (people < 2 || answers.some((a) => a.length !== people)) return undefined
  const classes = [...new Set(answers.flat())]
  const counts = answers.map((a) => classes.map((c) => a.filter((x) => x === c).length))
  const agree = counts.map((row) => (row.reduce((s, n) => s + n * n, 0) - people) / (people * (people - 1)))
  const observed = agree.reduce((a, b) => a + b, 0) / agree.length
  const shares = classes.map((_, j) => counts.reduce((s, row) => s + row[j]!, 0) / (answers.length * people))
  const expected = shares.reduce((s, p) => s + p * p, 0)
  return expected < 1 ? (observed - expected) / (1 - expected) : undefined
}

/** Agreement of two people over the questions that both answered (Cohen 1960). */
export function pairKappa(a: SetAnswers, b: SetAnswers): number | undefined {
  const n = Math.min(a.answers.length, b.answers.length)
  const classes = [...new Set([...a.answers, ...b.answers].map((x) => x.answered))]
  if (n === 0 || classes.length < 2) return undefined
  const table = classes.map(() => classes.map(() => 0))
  for (let i = 0; i < n; i++)
    table[classes.indexOf(a.answers[i]!.answered)]![classes.indexOf(b.answers[i]!.answered)]!++
  const { kappa } = cohenKappa(table)
  return Number.isFinite(kappa) ? kappa : undefined
}
