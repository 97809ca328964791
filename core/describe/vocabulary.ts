import type { Character, Region, Stage } from '../flora/flora.ts'
import { contentOf, foldedWords } from './tokens.ts'

/** How people of one language say what they see, as it stands in `flora/words`. Phrases stand between semicolons. */
export interface VocabularyFile {
  parts: Record<string, string>
  words: Record<string, string>
  numbers: Record<string, number>
  units: Record<string, number>
  sizes: Record<string, number>
  dimensions: Record<string, string>
  measured: Record<string, string>
  sure: string
  likely: string
  guess: string
  negators: string
  unread: string
  corrections: string
  comparisons: string
  elsewhere: string
  foreign: string
  here: string
  alternatives: string
  contrast: string
  stages: Record<string, string>
  months: Record<string, number>
  ground: Record<string, string>
  /** Where a plant grows, by the regions of the book. */
  regions: Record<string, string>
  sown: string
  slips: Record<string, string>
  /** Words that carry no meaning of their own and are passed over. */
  passed: string
}

/** What a word means by the part it is said of; `any` where no part is named. */
export type Meanings = Record<string, Record<string, string>>

/** A character with the states, or the size in millimetres, that a word stands for. */
export interface Meaning {
  character: string
  states?: string[]
  /** Millimetres, low and high. */
  range?: [number, number]
}

export type Entry =
  | { is: 'word'; concept: string; negative: boolean }
  | { is: 'part'; part: string }
  | { is: 'sureness'; sureness: 'sure' | 'likely' | 'guess' }
  | { is: 'stage'; stage: Stage }
  | { is: 'month'; month: number }
  | { is: 'ground'; ground: string }
  | { is: 'region'; region: Region }
  | { is: 'plant'; plant: string }
  | {
      is:
        | 'negator'
        | 'unread'
        | 'correction'
        | 'comparison'
        | 'elsewhere'
        | 'foreign'
        | 'here'
        | 'alternative'
        | 'contrast'
        | 'sown'
    }

/** One step of a phrase: the entries that end here, and what may follow. */
export interface Node {
  next: Map<string, Node>
  /** Up to two words may stand here before the phrase goes on. */
  gap?: Node
  entries: Entry[]
}

export interface Vocabulary {
  language: string
  root: Node
  meanings: Map<string, Record<string, Meaning[]>>
  numbers: ReadonlyMap<string, number>
  units: ReadonlyMap<string, number>
  sizes: ReadonlyMap<string, number>
  dimensions: ReadonlyMap<string, string>
  measured: Record<string, string>
  slips: ReadonlyMap<string, string>
  passed: ReadonlySet<string>
  negators: ReadonlySet<string>
  /** Names of parts, folded, of one or two words: they are heard inside other phrases too. */
  partNames: ReadonlyMap<string, string>
  /** Least and most that a size may be, mm. */
  ranges: ReadonlyMap<string, readonly [number, number]>
  /** Forms a character can be seen on. */
  forms: ReadonlyMap<string, readonly string[]>
  /** States of each character, in the order of the book. */
  states: ReadonlyMap<string, readonly string[]>
}

const phrasesOf = (text: string): string[] =>
  text
    .split(';')
    .map((p) => p.trim())
    .filter(Boolean)

/** "(big/large) leaf" is two phrases. */
function spelledOut(phrase: string): string[] {
  const found = /\(([^)]*)\)(\?)?/.exec(phrase)
  if (!found) return [phrase]
  const options = [...found[1]!.split('/'), ...(found[2] ? [''] : [])]
  return options.flatMap((o) => spelledOut(phrase.replace(found[0], o)))
}

/** "stem.marks=plain|red-tinged, sap=clear" and "ligule.height=4..8" as data. */
export function readMeaning(text: string): Meaning[] {
  return text.split(',').map((one) => {
    const [character, what] = one.trim().split('=') as [string, string]
    const range = /^([\d.]+)\.\.([\d.]+)$/.exec(what)
    if (range) return { character, range: [Number(range[1]), Number(range[2])] }
    return { character, states: what.split('|') }
  })
}

/**
 * A vocabulary ready to be read with.
 *
 * @param names common names of plants by id, as people there call them
 */
