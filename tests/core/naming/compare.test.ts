import { describe, expect, it } from 'vitest'
import { comparePlants, nearestPlants, plantDistances } from '@/core/naming/compare.ts'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { splitPair } from '@/core/naming/nextChecks.ts'
import { flora, madeBook, madeCharacter, madePlant } from '@/tests/support/book.ts'

describe('comparing plants of a made book, by hand', () => {
  const tip = { ...madeCharacter('tip', ['boat', 'pointed', 'round']), mistake: 0 }
  const same = { ...madeCharacter('same', ['a', 'b']), mistake: 0 }
  const always = (state: string) => ({ kind: 'states' as const, words: { [state]: 'always' as const } })
  const book = madeBook(
    [tip, same],
    ['boat', 'pointed', 'round'].map((s) => madePlant(s, { tip: always(s), same: always('a') })),
  )
  const bits = (ids: string[]) =>
    Object.fromEntries(comparePlants(book, ids, 'vegetative').map((c) => [c.character, c.bits]))

  it('a look on which two always differ tells nearly one bit, on which three differ nearly log2(3)', () => {
    // "always" leaves 3 in 100 to the rest, so a little less than whole bits.
    expect(bits(['boat', 'pointed'])['tip']).toBeGreaterThan(0.8)
    expect(bits(['boat', 'pointed'])['tip']).toBeLessThanOrEqual(1)
    expect(bits(['boat', 'pointed', 'round'])['tip']).toBeGreaterThan(1.3)
    expect(bits(['boat', 'pointed', 'round'])['tip']).toBeLessThanOrEqual(Math.log2(3))
  })

  it('a look on which all agree tells nothing', () => expect(bits(['boat', 'pointed'])['same']).toBeCloseTo(0, 6))

  it('two plants are as far apart as their looks tell, a look with one leaf in the hand counting 0.6', () => {
    const d = plantDistances(book, 'vegetative')
    const told = bits(['boat', 'pointed'])
    expect(d[0 * 3 + 1]).toBeCloseTo(0.6 * (told['tip']! + told['same']!), 5)
    expect(d[0]).toBe(0)
  })
})

describe('the shipped book', () => {
  const book = compileFlora(flora)
  const distances = plantDistances(book, 'vegetative')
  const near = nearestPlants(book, distances, 4)
  const n = book.plants.length

  it('is as far from a to b as from b to a, and nothing is nearer than a plant to itself', () => {
    for (let a = 0; a < n; a += 7)
      for (let b = 0; b < n; b += 5) {
        expect(distances[a * n + b]).toBe(distances[b * n + a])
        expect(distances[a * n + b]).toBeGreaterThanOrEqual(a === b ? 0 : Number.MIN_VALUE)
      }
  })

  it('two plants compared tell the same by either way of asking', () => {
    const pair = splitPair(book, 'tall-fescue', 'meadow-fescue', 'vegetative')
    const compared = comparePlants(book, ['tall-fescue', 'meadow-fescue'], 'vegetative')
    for (const { character, bits } of pair)
      expect(compared.find((c) => c.character === character)!.bits).toBeCloseTo(bits, 9)
  })

  // Plants the trade takes for one another without flowers (Uva, Neal & DiTomaso; Hubbard; common practice; from memory).
  it.each([
    ['tall-fescue', 'tall-fescue-turf'],
    ['yellow-sweetclover', 'white-sweetclover'],
    ['palmer-amaranth', 'waterhemp'],
    ['dandelion', 'chicory'],
    ['white-clover', 'ladino-clover'],
    ['giant-foxtail', 'green-foxtail'],
    ['broadleaf-dock', 'curly-dock'],
    ['musk-thistle', 'plumeless-thistle'],
    ['wild-carrot', 'western-yarrow'],
    ['poison-hemlock', 'cow-parsley'],
    ['cow-parsley', 'wild-carrot'],
    ['comfrey', 'foxglove'],
    ['bull-thistle', 'musk-thistle'],
  ])('%s is among the four nearest to %s, or the other way round', (a, b) => {
    const has = (x: string, y: string) => near.get(x)!.some((k) => k.plant === y)
    expect(
      has(a, b) || has(b, a),
      `${a}: ${near
        .get(a)!
        .map((k) => k.plant)
        .join(', ')}`,
    ).toBe(true)
  })

  it('no grass is nearest to a broad-leaved herb', () => {
    for (const p of book.plants.filter((x) => x.form === 'grass'))
      expect(['grass', 'sedge', 'rush']).toContain(book.plants[book.plantIndex.get(near.get(p.id)![0]!.plant)!]!.form)
  })
})
