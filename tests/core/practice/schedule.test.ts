import { randomLcg } from 'd3-random'
import { createEmptyCard, fsrs, generatorParameters, Rating } from 'ts-fsrs'
import { describe, expect, it } from 'vitest'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { confusions } from '@/core/practice/confusions.ts'
import { dueNow, gradeOf, knownNow, learnedFrom } from '@/core/practice/schedule.ts'
import { newPlants, sessionOf } from '@/core/practice/session.ts'
import { flora } from '@/tests/support/book.ts'

let n = 0
const answer = (about: string, right: boolean, at: string, rest: Partial<PracticeAnswer> = {}): PracticeAnswer => ({
  id: String(n++),
  kind: 'name',
  about,
  answered: right ? about : 'dandelion',
  right,
  sure: 0.9,
  seconds: 8,
  at,
  ...rest,
})
const day = (d: number, hour = 9) => new Date(Date.UTC(2027, 3, 1 + d, hour)).toISOString()
const around = { region: 'cool-humid' as const, met: ['timothy', 'red-clover'] }

describe('when a thing is asked again, by the package itself', () => {
  it('the same answers give the day that FSRS gives', () => {
    const scheduler = fsrs(generatorParameters({ enable_fuzz: false, request_retention: 0.9 }))
    let card = createEmptyCard(new Date(day(0)))
    card = scheduler.next(card, new Date(day(0)), Rating.Good).card
    card = scheduler.next(card, new Date(day(1)), Rating.Again).card
    const learned = learnedFrom([answer('timothy', false, day(1)), answer('timothy', true, day(0))])
    expect(learned.get('timothy')!.card.due).toEqual(card.due)
    expect(learned.get('timothy')).toMatchObject({ right: 1, answers: 2 })
  })

  it('a right answer that was a guess comes back sooner than one that was certain, a wrong one soonest', () => {
    const due = (right: boolean, sure: number) =>
      Number(learnedFrom([answer('timothy', right, day(0), { sure })]).get('timothy')!.card.due)
    expect(due(false, 0.9)).toBeLessThanOrEqual(due(true, 0.5))
    expect(due(true, 0.5)).toBeLessThan(due(true, 0.9))
    expect(due(true, 0.9)).toBeLessThan(due(true, 0.99))
    expect(gradeOf({ right: true, sure: 0.5 })).toBe(Rating.Hard)
  })

  it('what is overdue longest is asked first; nothing is due before its day', () => {
    const answers = [
      answer('timothy', true, day(0), { sure: 0.99 }),
      answer('red-clover', true, day(3), { sure: 0.99 }),
    ]
    const learned = learnedFrom(answers)
    expect(dueNow(learned.values(), new Date(day(3, 10))).map((l) => l.about)).not.toContain('red-clover')
    expect(dueNow(learned.values(), new Date(day(200))).map((l) => l.about)).toEqual(['timothy', 'red-clover'])
    expect(knownNow(learned.get('timothy')!, new Date(day(1)))).toBeGreaterThan(knownNow(learned.get('timothy')!, new Date(day(90)))) // prettier-ignore
  })
})

