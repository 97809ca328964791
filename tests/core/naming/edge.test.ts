import { describe, expect, it } from 'vitest'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { identify } from '@/core/naming/identify.ts'
import { always, book, flora, madeBook, madeCharacter, madePlant, name, observe, probabilityOf } from '@/tests/support/book.ts' // prettier-ignore

describe('plants of the edge of the field', () => {
  const leaf = madeCharacter('leaf', ['broad', 'narrow'])
  const plants = (edge: boolean) => [
    madePlant('of-sward', { leaf: always('broad') }),
    madePlant('of-hedge', { leaf: always('broad') }, edge ? { edge: ['hedge'] } : {}),
  ]
  const odds = (edge: boolean) => {
    const made = madeBook([leaf], plants(edge))
    const result = identify(made, {}, observe([['leaf', 'broad']]))
    return probabilityOf(result, 'of-hedge') / probabilityOf(result, 'of-sward')
  }

  it('weigh a third of one of the sward that looks the same, and are never shut out', () => {
    expect(odds(false)).toBeCloseTo(1, 6)
    expect(odds(true)).toBeCloseTo(0.35, 6)
  })

  // Bark, bud and twig of a cherry in winter: Prunus serotina in the floras of the eastern states, from memory.
  it('a twig without a leaf is enough for a cherry, and its kin stay open', () => {
    const { candidates, harmfulOpen } = name([
      ['life.form', 'shrub'],
      ['leaf.keep', 'falls'],
      ['bud.set', 'single'],
      ['bud.look', 'many-scales'],
      ['bark.look', 'lines-across'],
      ['twig.look', 'dotted-with-pores'],
      ['smell', 'bitter-almond'],
    ])
    expect(candidates[0]!.plant).toBe('black-cherry')
    expect(harmfulOpen.map((h) => h.plant)).toContain('chokecherry')
  })

  it('what asks for bud, bark and twig is asked of woody plants only', () => {
    const wood = ['leaf.keep', 'bud.set', 'bud.look', 'twig.inside', 'twig.look', 'bark.look', 'petiole.knobs']
    const asked = (form: string) => name([['life.form', form]]).next.map((n) => n.character)
    for (const form of ['grass', 'legume', 'forb']) expect(asked(form).filter((c) => wood.includes(c))).toEqual([])
    for (const id of wood) expect(flora.characters.find((c) => c.id === id)!.forms).toEqual(['shrub'])
  })

  it('one cell taken away from any of them does not close it while its neighbour of the same harm is open', () => {
    const looks = observe([['life.form', 'shrub'], ['leaf.set', 'opposite'], ['leaf.outline', 'three-to-five-lobed']]) // prettier-ignore
    for (const missing of ['leaf.set', 'leaf.outline', 'twig.look', 'bud.set']) {
      const less = compileFlora({
        ...flora,
        plants: flora.plants.map((p) => {
          if (p.id !== 'red-maple') return p
          const characters = Object.fromEntries(Object.entries(p.characters).filter(([id]) => id !== missing))
          return { ...p, characters }
        }),
      })
      expect(
        identify(less, {}, looks).harmfulOpen.map((h) => h.plant),
        missing,
      ).toContain('red-maple')
    }
    expect(identify(book, {}, looks).harmfulOpen.map((h) => h.plant)).toContain('sycamore-maple')
  })
})
