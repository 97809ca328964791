import { formatISO } from 'date-fns/formatISO'
import { intlFormatDistance } from 'date-fns/intlFormatDistance'
import { parseISO } from 'date-fns/parseISO'
import { useLanguage } from './languageStore.ts'
import { localeFor } from './languages.ts'

const spokenLocale = () => localeFor(useLanguage.getState().language)
const made = new Map<string, Intl.DateTimeFormat>()

function formatter(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const locale = spokenLocale()
  const key = locale + JSON.stringify(options)
  const known = made.get(key) ?? new Intl.DateTimeFormat(locale, options)
  made.set(key, known)
  return known
}

const DAY = { day: 'numeric', month: 'long', year: 'numeric' } as const
const TIME = { hour: '2-digit', minute: '2-digit' } as const

/** A day as the reader's own language orders it, with the month in words. */
export const dayWords = (iso: string): string => formatter(DAY).format(parseISO(iso))
export const weekdayWords = (iso: string): string => formatter({ weekday: 'long', ...DAY }).format(parseISO(iso))
export const momentWords = (iso: string): string => formatter({ ...DAY, ...TIME }).format(parseISO(iso))
export const timeWords = (iso: string): string => formatter(TIME).format(parseISO(iso))
export const monthWords = (iso: string): string => formatter({ month: 'long', year: 'numeric' }).format(parseISO(iso))
/** A day as it is kept: 2027-05-01. */
export const isoDay = (date: Date): string => formatISO(date, { representation: 'date' })
export const today = (): string => isoDay(new Date())
/** How far ahead a moment lies: in 3 days. */
export const aheadWords = (date: Date): string => intlFormatDistance(date, new Date(), { locale: spokenLocale() })
/** A whole number with its thousands set apart. */
export const wholeWords = (n: number): string => Math.round(n).toLocaleString(spokenLocale())
