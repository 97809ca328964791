import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cellAt } from '@/core/flora/flora.ts'
import { identify } from '@/core/naming/identify.ts'
import type { Observation } from '@/core/records/observation.ts'
import { book, flora, name, probabilityOf } from '@/tests/support/book.ts'

const anyObservation: fc.Arbitrary<Observation> = fc
  .constantFrom(...flora.characters)
  .chain((c): fc.Arbitrary<Observation> => {
    const sureness = fc.constantFrom('sure' as const, 'likely' as const, 'guess' as const)
    if (c.states)
      return fc.record({
        character: fc.constant(c.id),
        states: fc.subarray(c.states, { minLength: 1, maxLength: 2 }),
        sureness,
      })
    const [low, high] = c.range!
    return fc.record({ character: fc.constant(c.id), value: fc.double({ min: low, max: high, noNaN: true }), sureness })
  })
const sheets = fc.uniqueArray(anyObservation, { selector: (o) => o.character, maxLength: 10 })

describe('whatever was seen', () => {
  it('probabilities are between 0 and 1 and sum to 1 with "not in this book"', () => {
    fc.assert(
      fc.property(sheets, (observations) => {
        const { candidates, notInBook } = identify(book, {}, observations)
        const total = candidates.reduce((s, c) => s + c.probability, notInBook)
        return Math.abs(total - 1) < 1e-9 && candidates.every((c) => c.probability >= 0 && c.probability <= 1)
      }),
      { numRuns: 150 },
    )
  })

  it('the order of the looks does not matter', () => {
    fc.assert(
      fc.property(sheets, fc.integer(), (observations, seed) => {
        const shuffled = [...observations]
          .sort((a, b) => ((a.character.length * 31 + seed) % 7) - ((b.character.length * 31 + seed) % 7))
          .reverse()
        const [a, b] = [identify(book, {}, observations), identify(book, {}, shuffled)]
        return a.candidates.every((c) => Math.abs(c.probability - probabilityOf(b, c.plant)) < 1e-9)
      }),
      { numRuns: 100 },
    )
  })

  it('"can\'t tell" changes no probability', () => {
    fc.assert(
      fc.property(sheets, fc.constantFrom(...flora.characters), (observations, character) => {
        const known = observations.filter((o) => o.character !== character.id)
        const before = identify(book, {}, known)
        const after = identify(book, {}, [...known, { character: character.id, states: ['cant-tell'] }])
        return before.candidates.every((c) => Math.abs(c.probability - probabilityOf(after, c.plant)) < 1e-12)
      }),
      { numRuns: 80 },
    )
  })

  it('no check is suggested twice, none that was answered, and each has a positive gain', () => {
    fc.assert(
      fc.property(sheets, (observations) => {
        const seen = new Set(observations.map((o) => o.character))
        const next = identify(book, {}, observations).next
        const ids = next.map((n) => n.character)
        return new Set(ids).size === ids.length && ids.every((id) => !seen.has(id)) && next.every((n) => n.bits >= 0)
      }),
      { numRuns: 80 },
    )
  })

  it('a harmless plant is never "named" while a harmful one is open', () => {
    fc.assert(
      fc.property(sheets, (observations) => {
        const { verdict, candidates, harmfulOpen } = identify(book, {}, observations)
        const lead = flora.plants.find((p) => p.id === candidates[0]!.plant)!
        return verdict.kind !== 'named' || lead.role === 'toxic' || harmfulOpen.length === 0
      }),
      { numRuns: 150 },
    )
  })
})

describe('true evidence', () => {
  it('raises the truth on average over the answers a plant can give', () => {
    for (const plant of flora.plants.slice(0, 20)) {
      const cell = cellAt(plant, 'blade.width', 'vegetative') ?? cellAt(plant, 'leaf.length', 'vegetative')
      if (cell?.kind !== 'range') continue
      const character = cellAt(plant, 'blade.width', 'vegetative') ? 'blade.width' : 'leaf.length'
      const before = probabilityOf(name([]), plant.id)
      const sizes = [0.1, 0.3, 0.5, 0.7, 0.9].map((t) => cell.typical[0] + t * (cell.typical[1] - cell.typical[0]))
      const after = sizes.map((mm) => probabilityOf(name([[character, mm]]), plant.id))
      expect(after.reduce((a, b) => a + b, 0) / after.length, plant.id).toBeGreaterThan(before)
    }
  })

  it('contradictory looks lower certainty and let "not in this book" rise', () => {
    const agreed = name([
      ['life.form', 'grass'],
      ['vernation', 'folded'],
      ['blade.tip', 'boat'],
      ['blade.midrib', 'double-line'],
    ])
    const contradicted = name([
      ['life.form', 'grass'],
      ['vernation', 'folded'],
      ['blade.tip', 'boat'],
      ['blade.midrib', 'double-line'],
      ['ligule.type', 'hairs'],
      ['base.form', 'swollen-bulb'],
      ['sheath.hairs', 'long-shaggy'],
    ])
    expect(contradicted.candidates[0]!.probability).toBeLessThan(agreed.candidates[0]!.probability)
    expect(contradicted.notInBook).toBeGreaterThan(agreed.notInBook)
    expect(contradicted.notInBook).toBeGreaterThan(0.3)
  })

  it('characters that say partly the same thing count for less than independent ones', () => {
    const one = name([['hairs.upper', 'velvety']])
    const two = name([
      ['hairs.upper', 'velvety'],
      ['hairs.lower', 'velvety'],
    ])
    const bits = (r: typeof one) =>
      r.candidates.find((c) => c.plant === 'velvetgrass')!.evidence.reduce((s, e) => s + e.bits, 0)
    expect(bits(two)).toBeGreaterThan(bits(one))
    expect(bits(two)).toBeLessThan(1.85 * bits(one))
  })
})
