import { randomLcg } from 'd3-random'
import { expect, it } from 'vitest'
import { falseChanges } from '@/core/survey/simulateChanges.ts'

// Before, some plant was said to rise or fall in 42 to 62 of 100 unchanged paddocks of 32 plants.
it.each([2, 3])(
  'of unchanged paddocks counted %i times, in at most 8 of 100 a change is said of any of 32 plants',
  (counts) => {
    // 120 paddocks: 5 in 100 wanted, give or take 4 for two standard errors; `npm run simulate` takes more.
    expect(falseChanges({ plants: 32, counts, evenness: 8 }, 120, randomLcg(0.43))).toBeLessThanOrEqual(0.08)
  },
)