export function compileVocabulary(
  language: string,
  file: VocabularyFile,
  meanings: Meanings,
  characters: readonly Character[],
  names: ReadonlyMap<string, readonly string[]>,
): Vocabulary {
  const root: Node = { next: new Map(), entries: [] }
  const passed = new Set(file.passed.split(' '))
  const negators = new Set(phrasesOf(file.negators).map((p) => foldedWords(p, language, passed).join(' ')))
  const put = (phrase: string, entry: Entry) => {
    for (const one of spelledOut(phrase)) {
      let node = root
      const words = one.split('..')
      words.forEach((piece, i) => {
        if (i > 0) node = node.gap ??= { next: new Map(), entries: [] }
        for (const word of foldedWords(piece, language, passed)) {
          const next: Node = node.next.get(word) ?? { next: new Map(), entries: [] }
          node.next.set(word, next)
          node = next
        }
      })
      if (node !== root) node.entries.push(entry)
    }
  }
  const all = new Map<string, Record<string, Meaning[]>>()
  for (const [concept, phrases] of Object.entries(file.words)) {
    const own = meanings[concept]
    all.set(
      concept,
      own
        ? Object.fromEntries(Object.entries(own).map(([part, text]) => [part, readMeaning(text)]))
        : { any: readMeaning(concept) },
    )
    for (const phrase of phrasesOf(phrases)) {
      const first = foldedWords(phrase, language, passed)[0] ?? ''
      put(phrase, { is: 'word', concept, negative: negators.has(first) })
    }
  }
  for (const [part, phrases] of Object.entries(file.parts))
    for (const p of phrasesOf(phrases)) put(p, { is: 'part', part })
  for (const sureness of ['sure', 'likely', 'guess'] as const)
    for (const p of phrasesOf(file[sureness])) put(p, { is: 'sureness', sureness })
  const plain = { negators: 'negator', unread: 'unread', corrections: 'correction', comparisons: 'comparison', elsewhere: 'elsewhere', foreign: 'foreign', here: 'here', alternatives: 'alternative', contrast: 'contrast', sown: 'sown' } as const // prettier-ignore
  for (const [key, is] of Object.entries(plain))
    for (const p of phrasesOf(file[key as keyof typeof plain])) put(p, { is })
  for (const [stage, phrases] of Object.entries(file.stages))
    for (const p of phrasesOf(phrases)) put(p, { is: 'stage', stage: stage as Stage })
  for (const [month, n] of Object.entries(file.months)) put(month, { is: 'month', month: n })
  for (const [ground, phrases] of Object.entries(file.ground))
    for (const p of phrasesOf(phrases)) put(p, { is: 'ground', ground })
  for (const [region, phrases] of Object.entries(file.regions))
    for (const p of phrasesOf(phrases)) put(p, { is: 'region', region: region as Region })
  for (const [plant, said] of names)
    for (const name of said) put(name.replaceAll(/[()/?]/g, ' '), { is: 'plant', plant })
  const folded = <T>(of: Record<string, T>) =>
    new Map(Object.entries(of).map(([k, v]) => [foldedWords(k, language, new Set()).join(' '), v]))
  return {
    language,
    root,
    meanings: all,
    numbers: new Map(Object.entries(file.numbers)),
    units: new Map(Object.entries(file.units)),
    sizes: folded(file.sizes),
    dimensions: new Map(
      Object.entries(file.dimensions).flatMap(([d, phrases]) =>
        phrasesOf(phrases).map((p) => [contentOf(p, language).join(' '), d] as const),
      ),
    ),
    measured: file.measured,
    slips: new Map(Object.entries(file.slips)),
    passed,
    negators,
    partNames: new Map(
      Object.entries(file.parts).flatMap(([part, phrases]) =>
        phrasesOf(phrases)
          .map((p) => foldedWords(p, language, passed))
          .filter((w) => w.length <= 2)
          .map((w) => [w.join(' '), part] as const),
      ),
    ),
    ranges: new Map(characters.flatMap((c) => (c.range ? [[c.id, c.range] as const] : []))),
    forms: new Map(characters.map((c) => [c.id, c.forms])),
    states: new Map(characters.map((c) => [c.id, c.states ?? []])),
  }
}
