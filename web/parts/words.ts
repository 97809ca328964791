import type { Character, Effort } from '@/core/flora/flora.ts'
import type { Observation } from '@/core/records/observation.ts'
import type { Share } from '@/core/survey/composition.ts'
import { ownWords } from '@/text/stateWords.ts'
import { say, word } from '../language/say.ts'
import { fixed } from '../language/numbers.ts'

/** A state as it is said. */
export const stateWords = (state: string): string => ownWords[state]?.() ?? word(state.replaceAll('-', ' '))

export function answerWords(o: Observation): string {
  if ('value' in o) return `${o.value} mm`
  if ('values' in o) return `${o.values.join(', ')} mm`
  if ('counts' in o)
    return Object.entries(o.counts)
      .map(([s, n]) => `${n} ${stateWords(s)}`)
      .join(', ')
  return o.states.map(stateWords).join(` ${say('or')} `)
}

export const effortWords: Record<Effort, string> = {
  get glance() {
    return say('a glance')
  },
  get hand() {
    return say('one leaf in the hand')
  },
  get lens() {
    return say('the hand lens')
  },
  get dig() {
    return say('the spade')
  },
}

export const characterTitle = (characters: Character[], id: string): string =>
  characters.find((c) => c.id === id)?.title ?? id

/** Keeps a figure and its unit on one line. */
const NBSP = '\u00a0'

/** A share as it is read out: whole percent, one decimal below ten. */
export function percent(share: number): string {
  const p = share * 100
  if (p === 0) return `0${NBSP}%`
  return p < 9.95 ? `${fixed(p, 1)}${NBSP}%` : `${Math.round(p)}${NBSP}%`
}

export const percentRange = ([low, high]: [number, number]): string => {
  const decimals = high < 0.0995 ? 1 : 0
  return `${say('{{low}} to {{high}}', { low: fixed(low * 100, decimals), high: fixed(high * 100, decimals) })} %`.replaceAll(
    ' ',
    NBSP,
  )
}

export const monthNames = (): string[] => [
  say('January'),
  say('February'),
  say('March'),
  say('April'),
  say('May'),
  say('June'),
  say('July'),
  say('August'),
  say('September'),
  say('October'),
  say('November'),
  say('December'),
]

/** Numbers that follow one another, each run by its ends: 1 to 4, 7. */
export function numberRuns(numbers: readonly number[]): string {
  const runs: [number, number][] = []
  for (const n of numbers.toSorted((a, b) => a - b)) {
    const last = runs.at(-1)
    if (last && n <= last[1] + 1) last[1] = n
    else runs.push([n, n])
  }
  return runs
    .map(([first, last]) => (first === last ? String(first) : say('{{first}} to {{last}}', { first, last })))
    .join(', ')
}

/** Months that follow one another, each run by its ends; the year goes on from December to January. */
export function monthRuns(months: readonly number[]): string {
  const there = new Set(months)
  const names = monthNames()
  if (there.size === 12) return say('every month')
  const runs = [...there]
    .filter((m) => !there.has((m + 11) % 12))
    .map((first) => {
      let last = first
      while (there.has((last + 1) % 12)) last = (last + 1) % 12
      if (first === last) return names[first]!
      return say('{{first}} to {{last}}', { first: names[first]!, last: names[last]! })
    })
  return runs.join(', ')
}

/** A share with its range, where there is one. */
export const withInterval = (s: Share): string =>
  `${percent(s.estimate)}${s.interval ? ` (${percentRange(s.interval)})` : ''}`
