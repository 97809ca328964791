import { distance } from 'fastest-levenshtein'
import type { Token } from './tokens.ts'
import type { Entry, Node, Vocabulary } from './vocabulary.ts'

/** A phrase of the vocabulary that was found: which words of the text, and what it may be. */
export interface Match {
  /** Places in the list of words that count. */
  first: number
  last: number
  entries: Entry[]
}

const GAP = 2

interface Found {
  last: number
  words: number
  entries: Entry[]
}

/** The longest phrase that begins at a word. */
function longest(
  words: readonly string[],
  breaks: readonly boolean[],
  at: number,
  node: Node,
  depth: number,
): Found | undefined {
  let best: Found | undefined = node.entries.length > 0 && depth > 0 ? { last: at - 1, words: depth, entries: node.entries } : undefined // prettier-ignore
  const better = (other: Found | undefined) => {
    if (other && (!best || other.words > best.words || (other.words === best.words && other.last < best.last)))
      best = other
  }
  // A phrase does not go on over a break.
  if (at < words.length && (depth === 0 || !breaks[at - 1])) {
    const next = node.next.get(words[at]!)
    if (next) better(longest(words, breaks, at + 1, next, depth + 1))
  }
  if (node.gap)
    for (let skipped = 0; skipped <= GAP && at + skipped < words.length; skipped++) {
      if (skipped > 0 && breaks[at + skipped - 1]) break
      if (breaks[at - 1]) break
      const next = node.gap.next.get(words[at + skipped]!)
      if (next) better(longest(words, breaks, at + skipped + 1, next, depth + 1))
    }
  return best
}

/** Words of the trade, which dictation and haste spoil. */
const TERMS = ['ligule', 'auricle', 'auricles', 'rhizome', 'rhizomes', 'stolon', 'stolons', 'vernation', 'glabrous', 'pubescent', 'rosette', 'petiole', 'stipule', 'stipules', 'leaflet', 'leaflets', 'midrib', 'taproot', 'clasping', 'opposite', 'alternate', 'whorled', 'membrane', 'membranous', 'decumbent', 'prostrate', 'serrated', 'lanceolate', 'tussock', 'cotyledons', 'tendrils'] // prettier-ignore
const SHORT_TERM = 7

/** A word as it was probably meant: a known slip, or a term that is spelled nearly so. */
export function mended(token: Token, vocabulary: Vocabulary, known: (word: string) => boolean): string {
  const slip = vocabulary.slips.get(token.raw)
  if (slip !== undefined) return slip
  if (vocabulary.language !== 'en' || token.raw.length < 6 || known(token.word)) return token.raw
  const most = token.raw.length < SHORT_TERM + 1 ? 1 : 2
  const near = TERMS.filter((t) => t[0] === token.raw[0]).find((t) => distance(t, token.raw) <= most)
  return near ?? token.raw
}

/** All phrases of a text, the longest first from left to right, none over another. */
export function matchesOf(words: readonly string[], breaks: readonly boolean[], root: Node): Match[] {
  const out: Match[] = []
  for (let at = 0; at < words.length;) {
    const found = longest(words, breaks, at, root, 0)
    if (!found) {
      at++
      continue
    }
    out.push({ first: at, last: found.last, entries: found.entries })
    at = found.last + 1
  }
  return out
}
