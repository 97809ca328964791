import { verdictText } from '@/text/verdictText.ts'
import { certaintyWord, naturalFrequency } from '@/text/certaintyWords.ts'
import { describe, expect, it } from 'vitest'
import { cellAt } from '@/core/flora/flora.ts'
import { shareOfWord } from '@/core/flora/frequency.ts'
import { identify } from '@/core/naming/identify.ts'
import { HARM_OPEN_FROM } from '@/core/naming/openHarm.ts'
import { NAMED_FROM } from '@/core/naming/verdict.ts'
import type { Observation } from '@/core/records/observation.ts'
import type { Identification } from '@/core/naming/identify.ts'
import { book, flora, name, plantsById, probabilityOf, type Look } from '@/tests/support/book.ts'

describe('harm rule', () => {
  it('a feathery leaf that smells of carrot is not named while poison hemlock is open', () => {
    const result = name([
      ['life.form', 'forb'],
      ['leaf.outline', 'feathery'],
      ['smell', 'carroty'],
    ])
    expect(result.candidates[0]!.plant).toBe('wild-carrot')
    expect(result.candidates[0]!.probability).toBeGreaterThan(NAMED_FROM)
    expect(result.verdict.kind).toBe('narrowed')
    expect(verdictText(result.verdict, flora)).toMatch(/poison hemlock.* not excluded/)
    expect(result.harmfulOpen[0]).toMatchObject({ plant: 'poison-hemlock', check: 'stem.hairs' })
  })

  it('the deciding check is then suggested first, and says what it decides', () => {
    const result = name([
      ['life.form', 'forb'],
      ['leaf.outline', 'feathery'],
      ['smell', 'carroty'],
    ])
    expect(result.next[0]).toMatchObject({ character: 'stem.hairs', decides: 'poison-hemlock' })
  })

  it('the deciding check alone closes nothing, however sure; a second thing that contradicts does', () => {
    const looks = (...more: Look[]) =>
      name([
        ['life.form', 'forb'],
        ['leaf.outline', ['feathery', 'fern-like']],
        ['stem.hairs', 'stiff-bristly'],
        ...more,
      ])
    const open = (r: Identification) => r.harmfulOpen.find((h) => h.plant === 'poison-hemlock')
    expect(open(looks())).toBeDefined()
    expect(looks().verdict.kind).not.toBe('named')
    const closed = looks(
      ['smell', 'carroty'],
      ['leaf.length', 90],
      ['stem.marks', 'plain'],
      ['petiole.hairs', 'bristly'],
    )
    expect(open(closed)).toBeUndefined()
  })

  it('says why a poison is open, and on which answer its exclusion would hang', () => {
    const { harmfulOpen } = name([
      ['life.form', 'grass'],
      ['vernation', 'rolled'],
      ['blade.width', 24],
    ])
    const hangs = harmfulOpen.filter((h) => h.why === 'one-answer')
    expect(hangs.length).toBeGreaterThan(0)
    for (const h of hangs) {
      expect(h.probability).toBeLessThan(HARM_OPEN_FROM)
      expect(h.without).toBeGreaterThanOrEqual(HARM_OPEN_FROM)
      expect(['life.form', 'vernation', 'blade.width']).toContain(h.hangsOn)
    }
  })

  it('a harmless name waits until the check of each harmful look-alike was met; "can not tell" is not met', () => {
    const looks: Look[] = [
      ['life.form', 'forb'],
      ['leaf.outline', 'linear'],
      ['leaf.set', 'whorled'],
      ['root.kind', 'fibrous'],
      ['stem.section', 'square'],
      ['stem.hairs', 'pointing-down'],
      ['habit', 'runner-not-rooting'],
      ['leaf.length', 15],
      ['smell', 'none'],
      ['hairs.upper', 'stiff'],
    ]
    // Milk tells whorled milkweed from bedstraws (Uva, Neal & DiTomaso, from memory).
    expect(name(looks).candidates[0]!.plant).toBe('bedstraws')
    expect(name(looks).verdict.kind).not.toBe('named')
    expect(name([...looks, ['sap', 'cant-tell']]).verdict.kind).not.toBe('named')
    expect(name(looks).next[0]).toMatchObject({ decides: expect.any(String) as string })
  })

  it('lists every toxic plant while nothing was seen', () => {
    const toxic = flora.plants.filter((p) => p.role === 'toxic').map((p) => p.id)
    expect(
      name([])
        .harmfulOpen.map((h) => h.plant)
        .sort(),
    ).toEqual(toxic.sort())
    // What is rare and of the hedge lies below it, and is open because nothing speaks against it yet.
    for (const h of name([]).harmfulOpen)
      if (h.why !== 'few-contradictions') expect(h.probability).toBeGreaterThanOrEqual(HARM_OPEN_FROM)
  })

  it('a harmful plant may be named itself', () => {
    const result = name([
      ['leaf.outline', 'fern-like'],
      ['stem.marks', 'purple-blotched'],
      ['smell', 'mousy-rank'],
    ])
    expect(result.verdict.kind).toBe('named')
    expect(result.candidates[0]!.plant).toBe('poison-hemlock')
  })
})

