import { countingMethods } from '@/core/methods/index.ts'
import type { Method } from '@/core/records/method.ts'
import { methodWords } from '@/text/methodWords.ts'
import { say } from '../language/say.ts'

/** What was counted, in words: points over stops, or frames. */
export function countedWords(method: Method, made: { total: number; stops: number }): string {
  const words = methodWords(method)
  const info = countingMethods[method]
  const units = `${made.stops} ${made.stops === 1 ? words.unitName : words.units}`
  return info.entry === 'points'
    ? say('{{total}} points over {{units}}', { total: Math.round(made.total), units })
    : units
}
