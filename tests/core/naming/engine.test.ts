import { verdictText } from '@/text/verdictText.ts'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { nameSimulated, summarise, whereMet, type SimulatedSpecimen } from '@/core/naming/simulateNaming.ts'
import { identify } from '@/core/naming/identify.ts'
import { growsIn } from '@/core/flora/seasons.ts'
import type { Context, Observation } from '@/core/records/observation.ts'
import { priorFactors } from '@/core/naming/prior.ts'
import { simulateSpecimen } from '@/core/naming/simulateSpecimen.ts'
import { rankedNames } from '@/core/naming/verdict.ts'
import { book, flora, name, plantsById, probabilityOf } from '@/tests/support/book.ts'

const see = (observations: Observation[], context: Context = {}) => identify(book, context, observations)

describe('several plants pulled', () => {
  const base = (counts: Record<string, number>): Observation[] => [
    { character: 'vernation', states: ['folded'] },
    { character: 'base.colour', counts },
  ]

  it('"two of five had purple bases" speaks for perennial ryegrass; purple is never seen in Kentucky bluegrass', () => {
    const mixed = see(base({ 'purple-red': 2, 'green-or-white': 3 }))
    const green = see(base({ 'green-or-white': 5 }))
    const odds = (r: typeof mixed) => probabilityOf(r, 'perennial-ryegrass') / probabilityOf(r, 'kentucky-bluegrass')
    expect(odds(mixed)).toBeGreaterThan(20 * odds(green))
  })

  it('one plant pulled tells what a single answer tells', () => {
    const counted = see([{ character: 'vernation', counts: { rolled: 1 } }])
    const single = see([{ character: 'vernation', states: ['rolled'] }])
    for (const c of single.candidates) expect(probabilityOf(counted, c.plant)).toBeCloseTo(c.probability, 9)
  })

  it('more plants that agree say more, but less than as many strangers would', () => {
    const bits = (n: number) => {
      const r = see([{ character: 'sheath.hairs', counts: { 'dense-soft': n } }])
      return r.candidates.find((c) => c.plant === 'velvetgrass')!.evidence[0]!.bits
    }
    expect(bits(3)).toBeGreaterThan(bits(1))
    expect(bits(6) - bits(3)).toBeLessThan(bits(3))
  })

  it('several sizes narrow more than one', () => {
    const one = see([{ character: 'leaflet.length', value: 36 }])
    const five = see([{ character: 'leaflet.length', values: [33, 36, 38, 35, 37] }])
    const odds = (r: typeof one) => probabilityOf(r, 'ladino-clover') / probabilityOf(r, 'white-clover')
    expect(odds(five)).toBeGreaterThan(odds(one))
  })
})

describe('what the prior is made of', () => {
  const timothy = plantsById.get('timothy')!

  it('each factor is visible, and left out where the context does not name it', () => {
    expect(priorFactors(timothy, {})).toEqual([])
    const all: Context = {
      region: 'cool-humid',
      month: 1,
      sown: ['timothy'],
      found: ['timothy'],
      neighbours: ['timothy'],
      ground: ['wet'],
    }
    expect(priorFactors(timothy, all).map((f) => f.why)).toEqual([
      'region',
      'month',
      'sown',
      'found',
      'neighbours',
      'ground',
    ])
  })

  it.each(['found', 'neighbours'] as const)('a plant of the list "%s" gains, no other is shut out', (key) => {
    const r = see([], { [key]: ['timothy'] })
    expect(probabilityOf(r, 'timothy')).toBeGreaterThan(2 * probabilityOf(see([]), 'timothy'))
    for (const c of r.candidates) expect(c.probability).toBeGreaterThan(0)
  })

  it('wet ground speaks for soft rush against winterfat', () => {
    const odds = (context: Context) =>
      probabilityOf(see([], context), 'soft-rush') / probabilityOf(see([], context), 'winterfat')
    expect(odds({ ground: ['wet'] })).toBeGreaterThan(1.5 * odds({}))
  })
})

describe('kit left at home', () => {
  const effortOf = (id: string) => flora.characters.find((c) => c.id === id)!.effort

  it('without lens and spade only what the hand and eye can do is suggested', () => {
    const next = see([{ character: 'life.form', states: ['grass'] }], { lacking: ['lens', 'spade'] }).next
    expect(next.length).toBeGreaterThan(3)
    for (const n of next) expect(['glance', 'hand']).toContain(effortOf(n.character))
  })
})

describe('explanation', () => {
  it('names the look that turned the verdict', () => {
    const r = name([
      ['life.form', 'forb'],
      ['leaf.outline', 'feathery'],
      ['smell', 'medicinal'],
    ])
    expect(r.candidates[0]!.plant).toBe('western-yarrow')
    expect(r.explanation.turned).toBe('smell')
  })

  it('calls out the one look that contradicts the rest', () => {
    const r = name([
      ['life.form', 'grass'],
      ['blade.tip', 'boat'],
      ['blade.midrib', 'double-line'],
      ['habit', 'rhizome'],
      ['ligule.height', 0.4],
      ['base.colour', 'purple-red'],
    ])
    expect(r.candidates[0]!.plant).toBe('kentucky-bluegrass')
    expect(r.explanation.contradicts?.character).toBe('base.colour')
  })

  it('says which answer would put another plant first', () => {
    const r = name([
      ['life.form', 'grass'],
      ['vernation', 'rolled'],
      ['auricle.edge', 'hair-fringed'],
    ])
    const change = r.explanation.wouldChange!
    expect(change.plant).not.toBe(r.candidates[0]!.plant)
    const after = see([
      { character: 'life.form', states: ['grass'] },
      { character: 'vernation', states: ['rolled'] },
      { character: 'auricle.edge', states: ['hair-fringed'] },
      { character: change.character, states: [change.state] },
    ])
    expect(after.candidates[0]!.plant).toBe(change.plant)
  })

  it('has nothing to say before anything was seen', () => expect(see([]).explanation).toEqual({}))
})

