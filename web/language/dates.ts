import { format } from 'date-fns/format'
import { formatISO } from 'date-fns/formatISO'
import { intlFormatDistance } from 'date-fns/intlFormatDistance'
import { parseISO } from 'date-fns/parseISO'
import { useLanguage } from './languageStore.ts'
import { localeFor } from './languages.ts'
import { dateNames } from './say.ts'

const spokenLocale = () => localeFor(useLanguage.getState().language)

/** How a region orders a day, and whether its clock counts to twelve. Unicode CLDR, long dates. */
const dayFirst = { weekday: 'EEEE d MMMM yyyy', day: 'd MMMM yyyy', at: "'at'", time: 'HH:mm' }
const monthFirst = { weekday: 'EEEE, MMMM d, yyyy', day: 'MMMM d, yyyy', at: "'at'", time: 'hh:mm a' }
const german = { weekday: 'EEEE, d. MMMM yyyy', day: 'd. MMMM yyyy', at: "'um'", time: 'HH:mm' }
const regions: Record<string, typeof dayFirst> = {
  en: monthFirst,
  'en-US': monthFirst,
  'en-CA': { ...monthFirst, time: 'hh:mm aaaa' },
  'en-AU': { ...dayFirst, time: 'hh:mm aaa' },
  'en-NZ': { ...dayFirst, time: 'hh:mm aaa' },
}

// The browser's own words for dates would do as well, but it reads all it knows of calendars before the first one, which
// takes a slow phone a tenth of a second of every page.
function written(iso: string, pattern: (order: typeof dayFirst) => string): string {
  const locale = spokenLocale()
  const order = locale.startsWith('de') ? german : (regions[locale] ?? dayFirst)
  const names = dateNames()
  return format(parseISO(iso), pattern(order), names && { locale: names })
}

/** A day as the reader's own language orders it, with the month in words. */
export const dayWords = (iso: string): string => written(iso, (o) => o.day)
export const weekdayWords = (iso: string): string => written(iso, (o) => o.weekday)
export const momentWords = (iso: string): string => written(iso, (o) => `${o.day} ${o.at} ${o.time}`)
export const timeWords = (iso: string): string => written(iso, (o) => o.time)
export const monthWords = (iso: string): string => written(iso, () => 'MMMM yyyy')
/** A day as it is kept: 2027-05-01. */
export const isoDay = (date: Date): string => formatISO(date, { representation: 'date' })
export const today = (): string => isoDay(new Date())
/** How far ahead a moment lies: in 3 days. */
export const aheadWords = (date: Date): string => intlFormatDistance(date, new Date(), { locale: spokenLocale() })
/** A whole number with its thousands set apart. */
export const wholeWords = (n: number): string => Math.round(n).toLocaleString(spokenLocale())
