import { format } from 'date-fns'
import type { SowingFlag } from '@/core/records/sowingCheck.ts'

export const figure = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)))
export const today = () => format(new Date(), 'yyyy-MM-dd')

/** What can be noted of a young stand, and what it usually means; common practice, no source. */
export const flagWords: Record<SowingFlag, { label: string; means: string }> = {
  'rows-show': { label: 'Drill rows show', means: 'Drill rows show: what stands in them is what was sown, as a rule.' },
  'gaps-in-rows': {
    label: 'Gaps in the rows',
    means: 'Gaps in the rows: a blocked coulter or poor contact; walk along to see whether they repeat.',
  },
  'tug-holds': {
    label: 'Tug: they hold',
    means: 'Seedlings hold when tugged: rooted well enough to be grazed lightly.',
  },
  'tug-comes-out': {
    label: 'Tug: they come out',
    means: 'Seedlings come out when tugged: stock would pull them up. Wait, and tug again.',
  },
  crust: { label: 'Crusted ground', means: 'Crusted ground: more may stand under it, and come with the next rain.' },
  drought: { label: 'Drought since', means: 'Drought since sowing: hard and dormant seed may yet come with the rain.' },
  'standing-water': {
    label: 'Water stood',
    means: 'Water stood on it: gaps there are not a fault of seed or drill.',
  },
  'mown-since': { label: 'Mown since', means: 'Mown since sowing: the height says nothing of the age.' },
  'grazed-since': { label: 'Grazed since', means: 'Grazed since sowing: look for plants pulled up whole.' },
  'weeds-over': {
    label: 'Weeds stand over them',
    means: 'Weeds stand over the seedlings: mowing above the seedlings lets the light in.',
  },
  eaten: { label: 'Eaten by slugs or insects', means: 'Seedlings were eaten: look at dusk for what does it.' },
}
