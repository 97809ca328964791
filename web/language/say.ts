import i18next from 'i18next'
import { filled, speak, type SayValues } from '@/text/say.ts'
import type { Locale } from 'date-fns/locale'
import { languages, localeFor, type Language } from './languages.ts'
import english from './texts/en.json'

void i18next.init({
  lng: 'en',
  initAsync: false,
  resources: { en: { translation: english } },
  // The English text is the key: what stands in the code is what is read.
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
})

/** Texts of the language that is spoken, by their English. */
let texts: Record<string, string> = english
/** Names of months and weekdays; English ones where none are given. */
let named: Locale | undefined
export const dateNames = (): Locale | undefined => named
/** Texts without values, looked up once: a screen asks for hundreds of them each time it is drawn. */
const looked = new Map<string, string>()

function lookedUp(text: string): string {
  const before = looked.get(text)
  if (before !== undefined) return before
  // Read straight from the table: the book alone has thousands of them, and looking for plurals of each takes a tenth of a second.
  const found = texts[text] || text
  looked.set(text, found)
  return found
}

/** A text in the reader's language, with values in the places of {{names}}; `count` chooses between one and many. */
export function say(text: string, values?: SayValues): string {
  // Only a number that chooses between one and many needs the rules of the language; asking for them each time is slow.
  if (values?.count !== undefined) return i18next.t(text, { ...values })
  return values ? filled(lookedUp(text), values) : lookedUp(text)
}

/** A word that comes from the book, a list or the server, where it has a translation. Braces that somebody wrote stay. */
export const word = (text: string): string => lookedUp(text)

/** Several names in one sentence. */
export const together = (names: string[]): string => names.join(` ${say('and')} `)
export const oneOf = (names: string[]): string => names.join(` ${say('or')} `)

/** Read the texts of a language and speak it from here on; what is on the screen is drawn anew by `changeLanguage`. */
export async function readLanguage(language: Language): Promise<void> {
  const read = languages[language].texts
  const [own, dates] = await Promise.all([
    read?.().then((file): Record<string, string> => file.default),
    languages[language].dates?.(localeFor(language)),
  ])
  if (own) i18next.addResourceBundle(language, 'translation', own)
  await i18next.changeLanguage(language)
  texts = own ?? english
  named = dates
  looked.clear()
  // German writes nouns with a capital within a sentence too.
  speak(say, language === 'de')
}
