import { describe as group, expect, it } from 'vitest'
import { complementOf, lackOf } from '@/core/describe/absence.ts'
import { describe } from '@/core/describe/describe.ts'
import { words } from '@/tests/support/words.ts'

const states = (text: string, character: string, language: 'en' | 'de' = 'en') => {
  const o = describe(words(language), text).observations.find((x) => x.character === character)
  return o && 'states' in o ? o.states : undefined
}

// What a person rules out is that and no more; what the sentences mean is common usage, no source.
group('what is ruled out', () => {
  it('one mark of several leaves the others open: a stem without purple spots may be tinged red', () => {
    const left = states('broad leaf, stem with no purple spots', 'stem.marks')!
    expect(left).not.toContain('purple-blotched')
    expect(left).toEqual(expect.arrayContaining(['plain', 'red-tinged']))
  })

  it.each([
    ['no onion smell', 'en', 'onion-garlic'],
    ['doesn’t smell of mint', 'en', 'minty'],
    ['kein Zwiebelgeruch', 'de', 'onion-garlic'],
  ] as const)('%s: not that smell, though it may have another', (text, language, smell) => {
    const left = states(text, 'smell', language)!
    expect(left).not.toContain(smell)
    expect(left.length).toBeGreaterThan(3)
  })

  it.each([
    ['no smell at all', 'smell', ['none']],
    ['no markings on the clover leaflets', 'leaflet.mark', ['none']],
    ['the leaf is not hairy on top', 'hairs.upper', ['none']],
  ])('%s: where all of it is ruled out, there is none', (text, character, expected) => {
    expect(states(text, character)).toEqual(expected)
  })

  it('of several plants those without it are counted as without it', () => {
    const { observations } = describe(words('en'), 'two of three had no purple spots on the stem')
    expect(observations.find((o) => o.character === 'stem.marks')).toMatchObject({
      counts: { plain: 2, 'purple-blotched': 1 },
    })
  })

  it('a state and its opposite never stand together, and "not plain" says nothing', () => {
    const book = words('en')
    for (const [character, list] of book.states)
      for (const state of list) {
        expect(complementOf(character, [state], book), character).not.toContain(state)
        for (const left of complementOf(character, [state], book)) expect(list, `${character} ${left}`).toContain(left)
        for (const left of lackOf(character, [state])) expect(list, `${character} ${left}`).toContain(left)
      }
    expect(complementOf('stem.marks', ['plain'], book)).toEqual([])
  })
})

group('"none" behind its word', () => {
  it.each(['Auricles none.', 'Auricles: none', 'auricles nil', 'Rolled. Auricles? None.'])('%s', (text) => {
    expect(states(text, 'auricles')).toEqual(['absent'])
  })

  it('turns only the word before it: "folded, none rolled" is folded', () => {
    expect(states('folded, none rolled', 'vernation')).toEqual(['folded'])
  })

  it('what is left of one part is not read of another: a grass without purple spots has no purple base', () => {
    expect(states('grass, no purple spots on the stem', 'base.colour')).toBeUndefined()
  })
})