describe('groups a vegetative eye cannot split', () => {
  const sweet: [string, string][] = [
    ['leaf.plan', 'three-pinnate'],
    ['smell', 'sweet-hay'],
    ['leaflet.margin', 'fine-all-round'],
    ['life.form', 'legume'],
    ['posture', 'upright'],
  ]

  it('are named together, and it is said so', () => {
    const r = name([
      ...sweet,
      ['stipule.form', 'narrow-pointed'],
      ['stem.hairs', 'none'],
      ['leaflet.shape', 'oblong-pointed'],
    ])
    expect(r.verdict).toMatchObject({ kind: 'named' })
    expect(verdictText(r.verdict, flora)).toMatch(/Sweetclover, white or yellow.*Only the colour of the flower/)
  })

  it('sedges stop at the genus: come back with ripe fruit', () => {
    const r = name([
      ['life.form', 'sedge'],
      ['stem.section', 'three-angled'],
      ['leaf.ranks', 'three'],
      ['root.kind', 'fibrous'],
      ['blade.sheen', 'dull'],
      ['rhizome.length', 'short'],
      ['sheath.margin', 'closed'],
    ])
    expect(verdictText(r.verdict, flora)).toMatch(/^Sedges: .*ripe fruit/)
  })

  it('are split once in flower', () => {
    const names = (stage: 'vegetative' | 'flowering') => rankedNames(book, stage, () => 0.01).map((n) => n.name)
    expect(names('vegetative')).toContain('Sweetclover, white or yellow')
    expect(names('flowering')).toEqual(expect.arrayContaining(['Yellow sweetclover', 'White sweetclover']))
  })
})

describe('simulation of the naming', () => {
  it('the same seed draws the same stand', () => {
    const run = () => nameSimulated(book, 'timothy', 'vegetative', randomLcg(0.3), 3)
    expect(run()).toEqual(run())
  })

  it('specimens show their coded states about as often as they are coded', () => {
    const random = randomLcg(0.5)
    const character = flora.characters.find((c) => c.id === 'ligule.type')!
    const plant = plantsById.get('johnsongrass')!
    let fringed = 0
    for (let i = 0; i < 600; i++) {
      const o = simulateSpecimen(book, plant, 'vegetative', random, 1).answer(character)
      if ('states' in o && o.states[0] === 'fringed-membrane') fringed++
    }
    // Coded "often" against "often": half, less the errors of the eye; 600 draws are off by up to 4 points.
    expect(fringed / 600).toBeGreaterThan(0.4)
    expect(fringed / 600).toBeLessThan(0.56)
  })

  it('a part the plant lacks is "can\'t tell"', () => {
    const specimen = simulateSpecimen(book, plantsById.get('white-clover')!, 'vegetative', randomLcg(0.5), 3)
    expect(specimen.answer(flora.characters.find((c) => c.id === 'auricles')!)).toMatchObject({ states: ['cant-tell'] })
  })

  it('a plant is met where and when it grows, most where it is commonest', () => {
    const random = randomLcg(0.61)
    for (const plant of flora.plants) {
      const { region, month } = whereMet(plant, random)
      expect(plant.regions, plant.id).toHaveProperty(region!)
      expect(growsIn(plant, month!, region), plant.id).toBe(true)
    }
    // Common weighs 1 and rare 0.15 (prior.ts): 1 / 1.15 is 87 in 100; 2,000 draws are off by up to 1.5.
    const made = { ...plantsById.get('timothy')!, regions: { 'cool-humid': 'common', desert: 'rare' } as never }
    const here = Array.from({ length: 2000 }, () => whereMet(made, random).region as string)
    expect(here.filter((r) => r === 'cool-humid').length / 2000).toBeCloseTo(0.87, 1)
  })

  it('sums up scores as they are defined (Brier 1950): one right at 0.8 and one wrong at 0.6 give (0.04 + 0.36) / 2', () => {
    const made = (right: boolean, probability: number): SimulatedSpecimen => ({
      plant: 'timothy',
      first: { plants: [right ? 'timothy' : 'redtop'], probability },
      right,
      rightInThree: true,
      named: true,
      checks: right ? 3 : 7,
      missedHarm: false,
      excluded: false,
    })
    const summary = summarise(book, [made(true, 0.8), made(false, 0.6)])
    expect(summary.brier).toBeCloseTo(0.2, 12)
    expect(summary.firstRight).toBe(0.5)
    expect(summary.logScoreBits).toBeCloseTo((-Math.log2(0.8) - Math.log2(0.4)) / 2, 12)
    expect(summary.confusions).toEqual([{ plant: 'timothy', taken: 'redtop', times: 1 }])
  })

  it('names most stands right with three plants pulled, and no poison by a harmless name', () => {
    const random = randomLcg(0.9)
    const some = flora.plants.filter((_, i) => i % 4 === 0)
    const summary = summarise(
      book,
      some.flatMap((p) => [0, 1].map(() => nameSimulated(book, p.id, 'vegetative', random, 3))),
    )
    expect(summary.firstRight).toBeGreaterThan(0.9)
    expect(summary.missedHarm).toBe(0)
  })
})