describe('what a session asks', () => {
  it('begins with plants sown or found at the reader’s places, then the common ones of the region', () => {
    const asks = sessionOf([], flora.plants, around, new Date(day(0)), 8, randomLcg(0.4))
    expect(asks.slice(0, 2).map((a) => a.about).sort()).toEqual(['red-clover', 'timothy']) // prettier-ignore
    expect(asks.every((a) => a.because === 'new' && a.kind === 'name')).toBe(true)
    expect(newPlants(flora.plants, around, new Set(), randomLcg(0.4)).every((id) => flora.plants.find((p) => p.id === id)!.regions['cool-humid'] || around.met.includes(id))).toBe(true) // prettier-ignore
  })

  it('among plants that are equally common the order cannot be foreseen', () => {
    const orders = [0.1, 0.4, 0.7].map((seed) => newPlants(flora.plants, around, new Set(), randomLcg(seed)))
    expect(new Set(orders.map((o) => o.join())).size).toBe(3)
    for (const order of orders) expect(order.slice(2, 12)).not.toEqual(order.slice(2, 12).toSorted())
    expect(new Set(orders.map((o) => o.toSorted().join())).size).toBe(1)
  })

  it('a confusion brings the check that splits the pair; what is due comes before it and leaves room for new', () => {
    const answers = [
      answer('timothy', false, day(0), { answered: 'meadow-foxtail' }),
      answer('timothy', false, day(0, 10), { answered: 'meadow-foxtail' }),
    ]
    expect(confusions(answers)).toEqual([{ shown: 'timothy', called: 'meadow-foxtail', times: 2 }])
    const asks = sessionOf(answers, flora.plants, around, new Date(day(5)), 6, randomLcg(0.4))
    expect(asks[0]).toMatchObject({ about: 'timothy', because: 'due' })
    expect(asks[1]).toEqual({ kind: 'check', about: 'meadow-foxtail|timothy', because: 'confused' })
    expect(asks.slice(2).every((a) => a.because === 'new')).toBe(true)
    expect(new Set(asks.map((a) => a.about)).size).toBe(6)
  })

  it('a plant that is no longer in the book is not asked', () => {
    const asks = sessionOf(
      [answer('gone-grass', false, day(0))],
      flora.plants,
      around,
      new Date(day(9)),
      5,
      randomLcg(0.4),
    )
    expect(asks.map((a) => a.about)).not.toContain('gone-grass')
  })
})

describe('an untrained reader', () => {
  /** A reader who learns: each answer strengthens what is shown, and it fades with the days since (made, not measured). */
  function driven(sessions: number, seed: number) {
    const random = randomLcg(seed)
    const strength = new Map<string, { days: number; at: number }>()
    const answers: PracticeAnswer[] = []
    const shares: { due: number[]; all: number[] } = { due: [], all: [] }
    for (let s = 0; s < sessions; s++) {
      const now = s * 2
      const asks = sessionOf(answers, flora.plants, around, new Date(day(now)), 12, randomLcg(0.4))
      const right = asks.map((ask, i) => {
        const known = strength.get(ask.about)
        const chance = known ? 0.25 + 0.75 * 0.9 ** ((now - known.at) / known.days) : 0.25
        const is = random() < chance
        strength.set(ask.about, { days: (known?.days ?? 1) * (is && known ? 2.4 : 1.2), at: now })
        answers.push(answer(ask.about, is, new Date(Date.parse(day(now)) + i * 20_000).toISOString(), { sure: is ? 0.9 : 0.7, answered: is ? ask.about : 'meadow-foxtail' })) // prettier-ignore
        return { because: ask.because, is }
      })
      const of = (list: { is: boolean }[]) => (list.length === 0 ? NaN : list.filter((r) => r.is).length / list.length)
      shares.due.push(of(right.filter((r) => r.because === 'due')))
      shares.all.push(of(right))
    }
    return shares
  }

  it('through ten sessions gets better, and is right about what comes back most of the time, as the schedule intends', () => {
    const readers = Array.from({ length: 20 }, (_, i) => driven(10, (i + 0.5) / 20))
    const mean = (list: number[]) => {
      const good = list.filter((x) => !Number.isNaN(x))
      return good.reduce((a, b) => a + b, 0) / good.length
    }
    const first = mean(readers.map((r) => r.all[0]!))
    const last = mean(readers.flatMap((r) => r.all.slice(-2)))
    // Four names: a quarter is right by chance.
    expect(first).toBeLessThan(0.4)
    expect(last).toBeGreaterThan(first + 0.2)
    expect(mean(readers.flatMap((r) => r.due.slice(-3)))).toBeGreaterThan(0.65)
  })
})
