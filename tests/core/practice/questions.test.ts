import { choiceWords, whyWords } from '@/web/features/practice/questionWords.ts'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { nearestPlants, plantDistances } from '@/core/naming/compare.ts'
import { lookalikeOf } from '@/core/naming/lookalikes.ts'
import { splitPair } from '@/core/naming/nextChecks.ts'
import { cellAt } from '@/core/flora/flora.ts'
import { checkQuestion, nameQuestion, poisonPlants, poisonQuestion, readQuestion, seedPlants, seedQuestion, type Making } from '@/core/practice/question.ts' // prettier-ignore
import { conditions, practiseSpecimen } from '@/core/practice/specimen.ts'
import { book, flora, plantsById } from '@/tests/support/book.ts'

const nearest = new Map(
  [...nearestPlants(book, plantDistances(book, 'vegetative'), 6)].map(([id, list]) => [id, list.map((n) => n.plant)]),
)
const making = (seed: number): Making => ({ compiled: book, stage: 'vegetative', nearest, random: randomLcg(seed) })

describe('drawn specimens', () => {
  it('show only states that their plant has, and sizes within its extremes', () => {
    for (const [i, plant] of flora.plants.entries()) {
      const { seen } = practiseSpecimen(book, plant, 'vegetative', 'whole', randomLcg(i / 200))
      expect(seen.length, plant.id).toBeGreaterThan(5)
      for (const o of seen) {
        const cell = o.character === 'life.form' ? undefined : cellAt(plant, o.character, 'vegetative')
        if ('value' in o && cell?.kind === 'range') {
          expect(o.value, `${plant.id} ${o.character}`).toBeGreaterThanOrEqual(cell.extreme[0] * 0.5)
          expect(o.value, `${plant.id} ${o.character}`).toBeLessThanOrEqual(cell.extreme[1] * 2)
        }
        if ('states' in o && cell?.kind === 'states')
          expect(cell.words[o.states[0]!] ?? 'never', `${plant.id} ${o.character}`).not.toBe('never')
      }
    }
  })

  it('two of one plant are not clones, and missing parts are not seen', () => {
    const dandelion = plantsById.get('dandelion')!
    const some = [0.1, 0.3, 0.5, 0.7, 0.9].map((s) =>
      JSON.stringify(practiseSpecimen(book, dandelion, 'vegetative', 'whole', randomLcg(s)).seen),
    )
    expect(new Set(some).size).toBeGreaterThan(1)
    for (const condition of conditions) {
      const ids = practiseSpecimen(book, plantsById.get('timothy')!, 'vegetative', condition, randomLcg(0.4)).seen.map((o) => o.character) // prettier-ignore
      expect(
        ids.some((id) => /^(flower|head)\./.test(id)),
        'nothing is in flower',
      ).toBe(false)
      if (condition === 'no roots') expect(ids).not.toContain('root.kind')
      if (condition === 'mown' || condition === 'chewed') expect(ids).not.toContain('blade.tip')
    }
  })
})

