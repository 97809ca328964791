import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { effortOf, fieldPoints, MOST_EFFORT } from '@/core/practice/effort.ts'
import { seedPlants } from '@/core/practice/question.ts'
import { seedTray } from '@/core/practice/seedTray.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

/** Pixels of a tray that are not its white, and the mean of their colours. */
function seen(id: string, seed = 0.3) {
  const { rgba, side, seeds } = seedTray(plantsById.get(id)!, 600, randomLcg(seed))
  let [covered, red, green, blue] = [0, 0, 0, 0]
  for (let i = 0; i < side * side; i++) {
    const [r, g, b] = [rgba[4 * i]!, rgba[4 * i + 1]!, rgba[4 * i + 2]!]
    // The tray is grey of one tint, its shadows too.
    if (r > 130 && Math.abs(r - b - 8) < 12) continue
    covered++
    red += r
    green += g
    blue += b
  }
  return { covered, seeds, red: red / covered, green: green / covered, blue: blue / covered }
}

describe('a tray of seed', () => {
  it('holds sixty, and larger seed covers more of it: sainfoin more than alfalfa, alfalfa more than alsike', () => {
    const [sainfoin, alfalfa, alsike] = ['sainfoin', 'alfalfa', 'alsike-clover'].map((id) => seen(id))
    expect(sainfoin!.seeds).toBe(60)
    expect(sainfoin!.covered).toBeGreaterThan(1.5 * alfalfa!.covered)
    expect(alfalfa!.covered).toBeGreaterThan(1.5 * alsike!.covered)
  })

  it('is coloured as it is coded: green among alsike, yellow-brown alfalfa', () => {
    const [alsike, alfalfa] = [seen('alsike-clover'), seen('alfalfa')]
    expect(alfalfa.red - alfalfa.green).toBeGreaterThan(alsike.red - alsike.green)
  })

  it('a third of the plants whose seed is asked for: each can be laid out', () => {
    for (const id of seedPlants(flora.plants).filter((_, i) => i % 3 === 0))
      expect(seen(id).covered, id).toBeGreaterThan(200)
  })
})

describe('points of a name in the field', () => {
  it('certain and right at a glance is all, certain and wrong nothing, a coin three quarters (1 - Brier 1950)', () => {
    expect(fieldPoints({ right: true, sure: 1, effort: 0 })).toBe(100)
    expect(fieldPoints({ right: false, sure: 1, effort: 0 })).toBe(0)
    expect(fieldPoints({ right: true, sure: 0.5, effort: 0 })).toBe(75)
    expect(fieldPoints({ right: false, sure: 0.5, effort: 0 })).toBe(75)
  })

  it('looks take away a fifth at most, are paid once, and never make a wrong name worth more than an honest doubt', () => {
    expect(fieldPoints({ right: true, sure: 1, effort: MOST_EFFORT })).toBe(80)
    expect(effortOf(['pull', 'pull', 'lens', 'turn'])).toBe(6)
    expect(fieldPoints({ right: false, sure: 0.9, effort: 0 })).toBeLessThan(
      fieldPoints({ right: true, sure: 0.7, effort: MOST_EFFORT }),
    )
  })
})
