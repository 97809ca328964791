export type SayValues = Record<string, string | number | boolean | null | undefined>
export type Translator = (text: string, values?: SayValues) => string

/** A text with its values in the places of {{names}}; what a value says is text, whatever it looks like. */
export const filled = (text: string, values: SayValues = {}): string =>
  text.replace(/\{\{(\w+)\}\}/g, (_, name: string) => String(values[name] ?? ''))

const english: Translator = filled

let translator = english
let nounsKeepCapitals = false

/**
 * A text that a person reads, with values in the places of {{names}}: English, unless the app put another language in
 * before anything was read. Texts are looked up by their English, so that the code says what the screen says.
 */
export const say: Translator = (text, values) => translator(text, values)

/** Put another language in, once, before modules with texts are loaded; without an argument English again. */
export function speak(next: Translator = english, capitals = false): void {
  translator = next
  nounsKeepCapitals = capitals
}

/** The texts of a language by their English, without numbers. */
export const translatorFrom =
  (texts: Record<string, string>): Translator =>
  (text, values) =>
    filled(texts[text] ?? text, values)

/** Names of places and persons, which English writes with a capital within a sentence too. */
const PROPER = /^(Kentucky|Texas|Idaho|Japanese|Palmer|Scotch|Ladino|St )/

/** A plant name or another noun inside a sentence, as the language writes it. */
export const inSentence = (name: string): string =>
  nounsKeepCapitals || PROPER.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1)
