import type { Token } from './tokens.ts'
import type { Vocabulary } from './vocabulary.ts'

/** A size in a text, millimetres, low and high of what was said; and over which words it stands. */
export interface Amount {
  first: number
  last: number
  low: number
  high: number
  /** Which way it was measured, where that was said beside it. */
  dimension?: string
}

const FRACTIONS: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅓': 1 / 3, '⅛': 0.125 }

/** A number written in digits. */
function digits(raw: string): number | undefined {
  if (raw in FRACTIONS) return FRACTIONS[raw]
  const parts = /^(\d+(?:[.,]\d+)?)(?:\s?\/\s?(\d+))?$/.exec(raw)
  if (!parts) return undefined
  const whole = Number(parts[1]!.replace(',', '.'))
  return parts[2] ? whole / Number(parts[2]) : whole
}

const SMALL = 1

/** A number that begins at a word, in digits or words: "an eighth of an", "three quarters of an", "one and a half". */
function numberAt(
  tokens: readonly Token[],
  at: number,
  { numbers }: Vocabulary,
): { value: number; next: number } | undefined {
  const one = (i: number): number | undefined => {
    const raw = tokens[i]?.raw
    return raw === undefined ? undefined : (digits(raw) ?? numbers.get(raw) ?? numbers.get(raw.replace(/s$/, '')))
  }
  const first = one(at)
  if (first === undefined) return undefined
  let [value, next] = [first, at + 1]
  const skip = (...words: string[]) => {
    while (next < tokens.length && words.includes(tokens[next]!.raw)) next++
  }
  const second = one(next)
  // "an eighth", "three quarters", "2 1/2"
  if (second !== undefined && second < SMALL && tokens[next]!.raw !== 'a') {
    value = Number.isInteger(first) && digits(tokens[at]!.raw) !== undefined ? first + second : first * second
    next++
  }
  if (tokens[next]?.raw === 'and' || tokens[next]?.raw === 'und') {
    const half = numberAt(tokens, next + 1, { numbers } as Vocabulary)
    if (half && half.value < SMALL) return { value: value + half.value, next: half.next }
  }
  const before = next
  skip('of', 'an', 'a', 'einen', 'eines')
  // "half a dozen" is no size; only a unit may follow what was skipped.
  return { value, next: before === next ? next : next }
}

const RANGE = new Set(['to', 'or', '-', 'bis', 'oder', 'and', 'und'])
const LESS = new Set(['under', 'below', 'less', 'unter', 'höchstens', 'barely'])
const MORE = new Set(['over', 'above', 'more', 'über', 'mindestens'])

/** Sizes in a text. */
export function amountsOf(tokens: readonly Token[], vocabulary: Vocabulary): Amount[] {
  const { units, dimensions, sizes } = vocabulary
  const out: Amount[] = []
  for (let at = 0; at < tokens.length; at++) {
    const low = numberAt(tokens, at, vocabulary)
    if (low) {
      let [high, next] = [low, low.next]
      const mid = tokens[next]
      const unitBetween = units.has(mid?.raw ?? '')
      const second =
        mid && (RANGE.has(mid.raw) || unitBetween) && RANGE.has(tokens[unitBetween ? next + 1 : next]?.raw ?? '')
          ? numberAt(tokens, next + (unitBetween ? 2 : 1), vocabulary)
          : mid && digits(mid.raw) !== undefined && tokens[at + 1] === mid && mid.from === tokens[at]!.to + 1
            ? numberAt(tokens, next, vocabulary)
            : undefined
      if (second && units.has(tokens[second.next]?.raw ?? '')) [high, next] = [second, second.next]
      const unit = units.get(tokens[next]?.raw ?? '')
      if (
        unit !== undefined &&
        !(
          tokens[next]!.raw === 'in' &&
          !/^[\d"]/.test(tokens[next - 1]!.raw) &&
          !/half|quarter|eighth/.test(tokens[next - 1]!.raw)
        )
      ) {
        // prettier-ignore
        // "An inch and a half".
        const more = tokens[next + 1]?.raw === 'and' ? numberAt(tokens, next + 2, vocabulary) : undefined
        const extra = more && more.value < SMALL ? more.value : 0
        const before = tokens[at - 1]?.raw === 'than' ? tokens[at - 2]?.raw : tokens[at - 1]?.raw
        const factor = LESS.has(before ?? '') ? 0.7 : MORE.has(before ?? '') ? 1.25 : 1
        const last = extra > 0 ? more!.next - 1 : next
        const dimension = dimensions.get(tokens[last + 1]?.word ?? '') ?? dimensions.get(tokens[at - 1]?.word ?? '')
        out.push({ first: at, last, low: (low.value + extra) * unit * factor, high: (high.value + extra) * unit * factor, ...(dimension ? { dimension } : {}) }) // prettier-ignore
        at = last
        continue
      }
    }
    // "As wide as a pencil", "pencil wide".
    for (const width of [3, 2, 1]) {
      const words = tokens.slice(at, at + width)
      const size = words.length === width ? sizes.get(words.map((t) => t.word).join(' ')) : undefined
      if (size === undefined) continue
      const after = dimensions.get(tokens[at + width]?.word ?? '')
      const asWide = [2, 3, 4].map((back) => dimensions.get(tokens[at - back]?.word ?? '')).find(Boolean)
      const compared = tokens.slice(Math.max(0, at - 3), at).some((t) => t.raw === 'as' || t.raw === 'wie')
      const dimension = after ?? (compared ? asWide : undefined)
      if (!dimension) continue
      out.push({ first: at, last: at + width - 1 + (after ? 1 : 0), low: size * 0.8, high: size * 1.25, dimension })
      at += width - 1
      break
    }
  }
  return out
}

/** "Two of the three", "2 out of 5": how many of how many, and where that ends. */
export function countAt(
  tokens: readonly Token[],
  at: number,
  vocabulary: Vocabulary,
): { some: number; all: number; next: number } | undefined {
  // prettier-ignore
  const whole = (i: number) => {
    const raw = tokens[i]?.raw ?? ''
    const n = digits(raw) ?? vocabulary.numbers.get(raw)
    return n !== undefined && Number.isInteger(n) && raw !== 'a' && raw !== 'an' ? n : undefined
  }
  const some = whole(at)
  if (some === undefined) return undefined
  let next = at + 1
  if (tokens[next]?.raw === 'out') next++
  if (!['of', 'von', 'aus'].includes(tokens[next]?.raw ?? '')) return undefined
  next++
  while (['the', 'them', 'my', 'these', 'den', 'allen', 'about'].includes(tokens[next]?.raw ?? '')) next++
  const all = whole(next) ?? whole2(tokens[next]?.raw)
  return all !== undefined && all >= some && all > 1 ? { some, all, next: next + 1 } : undefined

  /** German numbers with an ending: "von dreien". */
  function whole2(raw: string | undefined): number | undefined {
    const stem = raw?.replace(/(en|n)$/, '')
    const n = stem === undefined ? undefined : (vocabulary.numbers.get(stem) ?? vocabulary.numbers.get(`${stem}e`))
    return n !== undefined && Number.isInteger(n) ? n : undefined
  }
}
