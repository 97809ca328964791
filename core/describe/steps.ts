import { matchesOf, mended } from './matches.ts'
import { tokensOf, type Token } from './tokens.ts'
import type { Entry, Vocabulary } from './vocabulary.ts'

/** One step through a text: what was found, in the order it was said. */
export interface Step {
  token: Token
  /** Place of its first and last word among all words. */
  first: number
  last: number
  entries: Entry[]
  /** Parts that are named in it, with their places. */
  parts: { part: string; at: number }[]
}

export const has = (entries: Entry[], is: Entry['is']): boolean => entries.some((e) => e.is === is)

const SIDES = new Set(['upper', 'under', 'both', 'ground', 'texture'])

/** A text as words with their mended spelling. */
export function wordsOf(text: string, vocabulary: Vocabulary): Token[] {
  const known = (word: string) => vocabulary.root.next.has(word)
  const all = tokensOf(text, vocabulary.language)
  const out: Token[] = []
  for (let i = 0; i < all.length; i++) {
    const token = all[i]!
    const two = all[i + 1] && token.break === '' ? vocabulary.slips.get(`${token.raw} ${all[i + 1]!.raw}`) : undefined
    const meant = two ?? mended(token, vocabulary, known)
    const to = two ? all[i + 1]!.to : token.to
    const ends = two ? all[i + 1]!.break : token.break
    if (meant === token.raw) out.push(token)
    else
      for (const [k, t] of tokensOf(meant, vocabulary.language).entries())
        out.push({ ...t, from: token.from, to, break: k === meant.split(' ').length - 1 ? ends : '' })
    if (two) i++
  }
  return out
}

/** The parts, words and turns of a text, in order; words that carry nothing are passed over. */
export function stepsOf(tokens: readonly Token[], vocabulary: Vocabulary): Step[] {
  const kept = tokens.flatMap((t, i) => (vocabulary.passed.has(t.raw) ? [] : [{ t, i }]))
  const breakAfter = (k: number): boolean => {
    const [here, next] = [kept[k]!.i, kept[k + 1]?.i ?? tokens.length]
    return tokens.slice(here, next).some((t) => t.break !== '')
  }
  const words = kept.map(({ t }) => t.word)
  const breaks = kept.map((_, k) => breakAfter(k))
  const partsIn = (first: number, last: number) => {
    const out: { part: string; at: number }[] = []
    for (let k = first; k <= last; k++) {
      const two = k < last ? vocabulary.partNames.get(`${words[k]} ${words[k + 1]}`) : undefined
      const part = two ?? vocabulary.partNames.get(words[k]!)
      // A side of the leaf belongs to the phrase it stands in.
      if (part && !SIDES.has(part)) out.push({ part, at: kept[k]!.i })
      if (two) k++
    }
    return out
  }
  return matchesOf(words, breaks, vocabulary.root).map(({ first, last, entries }) => ({
    token: kept[first]!.t,
    first: kept[first]!.i,
    last: kept[last]!.i,
    entries,
    parts: [
      ...entries.flatMap((e) => (e.is === 'part' ? [{ part: e.part, at: kept[first]!.i }] : [])),
      ...(entries.some((e) => e.is === 'word') ? partsIn(first, last) : []),
    ],
  }))
}

/** Pieces of a sentence of which no word was understood. */
export function unreadOf(
  tokens: readonly Token[],
  understood: ReadonlySet<number>,
  { passed }: Vocabulary,
): [number, number][] {
  const out: [number, number][] = []
  let first = 0
  tokens.forEach((t, i) => {
    if (t.break === '') return
    const piece = Array.from({ length: i - first + 1 }, (_, k) => first + k)
    const telling = piece.filter((k) => !passed.has(tokens[k]!.raw))
    if (telling.length > 0 && !telling.some((k) => understood.has(k))) out.push([tokens[first]!.from, t.to])
    first = i + 1
  })
  return out
}
