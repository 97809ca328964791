import { describe, expect, it } from 'vitest'
import { deltaTable, readDelta, writeDelta } from '@/core/formats/delta.ts'
import { flora } from '@/tests/support/book.ts'

const table = deltaTable(flora)
const text = writeDelta(table)

describe('the character table as DELTA text', () => {
  it('comes back without loss: every character, state, word, range and stage', () => {
    expect(readDelta(text)).toEqual(table)
  })

  it('holds an item for each plant and one more for each stage coded apart', () => {
    const stages = flora.plants.reduce((n, p) => n + Object.keys(p.stages).length, 0)
    expect(table.items).toHaveLength(flora.plants.length + stages)
  })

  it('writes sizes in the notation of the standard', () => {
    expect(text).toMatch(/# tall-fescue\/\n.*\(3-\)5-11\(-15\)/)
    expect(text).toMatch(/^\*CHARACTER LIST$/m)
    expect(text).toMatch(/^#1\. life\.form\/$/m)
  })

  it.each([
    ['no items', '*CHARACTER LIST\n\n#1. a/\n 1. x/\n', /no \*ITEM DESCRIPTIONS/],
    [
      'a state that is none',
      '*CHARACTER LIST\n\n#1. a/\n 1. x/\n\n*ITEM DESCRIPTIONS\n\n# p/\n1,7',
      /p: a has no state number 7/,
    ],
    [
      'a character that is none',
      '*CHARACTER LIST\n\n#1. a/\n 1. x/\n\n*ITEM DESCRIPTIONS\n\n# p/\n9,1',
      /p: there is no character number 9/,
    ],
    [
      'a word that is none',
      '*CHARACTER LIST\n\n#1. a/\n 1. x/\n\n*ITEM DESCRIPTIONS\n\n# p/\n1,1<mostly>',
      /not a frequency word: mostly/,
    ],
    [
      'a size that is none',
      '*CHARACTER LIST\n\n#1. w/\n mm/\n\n*ITEM DESCRIPTIONS\n\n# p/\n1,wide',
      /not a size range: wide/,
    ],
  ])('says what is wrong with %s', (_what, bad, said) => expect(() => readDelta(bad)).toThrow(said))
})
