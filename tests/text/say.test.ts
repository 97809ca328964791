import fc from 'fast-check'
import { afterEach, describe, expect, it } from 'vitest'
import { inSentence, say, speak, translatorFrom } from '@/text/say.ts'

afterEach(() => speak())

describe('a text with values', () => {
  it('holds each value as it is, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(say('{{a}} and {{b}}', { a, b })).toBe(`${a} and ${b}`)
        expect(say('{{a}}{{a}}', { a })).toBe(a + a)
      }),
    )
  })

  it('a value with signs that mean something to a replacement is text', () => {
    for (const a of ['$&', '$1', '$$', '{{b}}', '\\u0041', '<b>']) expect(say('[{{a}}]', { a, b: 'no' })).toBe(`[${a}]`)
  })

  it('what is not given is left out, and what is nothing says nothing', () => {
    expect(say('{{n}} of {{of}}', { n: 0 })).toBe('0 of ')
    expect(say('a{{x}}b{{y}}c', { x: null, y: undefined })).toBe('abc')
    expect(say('no values')).toBe('no values')
  })
})

describe('a language', () => {
  it('is spoken until English is again, and says in English what it does not know', () => {
    speak(translatorFrom({ 'Poison round': 'Giftrunde', '{{n}} stops': '{{n}} Halte' }))
    expect(say('Poison round')).toBe('Giftrunde')
    expect(say('{{n}} stops', { n: 3 })).toBe('3 Halte')
    expect(say('Seed tray')).toBe('Seed tray')
    speak()
    expect(say('Poison round')).toBe('Poison round')
  })

  it('says whether nouns keep their capitals', () => {
    expect(inSentence('Orchardgrass')).toBe('orchardgrass')
    expect(inSentence('')).toBe('')
    // Names of places and persons keep theirs in English (The Chicago Manual of Style, ch. 8, from memory).
    for (const name of ['Kentucky bluegrass', 'Texas panicum', 'Idaho fescue', 'Japanese stiltgrass', 'Scotch thistle'])
      expect(inSentence(name)).toBe(name)
    speak(translatorFrom({}), true)
    expect(inSentence('Knäuelgras')).toBe('Knäuelgras')
  })
})