describe('what narrows the field before the plant is looked at', () => {
  it('a sown plant gains, and a stranger to the list is never shut out', () => {
    const without = name([['vernation', 'rolled']])
    const sown = name([['vernation', 'rolled']], { sown: ['meadow-fescue'] })
    expect(probabilityOf(sown, 'meadow-fescue')).toBeGreaterThan(3 * probabilityOf(without, 'meadow-fescue'))
    for (const c of sown.candidates) expect(c.probability).toBeGreaterThan(0)
  })

  it('a summer annual is less likely in January', () => {
    const january = name([['life.form', 'grass']], { month: 1 })
    const july = name([['life.form', 'grass']], { month: 7 })
    expect(probabilityOf(january, 'large-crabgrass')).toBeLessThan(probabilityOf(july, 'large-crabgrass'))
    expect(probabilityOf(january, 'annual-bluegrass')).toBeGreaterThan(probabilityOf(july, 'annual-bluegrass'))
  })

  it('bermudagrass is likelier where it is warm and wet than where it is cool (Hitchcock & Chase 1951)', () => {
    const warm = name([['life.form', 'grass']], { region: 'warm-humid' })
    const cool = name([['life.form', 'grass']], { region: 'cool-humid' })
    expect(probabilityOf(warm, 'bermudagrass')).toBeGreaterThan(4 * probabilityOf(cool, 'bermudagrass'))
  })

  it('the list of what was sown does not hide poison hemlock from one who sees its blotches', () => {
    const result = name(
      [
        ['leaf.outline', 'fern-like'],
        ['stem.marks', 'purple-blotched'],
        ['smell', 'mousy-rank'],
      ],
      { sown: ['white-clover', 'timothy', 'red-clover'] },
    )
    expect(result.candidates[0]!.plant).toBe('poison-hemlock')
  })
})

describe('next checks', () => {
  it('begin with a glance at what sort of plant it is', () => {
    expect(name([]).next[0]).toMatchObject({ character: 'life.form', effort: 'glance' })
  })

  it('do not ask a mown plant for its leaf tip, nor a rosette for its stem', () => {
    const mown = name([['life.form', 'grass']], { stage: 'mown' }).next.map((n) => n.character)
    expect(mown).not.toContain('blade.tip')
    const rosette = name([['life.form', 'forb']], { stage: 'rosette' }).next.map((n) => n.character)
    expect(rosette).not.toContain('stem.marks')
    expect(rosette).not.toContain('stem.armour')
  })

  it('do not ask for flowers or seed heads before there are any', () => {
    const ids = name([['life.form', 'legume']]).next.map((n) => n.character)
    for (const id of ['flower.colour', 'flower.form', 'seed.shape', 'fruit.case', 'head.form'])
      expect(ids).not.toContain(id)
  })

  it('ask a clover about leaflets, not about ligules', () => {
    const ids = name([['life.form', 'legume']]).next.map((n) => n.character)
    expect(ids).toContain('leaf.plan')
    for (const id of ids) expect(flora.characters.find((c) => c.id === id)!.forms, id).not.toEqual(['grass'])
  })

  it('a guess at the life form does not hide the questions of the others', () => {
    const guessed = name([['life.form', 'grass', 'guess']])
    expect(
      guessed.candidates.filter((c) => plantsById.get(c.plant)!.form === 'forb').reduce((s, c) => s + c.probability, 0),
    ).toBeGreaterThan(0.02)
  })

  it('no look is asked for that needs kit left at home, not even against a poison', () => {
    const looks: Look[] = [
      ['life.form', 'forb'],
      ['leaf.outline', 'feathery'],
      ['smell', 'carroty'],
    ]
    const effort = (lacking: ('lens' | 'spade')[]) => name(looks, { lacking }).next.map((n) => n.effort)
    expect(effort([])).toContain('lens')
    expect(effort(['lens', 'spade'])).not.toContain('lens')
    expect(effort(['lens', 'spade'])).not.toContain('dig')
  })

  it('a glance comes before a spade that tells little more', () => {
    const next = name([['life.form', 'grass']]).next
    expect(['glance', 'hand']).toContain(next[0]!.effort)
  })
})

describe('stage-aware coding', () => {
  it('red clover lies flat when mown (common practice, no source)', () => {
    const p = (stage: 'mown' | 'vegetative') =>
      probabilityOf(
        name(
          [
            ['leaf.plan', 'three-palmate'],
            ['posture', 'flat'],
            ['stem.hairs', 'dense'],
          ],
          { stage },
        ),
        'red-clover',
      )
    expect(p('mown')).toBeGreaterThan(p('vegetative'))
  })

  it('johnsongrass seedlings have no rhizome yet to be found (common practice, no source)', () => {
    const johnson = plantsById.get('johnsongrass')!
    expect(cellAt(johnson, 'habit', 'seedling')).toMatchObject({ words: { bunch: 'usually' } })
    expect(cellAt(johnson, 'habit', 'vegetative')).toMatchObject({ words: { rhizome: 'always' } })
  })

  it('poison hemlock is a rosette, then a stem', () => {
    const hemlock = plantsById.get('poison-hemlock')!
    expect(cellAt(hemlock, 'leaf.set', 'rosette')).toMatchObject({ words: { rosette: 'always' } })
  })
})

