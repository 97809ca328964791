import type { Estimate } from '@/core/assess/feed/mixtureFeed.ts'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

/** Animal unit months with the range of the standing mass. */
export const aumWords = (a: Estimate) =>
  say('{{middle}} ({{low}} to {{high}})', {
    middle: fixed(a.middle, 1),
    low: fixed(a.low, 1),
    high: fixed(a.high, 1),
  })
