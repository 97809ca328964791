import { methodInfo, type Method } from '@/core/survey/methods.ts'
import type { Character, Effort } from '@/core/naming/flora.ts'
import { CANT_TELL, type Observation } from '@/core/naming/observation.ts'

const spoken: Record<string, string> = {
  'm-or-w': 'M or W',
  'pale-v': 'pale V',
  'pale-v-and-flecks': 'pale V and flecks',
  [CANT_TELL]: "can't tell",
  forb: 'broad leaf',
  legume: 'clover or kin',
  'none-distinct': 'none stands out',
  'rhizome-and-stolon': 'both: under and over ground',
  rhizome: 'underground (rhizome)',
  stolon: 'runners that root (stolon)',
  'runner-not-rooting': 'runners, not rooting',
  'single-crown': 'single crown',
}

/** A state as it is said. */
export const stateWords = (state: string): string => spoken[state] ?? state.replaceAll('-', ' ')

export function answerWords(o: Observation): string {
  if ('value' in o) return `${o.value} mm`
  if ('values' in o) return `${o.values.join(', ')} mm`
  if ('counts' in o)
    return Object.entries(o.counts)
      .map(([s, n]) => `${n} ${stateWords(s)}`)
      .join(', ')
  return o.states.map(stateWords).join(' or ')
}

export const effortWords: Record<Effort, string> = {
  glance: 'a glance',
  hand: 'one leaf in the hand',
  lens: 'the hand lens',
  dig: 'the spade',
}

export const characterTitle = (characters: Character[], id: string): string =>
  characters.find((c) => c.id === id)?.title ?? id

/** Keeps a figure and its unit on one line. */
const NBSP = '\u00a0'

/** A share as it is read out: whole percent, one decimal below ten. */
export function percent(share: number): string {
  const p = share * 100
  if (p === 0) return `0${NBSP}%`
  return p < 9.95 ? `${p.toFixed(1)}${NBSP}%` : `${Math.round(p)}${NBSP}%`
}

export const percentRange = ([low, high]: [number, number]): string => {
  const decimals = high < 0.0995 ? 1 : 0
  return `${(low * 100).toFixed(decimals)}${NBSP}to${NBSP}${(high * 100).toFixed(decimals)}${NBSP}%`
}

export const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]

/** What was counted, in words: points over stops, or frames. */
export function countedWords(method: Method, made: { total: number; stops: number }): string {
  const { entry, unit } = methodInfo[method]
  const units = `${made.stops} ${unit}${made.stops === 1 ? '' : 's'}`
  return entry === 'points' ? `${Math.round(made.total)} points over ${units}` : units
}
