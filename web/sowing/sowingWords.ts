import type { SowingFlag } from '@/core/records/sowingCheck.ts'
import { say } from '../language/say.ts'
import { fixed } from '../language/numbers.ts'

export const figure = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

/** What can be noted of a young stand, and what it usually means; common practice, no source. */
export const flagWords: Record<SowingFlag, { label: string; means: string }> = {
  'rows-show': {
    label: say('Drill rows show'),
    means: say('Drill rows show: what stands in them is what was sown, as a rule.'),
  },
  'gaps-in-rows': {
    label: say('Gaps in the rows'),
    means: say('Gaps in the rows: a blocked coulter or poor contact; walk along to see whether they repeat.'),
  },
  'tug-holds': {
    label: say('Tug: they hold'),
    means: say('Seedlings hold when tugged: rooted well enough to be grazed lightly.'),
  },
  'tug-comes-out': {
    label: say('Tug: they come out'),
    means: say('Seedlings come out when tugged: stock would pull them up. Wait, and tug again.'),
  },
  crust: {
    label: say('Crusted ground'),
    means: say('Crusted ground: more may stand under it, and come with the next rain.'),
  },
  drought: {
    label: say('Drought since'),
    means: say('Drought since sowing: hard and dormant seed may yet come with the rain.'),
  },
  'standing-water': {
    label: say('Water stood'),
    means: say('Water stood on it: gaps there are not a fault of seed or drill.'),
  },
  'mown-since': { label: say('Mown since'), means: say('Mown since sowing: the height says nothing of the age.') },
  'grazed-since': { label: say('Grazed since'), means: say('Grazed since sowing: look for plants pulled up whole.') },
  'weeds-over': {
    label: say('Weeds stand over them'),
    means: say('Weeds stand over the seedlings: mowing above the seedlings lets the light in.'),
  },
  eaten: {
    label: say('Eaten by slugs or insects'),
    means: say('Seedlings were eaten: look at dusk for what does it.'),
  },
}
