import { create } from 'zustand'
import { chosenLanguage, keepLanguage, type Language } from './languages.ts'
import { readLanguage } from './say.ts'

/** The language that is spoken now: who draws texts that stay on the screen listens to it. */
export const useLanguage = create<{ language: Language }>(() => ({ language: chosenLanguage() }))

/** Done when the language changes, before anything is drawn anew: the book is spoken of in other words. */
const listeners = new Set<() => Promise<void> | void>()
export const onLanguage = (listener: () => Promise<void> | void): void => void listeners.add(listener)

/** Speak another language from now on, on this page and later ones; nothing is opened anew and nothing typed is lost. */
export async function changeLanguage(language: Language): Promise<void> {
  await readLanguage(language)
  keepLanguage(language)
  document.documentElement.lang = language
  for (const listener of listeners) await listener()
  useLanguage.setState({ language })
}