/** Follow the suggested checks on a plant that shows what it usually shows. */
function nameByTheTool(plant: (typeof flora.plants)[number]) {
  const looks: Observation[] = []
  for (let step = 0; step < 12; step++) {
    const result = identify(book, {}, looks)
    if (result.verdict.kind === 'named') return { result, step }
    const next = result.next[0]
    if (!next) return { result, step }
    const cell =
      next.character === 'life.form'
        ? ({ kind: 'states', words: { [plant.form]: 'always' } } as const)
        : cellAt(plant, next.character, 'vegetative')
    if (!cell) looks.push({ character: next.character, states: ['cant-tell'] })
    else if (cell.kind === 'range')
      looks.push({ character: next.character, value: (cell.typical[0] + cell.typical[1]) / 2, unit: 'mm' })
    else
      looks.push({
        character: next.character,
        states: [Object.entries(cell.words).sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])[0]![0]],
      })
  }
  return { result: identify(book, {}, looks), step: 12 }
}

describe('a plant that shows what it usually shows, the tool choosing the checks', () => {
  // Plants that no vegetative eye can split count as one name.
  const together = (id: string) => book.groupOf.get(id)?.id ?? id
  const runs = flora.plants.map((p) => ({ id: p.id, ...nameByTheTool(p) }))
  const place = (r: (typeof runs)[number]) => r.result.candidates.findIndex((c) => together(c.plant) === together(r.id))

  it.each(runs.map((r) => [r.id, r] as const))('%s is among the first three', (_id, r) => {
    expect(place(r)).toBeLessThan(3)
  })

  it('98 in 100 come out first', () => {
    const others = runs.filter((r) => place(r) > 0).map((r) => r.id)
    expect(others.length / runs.length, others.join()).toBeLessThanOrEqual(0.02)
  })

  it('takes at most nine checks for half of the plants, not even the region known', () => {
    const steps = runs.map((r) => r.step).sort((a, b) => a - b)
    expect(steps[Math.floor(steps.length / 2)]).toBeLessThanOrEqual(9)
  })
})

describe('certainty in words', () => {
  it.each([
    [0.9999, '99 in 100'],
    [0.95, '19 in 20'],
    [0.9, '9 in 10'],
    [0.5, '1 in 2'],
    [0.05, '1 in 20'],
    [0.0002, 'less than 1 in 1,000'],
  ])('%f is said "%s"', (p, said) => expect(naturalFrequency(p)).toBe(said))

  it('never promises more than the figure: the said frequency is within a fifth of the odds', () => {
    for (let p = 0.03; p < 0.97; p += 0.01) {
      const [k, n] = naturalFrequency(p).replace(/,/g, '').split(' in ').map(Number)
      expect(Math.abs(k! / n! - p), `${p}`).toBeLessThan(0.091)
    }
  })

  it('words grow weaker with the figure', () => {
    expect([0.99, 0.95, 0.8, 0.5, 0.2, 0.05].map(certaintyWord)).toEqual([
      'almost certainly',
      'very likely',
      'likely',
      'perhaps',
      'less likely',
      'unlikely',
    ])
  })
})

describe('sedges in fruit', () => {
  const inFruit = { stage: 'flowering' as const, region: 'semi-arid' as const }
  const nebraska: Look[] = [
    ['life.form', 'sedge'],
    ['spikes.kind', 'top-male'],
    ['blade.colour', 'blue-green'],
    ['habit', 'rhizome'],
    ['sac.length', 3.4],
    ['stigmas', 'two'],
    ['scale.colour', 'dark'],
    ['sac.form', 'lens-flat'],
    ['bract.length', 'longer'],
  ]
  const named = (looks: Look[]) => name(looks, inFruit).verdict

  it('ripe or not is asked before anything else of a sedge in head', () => {
    expect(name([['life.form', 'sedge']], inFruit).next[0]!.character).toBe('fruit.ripe')
    expect(name([['life.form', 'sedge'], ['fruit.ripe', 'ripe']], inFruit).next[0]!.character).not.toBe('fruit.ripe') // prettier-ignore
    expect(name([['life.form', 'sedge']]).next.map((n) => n.character)).not.toContain('fruit.ripe')
  })

  it('an unripe head, or one that nobody rubbed, ends in the group', () => {
    for (const looks of [nebraska, [...nebraska, ['fruit.ripe', 'unripe'] as Look]])
      expect(named(looks)).toMatchObject({ kind: 'named', name: { group: 'sedges' } })
  })

  it('ripe, it is named as far as the book goes (Flora of North America, from memory)', () => {
    const verdict = named([...nebraska, ['fruit.ripe', 'ripe']])
    const names = verdict.kind === 'named' ? [verdict.name] : verdict.code === 'few' ? verdict.names : []
    expect(names[0]).toEqual({ ...names[0], plants: ['nebraska-sedge'] })
  })
})
