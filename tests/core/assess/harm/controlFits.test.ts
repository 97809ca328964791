import type { HarmKind } from '@/core/flora/codes.ts'
import { kindsOf } from '@/core/flora/flora.ts'
import { describe, expect, it } from 'vitest'
import { cellAt, type Plant } from '@/core/flora/flora.ts'
import { flora } from '../../../support/book.ts'

/** How often a plant shows a state, in the words of the book. */
const word = (plant: Plant, character: string, state: string): string | undefined => {
  const cell = cellAt(plant, character, 'vegetative')
  return cell?.kind === 'states' ? cell.words[state] : undefined
}
const mostly = (plant: Plant, character: string, state: string): boolean =>
  ['always', 'usually'].includes(word(plant, character, state) ?? '')
const said = (plant: Plant): string => plant.control.map((c) => `${c.do} ${c.waste ?? ''}`).join('; ')
const controlled = flora.plants.filter((p) => p.control.length > 0)

describe('what to do about a plant fits how it grows', () => {
  // Ferns and horsetails bear spores (Stace).
  it.each(
    controlled.filter((p) => ['Dennstaedtiaceae', 'Equisetaceae'].includes(p.family)).map((p) => [p.id, p] as const),
  )('%s has no seed to cut and no flower to wait for', (_, plant) => {
    expect(said(plant)).not.toMatch(/seed|flower/)
    expect(plant.control.map((c) => c.stage)).not.toContain('flowering')
  })

  it('a taproot is cut only where the book knows one', () => {
    for (const plant of controlled.filter((p) => /taproot/.test(said(p))))
      expect(word(plant, 'root.kind', 'taproot') ?? 'never', plant.id).not.toMatch(/never|rarely|sometimes/)
  })

  // Pieces of root or rhizome that are left grow again: the first thing that every weed book says of creeping perennials.
  it('what creeps below ground is dug with every piece, starved or worn out, not pulled once', () => {
    const creeps = controlled.filter(
      (p) => p.cycle === 'perennial' && (mostly(p, 'root.kind', 'creeping-root') || mostly(p, 'habit', 'rhizome')),
    )
    expect(creeps.length).toBeGreaterThan(8)
    for (const plant of creeps)
      expect(said(plant), plant.id).toMatch(/every (piece|tuber)|again and again|starves|gives way/)
  })

  // Translocation to the root: weed science handbooks, from memory.
  it('herbicide on what creeps is best at bud or on autumn regrowth, and never called too late at first flower alone', () => {
    const known = [
      'canada-thistle',
      'hemp-dogbane',
      'common-milkweed',
      'leafy-spurge',
      'horsenettle',
      'russian-knapweed',
    ]
    for (const id of known) {
      const acts = flora.plants.find((p) => p.id === id)!.control.filter((c) => c.school === 'herbicide')
      expect(acts.flatMap((c) => c.best ?? []), id).toEqual(expect.arrayContaining(['bud', 'autumn-regrowth'])) // prettier-ignore
      expect(
        acts.filter((c) => c.stage === 'flowering' && c.tooLate),
        id,
      ).toEqual([])
    }
  })

  it('tubers are named where they are what comes again', () => {
    for (const plant of controlled.filter((p) => mostly(p, 'root.kind', 'tubers') && p.role === 'weed'))
      expect(said(plant), plant.id).toMatch(/tuber/)
  })

  // Burrows & Tyrl; poison control centres: sap blisters, ooze and alkaloids pass through skin.
  const skin = ['blister-sap', 'furanocoumarins', 'stinging-hairs'] as const
  it('hands are covered where the plant harms people through the skin', () => {
    for (const plant of controlled.filter((p) =>
      p.harm.some((h) => skin.some((k) => kindsOf(h).includes(k)) && h.who.includes('people')),
    ))
      for (const step of plant.control.filter((c) => c.school === 'hands'))
        expect(step.wear?.join() ?? '', `${plant.id} ${step.stage}`).toMatch(/gloves/)
  })
})

describe('a plant page and the list of hidden dangers say the same', () => {
  const kinds: Record<string, HarmKind[]> = {
    bloat: ['bloat'],
    nitrate: ['nitrate'],
    'prussic-acid': ['prussic-acid'],
    endophyte: ['endophyte-ergot-alkaloids', 'endophyte-lolitrem'],
    oestrogen: ['oestrogens'],
    pollen: ['pollen-and-skin-allergy'],
    'blister-sap': ['blister-sap', 'furanocoumarins'],
    'mouldy-sweetclover': ['dicoumarol', 'coumarin'],
  }
  it.each(Object.entries(kinds))('%s', (id, wanted) => {
    const hazard = flora.hazards.find((h) => h.id === id)!
    const onPage = flora.plants
      // A poison is told of by itself; a danger of feed plants is what looking does not tell.
      .filter((p) => p.role !== 'toxic' && p.harm.some((h) => kindsOf(h).some((k) => wanted.includes(k))))
      .map((p) => p.id)
    expect(onPage.length).toBeGreaterThan(0)
    expect(onPage.filter((p) => !hazard.plants.includes(p))).toEqual([])
  })
})
