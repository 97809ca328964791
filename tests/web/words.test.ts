import { inSentence } from '@/text/say.ts'
import { describe, expect, it } from 'vitest'
import { flora, plantsById } from '@/tests/support/book.ts'
import { usualState, usualWords } from '@/web/entities/plant/usualState.ts'
import { answerWords, percent, percentRange, stateWords } from '@/web/parts/words.ts'

const plain = (text: string) => text.replaceAll('\u00a0', ' ')

describe('figures as they are read out', () => {
  it.each([
    [0, '0 %'],
    [0.004, '0.4 %'],
    [0.0949, '9.5 %'],
    [0.0996, '10 %'],
    [0.234, '23 %'],
    [1, '100 %'],
  ])('%f is "%s"', (share, said) => expect(plain(percent(share))).toBe(said))

  it('a range keeps one way of rounding for both ends', () => {
    expect(plain(percentRange([0.004, 0.031]))).toBe('0.4 to 3.1 %')
    expect(plain(percentRange([0.17, 0.3]))).toBe('17 to 30 %')
  })

  it('figure and unit stay on one line', () => expect(percent(0.2)).not.toMatch(/ /))
})

describe('words', () => {
  it('states are said without dashes', () => {
    for (const c of flora.characters) for (const s of c.states ?? []) expect(stateWords(s), s).not.toMatch(/-/)
  })

  it('answers are said as they were given', () => {
    expect(answerWords({ character: 'blade.width', value: 8 })).toBe('8 mm')
    expect(answerWords({ character: 'vernation', states: ['rolled', 'folded'] })).toBe('rolled or folded')
    expect(answerWords({ character: 'smell', states: ['cant-tell'] })).toBe("can't tell")
  })

  it('names of places keep their capital inside a sentence', () => {
    expect(inSentence('Wild carrot')).toBe('wild carrot')
    expect(inSentence('Kentucky bluegrass')).toBe('Kentucky bluegrass')
  })

  it('the usual state is the most frequent one', () => {
    const rye = plantsById.get('perennial-ryegrass')!
    expect(usualState(rye, 'base.colour', 'vegetative')).toBe('purple-red')
    expect(usualState(rye, 'life.form', 'vegetative')).toBe('grass')
    expect(usualState(rye, 'sap', 'vegetative')).toBeUndefined()
    expect(usualWords(rye, 'blade.width', 'vegetative')).toBe('2 to 5 mm')
    expect(usualWords(rye, 'base.colour', 'vegetative')).toBe('usually purple red, sometimes green or white')
  })
})
