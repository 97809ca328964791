import type { Locale } from 'date-fns/locale'

/** January has a name of its own in Austria. */
const germanDates = async (locale: string): Promise<Locale> =>
  locale === 'de-AT' ? (await import('date-fns/locale/de-AT')).deAT : (await import('date-fns/locale/de')).de

/**
 * What the app speaks. A language is a file of texts beside this one, and a line here. Its decimal point stands here too: a
 * browser that is asked for it reads all it knows of figures first, which takes a slow phone a twentieth of a second.
 */
export const languages = {
  // English is read with the app: its file holds only what changes with a number.
  en: { name: 'English', point: '.', texts: undefined, dates: undefined },
  de: { name: 'Deutsch', point: ',', texts: () => import('./texts/de.json'), dates: germanDates },
  // Every text of the catalogue under accents, for a test that looks for texts outside it; nobody is offered it.
  pseudo: { name: 'pseudo', point: '.', texts: () => import('./pseudo.ts'), dates: undefined },
} as const

export type Language = keyof typeof languages
const known = Object.keys(languages) as Language[]
export const languageIds = known.filter((id) => id !== 'pseudo')

const KEPT = 'fold-sprig-language'
const isLanguage = (id: string | null | undefined): id is Language => known.includes(id as Language)

/** The one that was chosen on this device, else the first of the reader's languages that the app speaks. */
export function chosenLanguage(): Language {
  try {
    const kept = globalThis.localStorage?.getItem(KEPT)
    if (isLanguage(kept)) return kept
  } catch {
    // A browser that keeps nothing still says what its reader reads.
  }
  const read = globalThis.navigator?.languages ?? []
  return read.map((l) => l.split('-')[0]).find(isLanguage) ?? 'en'
}

/** Keep the choice for this device. */
export function keepLanguage(language: Language): void {
  try {
    localStorage.setItem(KEPT, language)
  } catch {
    // It holds until the page is closed.
  }
}

/** The tag under which dates, figures and plurals of a language are known. */
export const tagOf = (language: Language): string => (language === 'pseudo' ? 'en' : language)

/** The locale of dates and figures: the reader's own where it is of this language, else the language itself. */
export const localeFor = (language: Language): string =>
  (globalThis.navigator?.languages ?? []).find((l) => l.split('-')[0] === tagOf(language)) ?? tagOf(language)
