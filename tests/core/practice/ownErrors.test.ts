import { describe, expect, it } from 'vitest'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { floraAsRead, ownMistake, ownReadings, type Readings } from '@/core/practice/ownErrors.ts'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { identify } from '@/core/naming/identify.ts'
import type { Observation } from '@/core/records/observation.ts'
import type { Determination } from '@/core/records/round.ts'
import { flora } from '@/tests/support/book.ts'

const naming = (id: string, plant: string, looks: Record<string, string>): Determination => ({
  id,
  roundId: null,
  letter: null,
  plant,
  probability: 0.9,
  context: {},
  observations: Object.entries(looks).map(([character, state]): Observation => ({ character, states: [state] })),
  namedAt: '2026-05-01T10:00:00.000Z',
  place: '',
  specimens: 1,
  evidence: [],
})
const check = (namingId: string, was: string) => ({ namingId, checkedOn: '2026-07-01', was, note: '' })
const read = (about: string, right: boolean): PracticeAnswer => ({
  id: crypto.randomUUID(),
  kind: 'read',
  about,
  answered: 'something',
  right,
  sure: 0.9,
  seconds: 3,
  at: '2026-05-01T10:00:00.000Z',
})

describe('how a person reads the parts', () => {
  it('an answer that the plant hardly ever shows was misread, one that it usually shows was not', () => {
    // Perennial ryegrass: shoots folded, a membrane (Hitchcock & Chase 1951).
    const names = [naming('a', 'italian-ryegrass', { vernation: 'rolled', 'ligule.type': 'membrane' })]
    const readings = ownReadings(flora, names, [check('a', 'perennial-ryegrass')], [])
    expect(readings.map((r) => [r.character, r.field.read, r.field.wrong])).toEqual([
      ['vernation', 1, 1],
      ['ligule.type', 1, 0],
    ])
  })

  it('a state like the one that is there is a matter of words, not an error', () => {
    // Hairy vetch is shaggy; "dense" is what many say of it. Three leaflets it never has (common practice, no source).
    const names = [naming('a', 'hairy-vetch', { 'stem.hairs': 'dense', 'leaf.plan': 'three-palmate' })]
    const of = (character: string) =>
      ownReadings(flora, names, [check('a', 'hairy-vetch')], []).find((r) => r.character === character)!.field
    expect(of('stem.hairs')).toEqual({ read: 1, wrong: 0, near: 1 })
    expect(of('leaf.plan')).toEqual({ read: 1, wrong: 1, near: 0 })
  })

  it('names not checked, plants outside the book and "cannot tell" say nothing', () => {
    const names = [
      naming('a', 'timothy', { vernation: 'folded' }),
      naming('b', 'timothy', { vernation: 'folded' }),
      naming('c', 'timothy', { vernation: 'cant-tell' }),
    ]
    expect(ownReadings(flora, names, [check('b', 'other'), check('c', 'timothy')], [])).toEqual([])
  })

  it('drawn parts count beside those of the field, the worst read come first', () => {
    const answers = [read('vernation', true), read('vernation', true), read('ligule.type', false), read('no-such-part', false)] // prettier-ignore
    const readings = ownReadings(flora, [], [], answers)
    expect(readings.find((r) => r.character === 'vernation')!.drawn).toEqual({ read: 2, wrong: 0 })
    expect(readings.map((r) => r.character)).toEqual(['ligule.type', 'vernation'])
  })
})

describe('the rate of mistakes to reckon with', () => {
  const readings = (read: number, wrong: number): Readings => ({
    character: 'vernation',
    field: { read, wrong, near: 0 },
    drawn: { read: 0, wrong: 0 },
  })

  it('is the mean of a beta distribution: 0.05 with the weight of 20, then 5 wrong of 20 make (1 + 5) / 40', () => {
    // Gelman et al. 2013, section 2.4: prior Beta(1, 19), data 5 of 20.
    expect(ownMistake(0.05, readings(20, 5))).toBeCloseTo(6 / 40, 12)
  })

  it('never falls below the book, however well somebody reads', () => {
    expect(ownMistake(0.05, readings(200, 0))).toBe(0.05)
  })

  it('an answer that its reader often gets wrong turns the naming less', () => {
    const context = { stage: 'vegetative' as const }
    const looks: Observation[] = [
      { character: 'life.form', states: ['grass'] },
      { character: 'vernation', states: ['folded'] },
    ]
    const ofFolded = (f: typeof flora) =>
      identify(compileFlora(f), context, looks)
        .candidates.filter((c) => c.plant === 'timothy')
        .map((c) => c.probability)[0]!
    // Timothy is rolled: one who takes rolled for folded every third time cannot put it aside so far.
    expect(ofFolded(floraAsRead(flora, [readings(60, 20)]))).toBeGreaterThan(1.5 * ofFolded(flora))
    expect(floraAsRead(flora, []).characters).toEqual(flora.characters)
  })
})
