/** What the app speaks. A language is a file of texts beside this one, and a line here. */
export const languages = {
  // English is read with the app: its file holds only what changes with a number.
  en: { name: 'English', texts: undefined },
  de: { name: 'Deutsch', texts: () => import('./texts/de.json') },
} as const

export type Language = keyof typeof languages
export const languageIds = Object.keys(languages) as Language[]

const KEPT = 'fold-sprig-language'
const isLanguage = (id: string | null | undefined): id is Language => languageIds.includes(id as Language)

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

/** Keep the choice and open the page anew: every text, those made once at the start too, is read again. */
export function chooseLanguage(language: Language): void {
  localStorage.setItem(KEPT, language)
  location.reload()
}

/** The locale of dates and figures: the reader's own where it is of this language, else the language itself. */
export const localeFor = (language: Language): string =>
  (globalThis.navigator?.languages ?? []).find((l) => l.split('-')[0] === language) ?? language
