import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { readFileSync } from 'node:fs'
import { afterEach, describe, expect, it } from 'vitest'
import { inSentence, say as sayInCore, speak, translatorFrom } from '@/text/say.ts'
import { Say } from '@/web/language/Say.tsx'
import { languageIds, languages } from '@/web/language/languages.ts'
import { say, word } from '@/web/language/say.ts'
import german from '../../web/language/texts/de.json'
import english from '../../web/language/texts/en.json'
// @ts-expect-error: plain script, shared with those that run before anything is built
import { allTexts } from '../../scripts/texts.mjs'

const texts = new Set(allTexts() as string[])
const catalogue = german as Record<string, string>
const places = (text: string) => (text.match(/\{\{\w+\}\}/g) ?? []).sort()
const parts = (text: string) => (text.match(/<\/?\w+\/?>/g) ?? []).sort()
/** The English of an entry that is for one only. */
const manyOf = (key: string) => key.replace(/_one$/, '')

describe('the German catalogue', () => {
  it('has every text that the app says, and of the book, and none that it does not', () => {
    expect([...texts].filter((t) => !(t in catalogue))).toEqual([])
    expect(Object.keys(catalogue).filter((k) => !texts.has(manyOf(k)))).toEqual([])
  })

  it('keeps the place of every value and part', () => {
    const differ = Object.entries(catalogue).filter(
      ([text, said]) => parts(text).join() !== parts(said).join() || places(text).join() !== places(said).join(),
    )
    // For one, the number may stand as a word.
    expect(differ.map(([k]) => k).filter((k) => !k.endsWith('_one'))).toEqual([])
  })

  it('keeps the figures of every text: a translation changes no dose, distance or year', () => {
    const figures = (text: string) =>
      (text.match(/\d[\d.,]*/g) ?? [])
        .map((f) =>
          f
            .replace(/[.,]$/, '')
            .replace(/^(\d+)[.,](\d{3})$/, '$1$2')
            .replace(',', '.'),
        )
        .sort()
    const differ = Object.entries(catalogue).filter(([text, said]) => {
      const there = figures(said)
      return !figures(text).every((f) => there.includes(f))
    })
    expect(differ).toEqual([])
  })

  it('says nothing by an empty text, and keeps spaces at the ends, which join sentences', () => {
    const ends = (t: string) => [t.startsWith(' '), t.endsWith(' ')].join()
    expect(Object.entries(catalogue).filter(([k, v]) => v.trim() === '' || ends(k) !== ends(v))).toEqual([])
  })

  // The cautions may be put in other words, never softened: German has "sicher" for both sure and safe.
  it('never calls a plant safe', () => {
    const calm = Object.values(catalogue).filter((v) => /unbedenklich|gefahrlos|harmlos|ungiftig/i.test(v))
    expect(calm).toEqual([])
  })

  it('has a form for one wherever English has', () => {
    const forOne = Object.keys(english)
    expect(forOne.filter((k) => !(k in catalogue))).toEqual([])
    expect(forOne.filter((k) => !texts.has(manyOf(k)))).toEqual([])
  })
})

describe('texts of the core', () => {
  afterEach(() => speak())

  it('are English with values in their places until another language is put in', () => {
    expect(sayInCore('{{n}} more harmful plants', { n: 3 })).toBe('3 more harmful plants')
    speak(translatorFrom(catalogue), true)
    expect(sayInCore('{{n}} more harmful plants', { n: 3 })).toBe('3 weitere schädliche Pflanzen')
    expect(sayInCore('a text that nobody translated, {{n}}', { n: 1 })).toBe('a text that nobody translated, 1')
  })

  it('write a noun within a sentence as the language does', () => {
    expect(inSentence('Tansy ragwort')).toBe('tansy ragwort')
    expect(inSentence('Kentucky bluegrass')).toBe('Kentucky bluegrass')
    speak(translatorFrom(catalogue), true)
    expect(inSentence('Jakobs-Greiskraut')).toBe('Jakobs-Greiskraut')
  })
})

