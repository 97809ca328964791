import type { Region, SowingTime } from '../../flora/flora.ts'
import { northernMonth } from '../../flora/seasons.ts'

/** First and last day of each time of sowing, month and day, north; common practice, no source. */
const windows: Record<SowingTime, readonly [string, string]> = {
  'late-winter': ['02-10', '03-20'],
  spring: ['03-25', '05-10'],
  'early-summer': ['05-10', '06-25'],
  'late-summer': ['08-10', '09-15'],
  autumn: ['09-15', '10-31'],
}

/** A month and day of the north in the calendar of a region; half a year on and half a year back are one. */
const here = (day: string, region: Region | undefined): string =>
  `${String(northernMonth(Number(day.slice(0, 2)), region)).padStart(2, '0')}${day.slice(2)}`

/** The next day on which something can be sown, ISO: today where its time is now. */
export function nextSowingDay(when: readonly SowingTime[], today: string, region?: Region): string {
  const year = Number(today.slice(0, 4))
  const days = when.flatMap((w) =>
    [year, year + 1].flatMap((y) => {
      const [from, until] = windows[w].map((d) => `${y}-${here(d, region)}`) as [string, string]
      return until < today ? [] : [from > today ? from : today]
    }),
  )
  if (days.length === 0) throw new RangeError('something is sown at some time')
  return days.sort()[0]!
}
