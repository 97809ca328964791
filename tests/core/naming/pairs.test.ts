import { describe, expect, it } from 'vitest'
import { cellAt, type Plant } from '@/core/flora/flora.ts'
import { shareOfWord } from '@/core/flora/frequency.ts'
import { canBeAsked, decides, DECIDES_FROM } from '@/core/naming/decides.ts'
import { decidingChecks, lookalikeOf } from '@/core/naming/lookalikes.ts'
import { splitPair } from '@/core/naming/nextChecks.ts'
import type { Observation } from '@/core/records/observation.ts'
import { identify } from '@/core/naming/identify.ts'
import { book, flora, plantsById, probabilityOf } from '@/tests/support/book.ts'
import type { Stage } from '@/core/flora/flora.ts'

/** Pairs that an eye mixes up and the check that tells them apart: common practice, no source, unless the plant files name one. */
const pairs: [string, string, string][] = [
  ['kentucky-bluegrass', 'perennial-ryegrass', 'blade.midrib'],
  ['kentucky-bluegrass', 'annual-bluegrass', 'ligule.height'],
  ['tall-fescue', 'quackgrass', 'auricles'],
  ['tall-fescue', 'annual-ryegrass', 'auricle.edge'],
  ['tall-fescue', 'meadow-fescue', 'auricle.edge'],
  ['annual-ryegrass', 'perennial-ryegrass', 'vernation'],
  ['orchardgrass', 'velvetgrass', 'stem.section'],
  ['orchardgrass', 'tall-fescue', 'stem.section'],
  ['smooth-brome', 'quackgrass', 'auricles'],
  ['johnsongrass', 'switchgrass', 'ligule.type'],
  ['large-crabgrass', 'dallisgrass', 'sheath.hairs'],
  ['barnyardgrass', 'johnsongrass', 'ligule.type'],
  ['barnyardgrass', 'large-crabgrass', 'ligule.type'],
  ['white-clover', 'alsike-clover', 'habit'],
  ['white-clover', 'red-clover', 'stem.hairs'],
  ['white-clover', 'ladino-clover', 'leaflet.length'],
  ['alsike-clover', 'red-clover', 'stem.hairs'],
  ['alsike-clover', 'ladino-clover', 'habit'],
  ['red-clover', 'ladino-clover', 'stem.hairs'],
  ['strawberry-clover', 'white-clover', 'leaflet.veins'],
  ['subterranean-clover', 'white-clover', 'hairs.lower'],
  ['yellow-sweetclover', 'alfalfa', 'leaflet.margin'],
  ['alfalfa', 'black-medic', 'leaflet.length'],
  ['alfalfa', 'birdsfoot-trefoil', 'leaf.plan'],
  ['black-medic', 'yellow-sweetclover', 'leaflet.margin'],
  ['birdsfoot-trefoil', 'black-medic', 'leaf.plan'],
  ['birdsfoot-trefoil', 'yellow-sweetclover', 'leaf.plan'],
  ['poison-hemlock', 'wild-carrot', 'stem.hairs'],
  ['poison-hemlock', 'water-hemlock', 'leaf.outline'],
  ['poison-hemlock', 'western-yarrow', 'root.kind'],
  ['wild-carrot', 'water-hemlock', 'leaf.margin'],
  ['wild-carrot', 'western-yarrow', 'root.kind'],
  ['buckhorn-plantain', 'broadleaf-plantain', 'leaf.outline'],
  ['tansy-ragwort', 'dandelion', 'sap'],
  ['white-clover', 'wood-sorrel', 'leaflet.margin'],
]

/** What the plant shows most often, looked at carefully. */
function usualLook(plant: Plant, character: string): Observation {
  const cell = cellAt(plant, character, 'vegetative')!
  if (cell.kind === 'range') return { character, value: (cell.typical[0] + cell.typical[1]) / 2, unit: 'mm' }
  const [state] = Object.entries(cell.words).sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])[0]!
  return { character, states: [state] }
}