describe('German names of plants', () => {
  // Buttler, Thieme & al., Florenliste von Deutschland; names by common usage, from memory.
  it.each([
    ['Perennial ryegrass', 'Deutsches Weidelgras'],
    ['Annual ryegrass', 'Welsches Weidelgras'],
    ['Timothy', 'Wiesen-Lieschgras'],
    ['Meadow fescue', 'Wiesen-Schwingel'],
    ['Red fescue', 'Rot-Schwingel'],
    ['Meadow foxtail', 'Wiesen-Fuchsschwanz'],
    ['Tall oatgrass', 'Glatthafer'],
    ['Crested dogstail', 'Weide-Kammgras'],
    ['Sweet vernalgrass', 'Gewöhnliches Ruchgras'],
    ['Velvetgrass', 'Wolliges Honiggras'],
    ['Annual bluegrass', 'Einjähriges Rispengras'],
    ['Rough bluegrass', 'Gewöhnliches Rispengras'],
    ['Quackgrass', 'Gewöhnliche Quecke'],
    ['Smooth brome', 'Wehrlose Trespe'],
    ['Meadow brome', 'Ufer-Trespe'],
    ['Soft brome', 'Weiche Trespe'],
    ['Red clover', 'Rot-Klee'],
    ['Crimson clover', 'Inkarnat-Klee'],
    ['Black medic', 'Hopfenklee'],
    ['Alfalfa', 'Luzerne'],
    ['Yarrow', 'Wiesen-Schafgarbe'],
    ['Broadleaf dock', 'Stumpfblättriger Ampfer'],
    ['Curly dock', 'Krauser Ampfer'],
    ['Bull thistle', 'Gewöhnliche Kratzdistel'],
    ['Creeping (Canada) thistle', 'Acker-Kratzdistel'],
    ['Bracken fern', 'Adlerfarn'],
    ['Field horsetail', 'Acker-Schachtelhalm'],
    ['Foxglove', 'Roter Fingerhut'],
    ['Jimsonweed', 'Stechapfel'],
    ['Ground ivy', 'Gundermann'],
    ['Stinging nettle', 'Große Brennnessel'],
    ['Big bluestem', 'Großes Bartgras'],
    ['Orchardgrass', 'Knäuelgras'],
    ['Kentucky bluegrass', 'Wiesen-Rispengras'],
    ['Alsike clover', 'Schweden-Klee'],
    ['Poison hemlock', 'Gefleckter Schierling'],
    ['Tansy ragwort', 'Jakobs-Greiskraut'],
    ['Giant hogweed', 'Riesen-Bärenklau'],
  ])('%s is %s', (name, german) => expect(catalogue[name]).toBe(german))

  it('tell every two plants apart', () => {
    const names = readFileSync('flora/taxa.csv', 'utf8')
      .trim()
      .split('\n')
      .slice(1)
      .map((l) => catalogue[l.split(',')[1]!])
    expect(new Set(names).size).toBe(names.length)
  })
})

describe('what somebody wrote', () => {
  it('goes into a text as it is, and is no text of the catalogue itself', () => {
    const name = 'Croft {{n}} $t(Bench) <b>'
    expect(say('The plan for {{name}}', { name, n: 7 })).toBe(`The plan for ${name}`)
    expect(word(`There is an account named ${name} already.`)).toBe(`There is an account named ${name} already.`)
  })

  it('is counted as one or many by its number', () => {
    expect(say('{{count}} plants', { count: 1 })).toBe('1 plant')
    expect(say('{{count}} plants', { count: 0 })).toBe('0 plants')
    expect(say('{{count}} times', { count: 1 })).toBe('once')
  })
})

describe('a figure', () => {
  it('has the point or comma of its language', () => {
    for (const id of languageIds) {
      // As the Unicode locale data of the runtime have it.
      const point = new Intl.NumberFormat(id).formatToParts(0.5).find((p) => p.type === 'decimal')!.value
      expect(languages[id].point, id).toBe(point)
    }
  })
})

describe('a text with parts', () => {
  const shown = (text: string, values: Record<string, string>) =>
    renderToStaticMarkup(createElement(Say, { text, values, components: { b: createElement('b'), i: createElement('i', null, 'own') } })) // prettier-ignore

  it('puts each part and value in its place', () => {
    expect(shown('<b>Found: {{name}}</b> (<i/>), {{n}} of 30.', { name: 'timothy', n: '4' })).toBe(
      '<b>Found: timothy</b> (<i>own</i>), 4 of 30.',
    )
  })

  it('what somebody wrote is text, whatever it looks like', () => {
    const name = `Cat's-ear & "Long <b>Croft</b>" <script>alert(1)</script> {{n}} $t(x)`
    const html = shown('<b>Unknown {{name}}</b>, so', { name })
    expect(html).not.toMatch(/<script|<b>Croft/)
    const read = html
      .replace(/&lt;/g, '<')
      .replace(/&gt;/g, '>')
      .replace(/&quot;/g, '"')
      .replace(/&#x27;/g, "'")
    expect(read.replace(/&amp;/g, '&')).toBe(`<b>Unknown ${name}</b>, so`)
  })
})
