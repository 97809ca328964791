import { describe, expect, it } from 'vitest'
import {
  ANSWERS_FILE,
  fleissKappa,
  groupQuestions,
  pairKappa,
  readAnswers,
  readSet,
  SET_FILE,
  type SetAnswers,
  type TrainerSet,
} from '@/core/practice/trainerSet.ts'
import { keyPath } from '@/core/practice/keyPath.ts'
import { practiseSpecimen } from '@/core/practice/specimen.ts'
import { book, plantsById } from '@/tests/support/book.ts'
import { randomLcg } from 'd3-random'

const set: TrainerSet = {
  kind: SET_FILE,
  version: 1,
  id: 's1',
  title: 'Clovers',
  questions: ['white-clover', 'red-clover', 'alsike-clover'].map((about, i) => ({ kind: 'name', about, seed: i / 10 })),
}
const by = (who: string, answered: string[]): SetAnswers => ({
  kind: ANSWERS_FILE,
  version: 1,
  set: 's1',
  who,
  answers: answered.map((a, i) => ({ about: set.questions[i]!.about, answered: a, right: a === set.questions[i]!.about, sure: 0.9, seconds: 5 })), // prettier-ignore
})

describe('a set for a group', () => {
  it('comes back from its file, and so do answers; anything else is refused with a reason', () => {
    expect(readSet(JSON.stringify(set))).toEqual({ set })
    const answers = by('Wren', ['white-clover', 'red-clover', 'white-clover'])
    expect(readAnswers(JSON.stringify(answers))).toEqual({ answers })
    for (const bad of [
      '',
      '[]',
      '{"kind":"x"}',
      JSON.stringify({ ...set, version: 2 }),
      JSON.stringify({ ...set, questions: [] }),
      JSON.stringify({ ...set, questions: [{ kind: 'name', about: 'x', seed: 7 }] }),
    ])
      // prettier-ignore
      expect(readSet(bad), bad).toHaveProperty('problem')
    for (const bad of [
      'null',
      JSON.stringify(set),
      JSON.stringify({ ...answers, answers: [{ about: 'x', answered: 'y', right: 'yes', sure: 1 }] }),
      JSON.stringify({ ...answers, answers: [{ about: 'x', answered: 'y', right: true, sure: 3 }] }),
    ])
      // prettier-ignore
      expect(readAnswers(bad), bad).toHaveProperty('problem')
  })

  it('question by question: how many were right, and what it was called instead', () => {
    const group = [
      by('Wren', ['white-clover', 'red-clover', 'white-clover']),
      by('Ash', ['white-clover', 'alsike-clover', 'white-clover']),
      by('Bryn', ['white-clover', 'red-clover', 'alsike-clover']),
    ]
    expect(groupQuestions(set, group)).toEqual([
      { about: 'white-clover', right: 3, answered: 3, wrong: [] },
      { about: 'red-clover', right: 2, answered: 3, wrong: [{ called: 'alsike-clover', times: 1 }] },
      { about: 'alsike-clover', right: 1, answered: 3, wrong: [{ called: 'white-clover', times: 2 }] },
    ])
  })

  it('agreement of many: the worked example of Fleiss 1971 in its usual short form (14 raters, 10 subjects, 5 classes)', () => {
    // The table is the one printed with the usual worked example (from memory): kappa 0.210.
    const table = [[0, 0, 0, 0, 14], [0, 2, 6, 4, 2], [0, 0, 3, 5, 6], [0, 3, 9, 2, 0], [2, 2, 8, 1, 1], [7, 7, 0, 0, 0], [3, 2, 6, 3, 0], [2, 5, 3, 2, 2], [6, 5, 2, 1, 0], [0, 2, 2, 3, 7]] // prettier-ignore
    const answers = table.map((row) => row.flatMap((n, j) => Array.from({ length: n }, () => 'abcde'[j]!)))
    expect(fleissKappa(answers)!).toBeCloseTo(0.21, 3)
    expect(fleissKappa([['a', 'a']])).toBeUndefined()
    expect(fleissKappa([])).toBeUndefined()
    expect(fleissKappa([['a', 'a'], ['b', 'b']])).toBe(1) // prettier-ignore
  })

  it('agreement of two is Cohen’s', () => {
    const [a, b] = [by('Wren', ['white-clover', 'red-clover', 'x']), by('Ash', ['white-clover', 'red-clover', 'y'])]
    // Observed 2/3; expected (1/9 + 1/9) = 2/9; kappa (2/3 - 2/9) / (7/9) = 4/7.
    expect(pairKappa(a, b)!).toBeCloseTo(4 / 7, 10)
    expect(pairKappa(a, { ...b, answers: [] })).toBeUndefined()
  })
})

describe('keying against the engine', () => {
  it('the engine asks only what the specimen shows, never twice, and mostly names it', () => {
    let named = 0
    const ids = ['tall-fescue', 'white-clover', 'dandelion', 'johnsongrass', 'common-burdock', 'soft-rush']
    for (const id of ids) {
      const specimen = practiseSpecimen(book, plantsById.get(id)!, 'vegetative', 'whole', randomLcg(0.37))
      const path = keyPath(book, specimen)
      const seen = specimen.seen.map((o) => o.character)
      expect(
        path.every((s) => seen.includes(s.character)),
        id,
      ).toBe(true)
      expect(new Set(path.map((s) => s.character)).size).toBe(path.length)
      if (path.at(-1)?.first === id) named++
    }
    expect(named).toBeGreaterThanOrEqual(5)
  })
})