describe.each(pairs)('%s and %s', (a, b, check) => {
  it(`the book decides between them by ${check}`, () => {
    const named = lookalikeOf(plantsById.get(a)!, plantsById.get(b)!)
    expect(named).toBeDefined()
    if (named!.check !== check) {
      // Each page may name a check of its own; the other page must then name this one.
      const other = plantsById.get(b)!.lookalikes.find((l) => l.plant === a)
      expect([named!.check, other?.check]).toContain(check)
    }
    expect(named!.why.length).toBeGreaterThan(20)
  })

  it(`${check} alone turns the odds between them, both ways`, () => {
    const odds = (plant: string) => {
      const result = identify(book, {}, [usualLook(plantsById.get(plant)!, check)])
      return probabilityOf(result, a) / probabilityOf(result, b)
    }
    const before = probabilityOf(identify(book, {}, []), a) / probabilityOf(identify(book, {}, []), b)
    expect(odds(a)).toBeGreaterThan(before)
    expect(odds(b)).toBeLessThan(before)
    expect(Math.max(odds(a) / before, before / odds(b))).toBeGreaterThan(4)
  })

  it('the engine finds at least one check worth a third of a bit, and values the named one', () => {
    const checks = splitPair(book, a, b, 'vegetative')
    expect(checks[0]!.bits).toBeGreaterThan(0.33)
    expect(checks.find((c) => c.character === check)?.bits ?? 0).toBeGreaterThan(0.1)
  })
})

describe('look-alikes of the whole book', () => {
  const all = flora.plants.flatMap((p) => p.lookalikes.map((l) => [p.id, l.plant, l] as const))
  /** Grown leaves, or ripe fruit where that is what the book asks for. */
  const stageOf = ({ check }: { check: string }, a: string, b: string): Stage =>
    canBeAsked(book, check, 'vegetative', [a, b]) ? 'vegetative' : 'flowering'

  it.each(all.filter(([, , l]) => !l.undecided))(
    '%s against %s: the checks speak ten to one, whichever it is',
    (a, b, l) => {
      const stage = stageOf(l, a, b)
      const checks = [l.check, ...(l.and ? [l.and] : [])].filter((c) => canBeAsked(book, c, stage, [a, b]))
      expect(checks.length).toBeGreaterThan(0)
      const { forFirst, forSecond } = decides(book, a, b, checks, stage)
      expect(Math.min(forFirst, forSecond)).toBeGreaterThanOrEqual(DECIDES_FROM)
    },
  )

  it('names a second check only where the first does not do alone, or where a poison is one of the two', () => {
    const needless = all.filter(([a, b, l]) => {
      if ([a, b].some((id) => plantsById.get(id)!.role === 'toxic')) return false
      const stage = stageOf(l, a, b)
      if (!l.and || !canBeAsked(book, l.check, stage, [a, b])) return false
      const { forFirst, forSecond } = decides(book, a, b, [l.check], stage)
      return Math.min(forFirst, forSecond) >= 2 * DECIDES_FROM
    })
    expect(needless.map(([a, b]) => `${a} ${b}`)).toEqual([])
  })

  it('says of a few pairs that no look decides, and offers none for them', () => {
    const undecided = all.filter(([, , l]) => l.undecided)
    expect(undecided.length / all.length).toBeLessThan(0.1)
    for (const [a, b] of undecided)
      expect(decidingChecks(book, plantsById.get(a)!, plantsById.get(b)!, 'vegetative'), `${a} ${b}`).toEqual([])
  })

  it('offers a check at no stage at which it does not decide', () => {
    // Johnsongrass seedlings have no rhizome yet: what decides in the grown plant says nothing then.
    const [gamagrass, johnson] = [plantsById.get('eastern-gamagrass')!, plantsById.get('johnsongrass')!]
    expect(decidingChecks(book, gamagrass, johnson, 'vegetative')).toContain('rhizome.length')
    expect(decidingChecks(book, gamagrass, johnson, 'seedling')).toEqual([])
  })

  it('never says that a plant is safe', () => {
    for (const p of flora.plants) expect(JSON.stringify(p)).not.toMatch(/\bsafe\b/i)
  })
})
