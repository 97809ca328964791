import type { SowingFlag } from '@/core/records/sowingCheck.ts'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

export const figure = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

/** What can be noted of a young stand, and what it usually means; common practice, no source. */
export const flagWords: Record<SowingFlag, { label: string; means: string }> = {
  'rows-show': {
    get label() {
      return say('Drill rows show')
    },
    get means() {
      return say('Drill rows show: what stands in them is what was sown, as a rule.')
    },
  },
  'gaps-in-rows': {
    get label() {
      return say('Gaps in the rows')
    },
    get means() {
      return say('Gaps in the rows: a blocked coulter or poor contact; walk along to see whether they repeat.')
    },
  },
  'tug-holds': {
    get label() {
      return say('Tug: they hold')
    },
    get means() {
      return say('Seedlings hold when tugged: rooted well enough to be grazed lightly.')
    },
  },
  'tug-comes-out': {
    get label() {
      return say('Tug: they come out')
    },
    get means() {
      return say('Seedlings come out when tugged: stock would pull them up. Wait, and tug again.')
    },
  },
  crust: {
    get label() {
      return say('Crusted ground')
    },
    get means() {
      return say('Crusted ground: more may stand under it, and come with the next rain.')
    },
  },
  drought: {
    get label() {
      return say('Drought since')
    },
    get means() {
      return say('Drought since sowing: hard and dormant seed may yet come with the rain.')
    },
  },
  'standing-water': {
    get label() {
      return say('Water stood')
    },
    get means() {
      return say('Water stood on it: gaps there are not a fault of seed or drill.')
    },
  },
  'mown-since': {
    get label() {
      return say('Mown since')
    },
    get means() {
      return say('Mown since sowing: the height says nothing of the age.')
    },
  },
  'grazed-since': {
    get label() {
      return say('Grazed since')
    },
    get means() {
      return say('Grazed since sowing: look for plants pulled up whole.')
    },
  },
  'weeds-over': {
    get label() {
      return say('Weeds stand over them')
    },
    get means() {
      return say('Weeds stand over the seedlings: mowing above the seedlings lets the light in.')
    },
  },
  eaten: {
    get label() {
      return say('Eaten by slugs or insects')
    },
    get means() {
      return say('Seedlings were eaten: look at dusk for what does it.')
    },
  },
}
