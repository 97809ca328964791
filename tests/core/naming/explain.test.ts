import { describe, expect, it } from 'vitest'
import { identify } from '@/core/naming/identify.ts'
import type { Observation } from '@/core/records/observation.ts'
import { always, madeBook, madeCharacter, madePlant, mostly, name, type Look } from '@/tests/support/book.ts'

const book = madeBook(
  [
    madeCharacter('fold', ['rolled', 'folded']),
    madeCharacter('claws', ['long', 'none']),
    madeCharacter('hair', ['hairy', 'bare']),
  ],
  [
    madePlant('fescue', { fold: always('rolled'), claws: always('none'), hair: always('bare') }),
    madePlant('ryegrass', { fold: always('rolled'), claws: always('long'), hair: always('bare') }),
    madePlant('bluegrass', { fold: always('folded'), claws: always('none'), hair: always('bare') }),
  ],
)
const see = (...looks: [string, string][]) =>
  identify(
    book,
    {},
    looks.map(([character, state]): Observation => ({ character, states: [state], sureness: 'sure' })),
  )

describe('why the verdict is what it is', () => {
  it('nothing was seen: there is nothing to explain', () => {
    expect(see().explanation).toEqual({})
  })

  it('the look without which another would lead turned it', () => {
    const { candidates, explanation } = see(['fold', 'rolled'], ['hair', 'bare'], ['claws', 'long'])
    expect(candidates[0]!.plant).toBe('ryegrass')
    expect(explanation.turned).toBe('claws')
  })

  it('a look that all share turned nothing', () => {
    expect(see(['hair', 'bare']).explanation.turned).toBeUndefined()
  })

  it('the look against the rest is called out, with its bits against the first', () => {
    const sure: Look[] = [
      ['vernation', 'rolled'],
      ['auricle.edge', 'hair-fringed'],
      ['auricles', 'short-blunt'],
      ['base.colour', 'purple-red'],
    ]
    expect(name(sure).explanation.contradicts).toBeUndefined()
    const against = name([...sure, ['habit', 'stolon']]).explanation.contradicts
    expect(against?.character).toBe('habit')
    expect(against!.bits).toBeLessThan(-2)
  })

  it('a single look cannot stand against a rest that is not there', () => {
    expect(see(['claws', 'long']).explanation.contradicts).toBeUndefined()
  })

  it('names a look still to be made and the answer that would put another first', () => {
    const { candidates, explanation } = see(['fold', 'rolled'])
    const { character, state, plant } = explanation.wouldChange!
    expect(character).not.toBe('fold')
    // Making that very look with that answer does put that plant first.
    expect(candidates[0]!.plant).not.toBe(plant)
    expect(see(['fold', 'rolled'], [character, state]).candidates[0]!.plant).toBe(plant)
  })

  it('keeps its word over the whole book: what would change it does', () => {
    const begun: Look[][] = [
      [['life.form', 'grass']],
      [['life.form', 'legume']],
      [
        ['life.form', 'forb'],
        ['leaf.outline', 'fern-like'],
      ],
    ]
    for (const looks of begun) {
      const { explanation, candidates } = name(looks)
      const change = explanation.wouldChange
      if (!change) continue
      expect(candidates[0]!.plant).not.toBe(change.plant)
      const after = name([...looks, [change.character, change.state]])
      const rank = after.candidates.findIndex((c) => c.plant === change.plant)
      expect(rank, `${change.character} ${change.state}`).toBeLessThan(candidates.findIndex((c) => c.plant === change.plant)) // prettier-ignore
    }
  })

  it('an answer that the book does not have is refused: it must not pass for evidence', () => {
    expect(() => name([['ligule.type', 'none']])).toThrow('ligule.type has no state "none"')
    expect(() => see(['fold', 'crumpled'])).toThrow(RangeError)
    expect(() => see(['colour', 'red'])).toThrow('no character "colour"')
    const counts: Observation = { character: 'fold', counts: { rolled: 2, crumpled: 1 }, sureness: 'sure' }
    expect(() => identify(book, {}, [counts])).toThrow(RangeError)
  })

  it('a plant that shows both ways is turned by less than one that never does', () => {
    const either = madeBook(
      [madeCharacter('fold', ['rolled', 'folded'])],
      [
        madePlant('one', { fold: mostly({ rolled: 'often', folded: 'often' }) }),
        madePlant('other', { fold: always('rolled') }),
      ],
    )
    const bits = identify(either, {}, [{ character: 'fold', states: ['folded'], sureness: 'sure' }])
    const weighed = (plant: string) => bits.candidates.find((c) => c.plant === plant)!.evidence[0]!.bits
    expect(weighed('one')).toBeGreaterThan(weighed('other') + 2)
  })
})
