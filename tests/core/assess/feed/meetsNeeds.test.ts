import { describe, expect, it } from 'vitest'
import { meetsNeeds, shortOver } from '@/core/assess/feed/meetsNeeds.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'

const estimate = (list: number[]) => {
  const sorted = [...list].sort((a, b) => a - b)
  return { low: sorted[0]!, middle: sorted[Math.floor(sorted.length / 2)]!, high: sorted.at(-1)! }
}
const feed = (cp: number[], tdn: number[]) => ({
  cpPct: estimate(cp),
  tdnPct: estimate(tdn),
  draws: { cpPct: cp, tdnPct: tdn },
})

describe('needs held against the draws of a mixture', () => {
  const doe = animalClass('goat-milking')!

  it('the chance is the share of draws that hold enough; short is said of the middle', () => {
    const [protein, energy] = meetsNeeds(feed([10, 12, 13.5, 15, 16], [60, 61, 62, 63, 64]), doe)
    expect(protein).toMatchObject({ what: 'protein', needPct: 13.5, chance: 0.6, shortPct: 0 })
    expect(energy).toMatchObject({ what: 'energy', needPct: 65, chance: 0, shortPct: 3 })
  })

  it('a leafy clover sward feeds an idle horse and is short for nobody in protein (NRC, from memory)', () => {
    const leafy = feed([18, 20, 22], [66, 68, 70])
    for (const id of ['horse-idle', 'cow-dry', 'ewe-twins', 'goat-milking'])
      expect(meetsNeeds(leafy, animalClass(id)!)[0]!.chance).toBe(1)
  })

  it('grass gone to stem is short of protein for those that milk (common practice, no source)', () => {
    const stemmy = feed([6, 7, 8], [50, 52, 54])
    for (const id of ['cow-suckling', 'ewe-twins', 'goat-milking', 'cow-dairy'])
      expect(meetsNeeds(stemmy, animalClass(id)!)[0]!.shortPct).toBeGreaterThan(0)
    expect(meetsNeeds(stemmy, animalClass('cow-dry')!)[0]!.shortPct).toBe(0)
  })

  it('what a herd lacks over its stay, by hand', () => {
    // 40 does of 60 kg eat 4.2 % a day: 100.8 kg; over ten days 1,008 kg. 13.5 less 12 % of it is 15.1 kg of protein.
    const [protein] = meetsNeeds(feed([10, 12, 14], [66, 67, 68]), doe)
    const short = shortOver(protein!, doe, 40, 10)
    expect(short.middle).toBeCloseTo(15.12, 6)
    expect(short.high).toBeCloseTo(35.28, 6)
    expect(short.low).toBe(0)
    expect(() => shortOver(protein!, doe, 0, 10)).toThrow(RangeError)
  })
})
