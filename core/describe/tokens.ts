/** A word of a text, where it stands in it, and what stands behind it. */
export interface Token {
  /** As it was said, small. */
  raw: string
  /** Its endings folded, so that "leaves" and "leaf" are one. */
  word: string
  from: number
  to: number
  /** What ends with it: nothing, a part of a sentence, or a sentence. */
  break: '' | 'soft' | 'hard'
}

const LONGEST = 10_000

const CONTRACTED: Record<string, readonly string[]> = {
  "it's": ['it', 'is'],
  "that's": ['that', 'is'],
  "there's": ['there', 'is'],
  "can't": ['can', 'not'],
  cannot: ['can', 'not'],
  "won't": ['will', 'not'],
  "i'd": ['i', 'would'],
  "i'm": ['i', 'am'],
  "i've": ['i', 'have'],
  "ain't": ['is', 'not'],
}

const IRREGULAR: Record<string, string> = {
  leaves: 'leaf', leafs: 'leaf', teeth: 'tooth', mice: 'mouse', halves: 'half', feet: 'foot', grey: 'gray', colour: 'color', coloured: 'color', colored: 'color', fibre: 'fiber', fibres: 'fiber', centre: 'center', axes: 'axis', hooves: 'hoof', odour: 'odor', stalked: 'stalked', stems: 'stem', stemmed: 'stemmed', hairy: 'hairy', hairs: 'hair', haired: 'hair', ing: 'ing', bases: 'base', base: 'base', gray: 'gray', greyish: 'grayish', red: 'red', spines: 'spine', spine: 'spine', edges: 'edge', edge: 'edge', edged: 'edged', lobed: 'lobed', lobes: 'lobe', lobe: 'lobe', seed: 'seed', seeds: 'seed', this: 'this', less: 'less', grass: 'grass', grasses: 'grass', across: 'across', glabrous: 'glabrous', fibrous: 'fibrous', canvas: 'canvas', whorled: 'whorled', ribbed: 'ribbed', pointed: 'pointed', bush: 'bush', its: 'its', us: 'us', is: 'is', was: 'was', has: 'has', as: 'as', winged: 'winged', veined: 'veined', toothed: 'toothed', rooting: 'root', rooted: 'root', roots: 'root', running: 'run', runs: 'run',
} // prettier-ignore

/** English endings folded: plurals, -ed and -ing. */
function foldEnglish(word: string): string {
  const known = IRREGULAR[word]
  if (known !== undefined) return known
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`
  if (word.length > 4 && /(ch|sh|ss|x|z)es$/.test(word)) return word.slice(0, -2)
  if (word.length > 3 && word.endsWith('s') && !/(ss|us|is)$/.test(word)) return word.slice(0, -1)
  if (word.length > 5 && word.endsWith('ing')) return word.slice(0, -3)
  if (word.length > 5 && word.endsWith('ed')) return word.slice(0, -2)
  return word
}

/** German endings folded, umlauts written out one way. */
function foldGerman(word: string): string {
  let plain = word
    .replaceAll('ae', 'ä')
    .replaceAll('oe', 'ö')
    .replaceAll('ß', 'ss')
    .replace(/(chen|lein)s?$/, 'chen')
  // Until nothing is left to take off, so that every form of a word comes to the same.
  for (let before = ''; before !== plain && plain.length > 4;) {
    before = plain
    plain = plain.replace(/(em|en|er|es|e|s|n)$/, '')
  }
  return plain
}

const fold = (word: string, language: string): string => (language === 'de' ? foldGerman(word) : foldEnglish(word))

const plainOf = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[’‘`´]/g, "'")
    .replaceAll(/[“”„]/g, '"')

const WORD = /\d+(?:[.,]\d+)?(?:\s?\/\s?\d+)?|[¼½¾⅓⅛]|[\p{L}\p{M}]+(?:'[\p{L}\p{M}]+)*|"/gu
const HARD = /[.!?;\n\r]/
const SOFT = /[,:()–—…]|\.\.\.|\s-\s|--/

/**
 * The words of a text. Hyphens part words; what stands between two words says whether a sentence ends there. At most
 * 10,000 characters are read.
 */
export function tokensOf(text: string, language: string): Token[] {
  const plain = plainOf(text.slice(0, LONGEST))
  const out: Token[] = []
  for (const found of plain.matchAll(WORD)) {
    const from = found.index
    const before = out.at(-1)
    if (before) {
      const between = plain.slice(before.to, from)
      before.break = SOFT.test(between) ? 'soft' : HARD.test(between) ? 'hard' : ''
      if (/\?/.test(between)) before.break = 'hard'
    }
    const raw = found[0]
    const parts = CONTRACTED[raw] ?? (raw.endsWith("n't") ? [raw.slice(0, -3), 'not'] : [raw.replace(/'s$/, '')])
    for (const part of parts)
      out.push({ raw: part, word: fold(part, language), from, to: from + raw.length, break: '' })
  }
  if (out.length > 0) out.at(-1)!.break = 'hard'
  return out
}

/** Folded words of a phrase. */
export const contentOf = (phrase: string, language: string): string[] => tokensOf(phrase, language).map((t) => t.word)

/** The same without those that are passed over. */
export const foldedWords = (phrase: string, language: string, passed: ReadonlySet<string>): string[] =>
  tokensOf(phrase, language)
    .filter((t) => !passed.has(t.raw))
    .map((t) => t.word)
