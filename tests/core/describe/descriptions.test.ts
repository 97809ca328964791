import { readFileSync } from 'node:fs'
import { describe as group, expect, it } from 'vitest'
import { describe } from '@/core/describe/describe.ts'
import { observationOf, type Read } from '@/core/describe/description.ts'
import { words } from '@/tests/support/words.ts'

/** A text with what it says, as the two files of descriptions hold them. */
interface Told {
  language: 'en' | 'de'
  text: string
  facts: string[]
  context: string[]
}

function told(file: string): Told[] {
  const out: Told[] = []
  let language: Told['language'] = 'en'
  for (const line of readFileSync(`tests/reference/descriptions/${file}.txt`, 'utf8').split('\n')) {
    if (/^# (en|de)/.test(line)) language = line.slice(2, 4) as Told['language']
    else if (line.startsWith('=')) out.at(-1)!.facts = line.slice(2).split('; ')
    else if (line.startsWith('@')) out.at(-1)!.context = line.slice(2).split('; ')
    else if (line.trim() && !line.startsWith('#')) out.push({ language, text: line, facts: [], context: [] })
  }
  return out
}

const SURENESS: Record<string, string> = { '~': 'likely', '?': 'guess' }

/** Whether a fact was read: a state among those that are meant, a size within three tenths, counts to the plant. */
function isRead(fact: string, read: readonly Read[]): boolean {
  const [, character, what, mark] = /^([a-z.]+)=(\S+)(?: ([~?]))?$/.exec(fact)!
  const o = read.find((r) => r.character === character)
  if (!o || (mark && o.sureness !== SURENESS[mark])) return false
  if (what!.includes('*')) return 'counts' in o && what!.split(',').every((c) => o.counts[c.split('*')[1]!] === Number(c.split('*')[0])) // prettier-ignore
  if (/^\d/.test(what!)) {
    const mm = 'value' in o ? o.value : 'values' in o ? (o.values[0]! + o.values[1]!) / 2 : NaN
    return Math.abs(mm - Number(what)) < 0.3 * Number(what)
  }
  const wanted = what!.split('|')
  return 'states' in o && (o.states.every((s) => wanted.includes(s)) || wanted.every((s) => o.states.includes(s)))
}

group('descriptions in advisors own words', () => {
  // The first hundred were written before the vocabulary, by the hand that then wrote it: others will say it otherwise.
  it.each(['first', 'second'])('the %s hundred: of the facts said at least 96 in 100 are read', (file) => {
    const all = told(file)
    const missed = all.flatMap(({ language, text, facts }) => {
      const { observations } = describe(words(language), text)
      return facts.filter((f) => !isRead(f, observations)).map((f) => `${text}: ${f}`)
    })
    const facts = all.reduce((n, t) => n + t.facts.length, 0)
    expect(all.length).toBeGreaterThan(80)
    expect(missed.length / facts, missed.join('\n')).toBeLessThan(0.04)
  })

  it.each(['first', 'second'])('the %s hundred: nothing is read that contradicts what was said', (file) => {
    const wrong = told(file).flatMap(({ language, text, facts }) => {
      const { observations } = describe(words(language), text)
      const said = new Map(facts.map((f) => [/^[a-z.]+/.exec(f)![0], f]))
      return observations.filter((o) => said.has(o.character) && !isRead(said.get(o.character)!, observations)).map((o) => `${text}: ${o.character}`) // prettier-ignore
    })
    // Four of some 500 are: two lists of which one word was meant, a correction over a question, "pith no".
    expect(wrong.length, wrong.join('\n')).toBeLessThan(6)
  })

  it('time and place are read: month, mown, seedling, wet ground, what was sown', () => {
    for (const { language, text, context } of [...told('first'), ...told('second')])
      for (const c of context) {
        const [key, value] = c.split('=') as [string, string]
        const read = describe(words(language), text).context
        const said = {
          stage: read.stage,
          month: String(read.month),
          ground: read.ground?.join(),
          sown: read.sown?.join(),
        }
        expect(said[key as keyof typeof said], text).toBe(value)
      }
  })

  it('each observation stands on the stretch of text that says it', () => {
    const text = 'Leaves are folded in the bud, with a boat tip.'
    const { observations } = describe(words('en'), text)
    expect(observations.map((o) => [o.character, text.slice(...o.span)])).toEqual([
      ['vernation', 'folded in the bud'],
      ['blade.tip', 'boat tip'],
    ])
  })
})

group('what is not said of this plant', () => {
  const read = (text: string) => describe(words('en'), text).observations.map((o) => o.character)

  it.each([
    'The book says it has clasping auricles.',
    'Last year there was a plant with milky sap here.',
    'The dog is hairy and my boots are purple.',
    'The one next to it has a white V on its leaflets.',
    'If it were brome the sheath would be closed.',
    "I haven't looked at the ligule or the auricles.",
    'The neighbor says his has a taproot.',
  ])('%s: nothing is read', (text) => {
    expect(read(text)).toEqual([])
  })

  it('a word that could mean two things is asked about, not guessed', () => {
    const { observations, questions } = describe(words('en'), 'It is purple.')
    expect(observations).toEqual([])
    expect(questions[0]!.characters).toEqual(expect.arrayContaining(['base.colour', 'stem.marks']))
  })

  it('what nobody understood is given back', () => {
    const text = 'Folded leaf, wibbles the foreman zanily.'
    const { unread } = describe(words('en'), text)
    expect(unread.map((u) => text.slice(...u))).toEqual(['wibbles the foreman zanily'])
  })
})

group('any text at all', () => {
  it('sentences that say nothing of the plant change nothing', () => {
    const plain = 'Rolled leaf. Clasping auricles. Purple base.'
    const base = describe(words('en'), plain).observations.map(observationOf)
    for (const noise of [
      'It was a long drive.',
      'Call me at noon.',
      'The cattle are on the hill.',
      'Nice view from up here!',
    ]) {
      const all = describe(words('en'), `${noise} ${plain} ${noise}`).observations.map(observationOf)
      expect(all, noise).toEqual(base)
    }
  })

  it('sentences in another order say the same', () => {
    const list = ['Rolled leaf.', 'Clasping auricles.', 'Purple base.', 'Ligule 1 mm.']
    const of = (order: string[]) => describe(words('en'), order.join(' ')).observations.map((o) => JSON.stringify(observationOf(o))).sort() // prettier-ignore
    expect(of([...list].reverse())).toEqual(of(list))
    expect(of([list[2]!, list[0]!, list[3]!, list[1]!])).toEqual(of(list))
  })

  it('two thousand random ones, control characters and a hundred thousand letters: nothing is thrown', () => {
    let seed = 7
    const chance = () => (seed = (seed * 48271) % 2147483647) / 2147483647
    const alphabet = 'abcdefghij no not or and hairy leaf folded ½ 3 mm , . ! ? \u0000\u0007\ud800 ä ß " \' -'
    for (let i = 0; i < 2000; i++) {
      const text = Array.from({ length: 60 }, () => alphabet[Math.floor(chance() * alphabet.length)]).join('')
      expect(() => describe(words('en'), text)).not.toThrow()
    }
    expect(() => describe(words('de'), 'behaart, '.repeat(12_000))).not.toThrow()
  })
})