describe('questions', () => {
  it('name it: four different names, the right one among them, the others easily taken for it', () => {
    for (const id of ['perennial-ryegrass', 'wild-carrot', 'white-clover', 'poison-hemlock', 'soft-rush']) {
      const q = nameQuestion(making(0.3), id)
      expect(new Set(q.choices.map((c) => c.id)).size).toBe(4)
      expect(q.choices.map((c) => c.id)).toContain(id)
      const alike = plantsById.get(id)!.lookalikes.map((l) => l.plant)
      const near = [...alike, ...nearest.get(id)!]
      expect(q.choices.filter((c) => c.id !== id).some((c) => near.includes(c.id))).toBe(true)
    }
  })

  it('each wrong name has what tells it from the right one: the words of the book, or the look that tells most', () => {
    for (const id of ['annual-bluegrass', 'wild-carrot', 'white-clover', 'soft-rush', 'big-bluestem']) {
      const q = nameQuestion(making(0.3), id)
      const plant = plantsById.get(id)!
      if (q.kind !== 'name') throw new Error('asked for a name')
      expect(Object.keys(q.against).sort()).toEqual(q.choices.map((c) => c.id).filter((c) => c !== id).sort()) // prettier-ignore
      for (const [other, { why, check }] of Object.entries(q.against)) {
        const said = lookalikeOf(plant, plantsById.get(other)!)
        expect(why, `${id} ${other}`).toBe(said?.why)
        if (said) continue
        // Of all looks at both, none tells more.
        const best = splitPair(book, id, other, 'vegetative').filter((s) => s.character !== 'life.form')
        expect(check, `${id} ${other}`).toBe(best[0]?.character)
      }
    }
  })

  it('a seedling is drawn as one, a grown plant is not', () => {
    const timothy = plantsById.get('timothy')!
    expect(practiseSpecimen(book, timothy, 'seedling', 'whole', randomLcg(0.4)).traits.young).toBe(true)
    expect(practiseSpecimen(book, timothy, 'vegetative', 'whole', randomLcg(0.4)).traits.young).toBeUndefined()
  })

  it('the right choice stands in every place as often as in another', () => {
    const at = [0, 0, 0, 0]
    for (let i = 0; i < 200; i++) {
      const q = nameQuestion(making(i / 200), 'dandelion')
      at[q.choices.findIndex((c) => c.id === q.right)]!++
    }
    // 50 each of 200, give or take three standard errors (18).
    for (const n of at) expect(Math.abs(n - 50)).toBeLessThan(19)
  })

  it('which check splits them: the one the book names for the pair, and the wrong ones tell next to nothing', () => {
    const q = checkQuestion(making(0.2), 'kentucky-bluegrass', 'perennial-ryegrass')!
    const said = lookalikeOf(plantsById.get('kentucky-bluegrass')!, plantsById.get('perennial-ryegrass')!)!
    expect(q.right).toBe(said.check)
    expect(q.why).toEqual({ code: 'prose', text: said.why, of: 'kentucky-bluegrass' })
    // What stands on the page of one of two speaks of that one: it is named, unless it was just now.
    expect(whyWords(q.why)).toMatch(/^kentucky.bluegrass: Two pale rails/i)
    expect(whyWords(q.why, 'kentucky-bluegrass')).toBe(said.why)
    expect(q.about).toBe('kentucky-bluegrass|perennial-ryegrass')
    expect(new Set(q.choices.map((c) => c.id)).size).toBe(4)
  })

  it('every pair of look-alikes that the book tells apart can be asked, but for few', () => {
    const pairs = flora.plants.flatMap((p) =>
      p.lookalikes
        .filter((l) => !lookalikeOf(p, plantsById.get(l.plant)!)?.undecided)
        .map((l) => [p.id, l.plant] as const),
    )
    const asked = pairs.filter(([a, b]) => checkQuestion(making(0.5), a, b) !== undefined)
    expect(asked.length / pairs.length).toBeGreaterThan(0.9)
  })

  it('no look is asked for between two of which the book says that none tells them apart', () => {
    const open = flora.plants.flatMap((p) =>
      p.lookalikes
        .filter((l) => lookalikeOf(p, plantsById.get(l.plant)!)?.undecided)
        .map((l) => [p.id, l.plant] as const),
    )
    expect(open.length).toBeGreaterThan(3)
    for (const [a, b] of open) expect(checkQuestion(making(0.5), a, b), `${a} ${b}`).toBeUndefined()
  })

  it('a poison round holds every harmful plant, and those taken for them', () => {
    const ids = poisonPlants(flora.plants)
    for (const p of flora.plants.filter((p) => p.role === 'toxic')) expect(ids).toContain(p.id)
    expect(ids).toContain('wild-carrot')
    expect(poisonQuestion(making(0.4), 'poison-hemlock').right).toBe('harmful')
    expect(poisonQuestion(making(0.4), 'wild-carrot').right).toBe('other')
    // What is not harmful is never called harmless.
    for (const id of ids) {
      const q = poisonQuestion(making(0.4), id)
      expect(q.choices.map(choiceWords).join() + whyWords(q.why)).not.toMatch(/\b(safe|harmless)\b/i)
    }
  })

  it('read the part: a drawn state and three others of the same character', () => {
    const collar = flora.characters.find((c) => c.id === 'auricles')!
    const q = readQuestion(making(0.1), collar)!
    expect(collar.states).toEqual(expect.arrayContaining(q.choices.map((c) => c.id)))
    expect(q.choices.map((c) => c.id)).toContain(q.right)
    expect(
      readQuestion(
        making(0.1),
        flora.characters.find((c) => c.unit === 'mm')!,
      ),
    ).toBeUndefined()
  })

  it('seed tray: legumes with coded seed, shown by shape, colour and size', () => {
    const ids = seedPlants(flora.plants)
    expect(ids.length).toBeGreaterThan(8)
    const q = seedQuestion(making(0.6), 'white-clover')
    if (q.kind !== 'seed') throw new Error('no seed')
    // White clover seed is heart-shaped, about a millimetre (Stace, from memory).
    expect(q.seeds['seed.shape']).toBeDefined()
    expect(q.size).toBeGreaterThan(0.6)
    expect(q.size).toBeLessThan(1.6)
  })

  it('a plant that is not in the book is refused', () => {
    expect(() => nameQuestion(making(0.1), 'unicorn-grass')).toThrow(RangeError)
  })
})
