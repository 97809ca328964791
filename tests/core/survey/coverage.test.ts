import { randomGamma, randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { clusterRatio, kornGraubard } from '@/core/stats/clusterRatio.ts'
import { wilson } from '@/core/stats/proportionIntervals.ts'

/** Made stops of a patchy sward: the share at each stop is drawn from a beta, then points from that share. */
function madeRound(truth: number, evenness: number, stops: number, random: () => number) {
  const gamma = randomGamma.source(random)
  return Array.from({ length: stops }, () => {
    const a = gamma(truth * evenness)()
    const b = gamma((1 - truth) * evenness)()
    const share = a / (a + b)
    return { points: 20, hits: Array.from({ length: 20 }, random).filter((u) => u < share).length }
  })
}

const rounds = 600

function held(
  truth: number,
  evenness: number,
  interval: (round: ReturnType<typeof madeRound>) => [number, number] | undefined,
) {
  const random = randomLcg(0.42)
  let inside = 0
  let judged = 0
  for (let i = 0; i < rounds; i++) {
    const made = interval(madeRound(truth, evenness, 30, random))
    if (!made) continue
    judged++
    if (made[0] <= truth && truth <= made[1]) inside++
  }
  return inside / judged
}

// Nominal 95 %; with 600 made rounds the simulation itself is off by up to 1.8 points (two standard errors).
describe('the 95 % interval over stops holds the truth', () => {
  it.each([
    [0.3, 3],
    [0.3, 20],
    [0.1, 6],
    [0.6, 5],
  ])('true share %f, evenness %f', (truth, evenness) => {
    const share = held(truth, evenness, (round) => kornGraubard(clusterRatio(round)))
    expect(share).toBeGreaterThan(0.925)
    expect(share).toBeLessThan(0.99)
  })

  it('while an interval that takes each point alone holds it far too seldom in a patchy sward', () => {
    const alone = held(0.3, 3, (round) => {
      const x = round.reduce((s, r) => s + r.hits, 0)
      return wilson({ x, n: 600 })
    })
    expect(alone).toBeLessThan(0.75)
  })
})
