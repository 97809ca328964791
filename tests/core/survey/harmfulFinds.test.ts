import { describe, expect, it } from 'vitest'
import { harmfulFinds } from '@/core/survey/harmfulFinds.ts'
import type { Position } from '@/core/geo/route.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const at = (n: number): Position => [-29.4 + n / 10_000, 45.6]
const stop = (n: number, counts: Record<string, number>, extra = {}) =>
  countedStop(n, { hits: hitsOf(counts), position: at(n), ...extra })
const walked = (
  plannedOn: string,
  stops: ReturnType<typeof stop>[],
  unknowns: { letter: string; namedAs: string }[] = [],
) => ({
  ...roundOf('step-points', stops),
  id: plannedOn,
  plannedOn,
  unknowns,
})

// Where something harmful was met is a fact of the counts: each case by hand.
describe('harmful finds over the years', () => {
  it('are the stops at which a harmful plant was counted, the latest year first, each stop once', () => {
    const rounds = [
      walked('2024-06-01', [stop(1, { timothy: 4 }), stop(2, { 'tansy-ragwort': 2, timothy: 1 })]),
      walked('2026-06-01', [stop(1, { 'tansy-ragwort': 1, 'poison-hemlock': 1 }), stop(2, { timothy: 3 })]),
    ]
    expect(harmfulFinds(rounds, plantsById)).toEqual([
      { round: '2026-06-01', year: 2026, seq: 1, position: at(1), plants: ['poison-hemlock', 'tansy-ragwort'] },
      { round: '2024-06-01', year: 2024, seq: 2, position: at(2), plants: ['tansy-ragwort'] },
    ])
  })

  it('an unknown that was named later counts under its name, one without a name under none', () => {
    const stops = [stop(1, { 'unknown:A': 2 }), stop(2, { 'unknown:B': 1 })]
    const rounds = [walked('2026-06-01', stops, [{ letter: 'A', namedAs: 'poison-hemlock' }])]
    expect(harmfulFinds(rounds, plantsById).map((f) => [f.seq, f.plants])).toEqual([[1, ['poison-hemlock']]])
  })

  it('what was only seen beside a stop is a find, and a stop without a place is none', () => {
    const rounds = [
      walked('2026-06-01', [
        stop(1, { timothy: 2 }, { measures: { near: ['tansy-ragwort'] } }),
        stop(2, { 'tansy-ragwort': 2 }, { position: null }),
      ]),
    ]
    expect(harmfulFinds(rounds, plantsById).map((f) => f.seq)).toEqual([1])
  })
})
