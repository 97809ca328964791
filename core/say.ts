export type SayValues = Record<string, string | number | boolean | null | undefined>
export type Translator = (text: string, values?: SayValues) => string

const english: Translator = (text, values = {}) =>
  text.replace(/\{\{(\w+)\}\}/g, (_, name: string) => String(values[name] ?? ''))

let translator = english

/**
 * A text that a person reads, with values in the places of {{names}}: English, unless the app put another language in
 * before anything was read. Texts are looked up by their English, so that the code says what the screen says.
 */
export const say: Translator = (text, values) => translator(text, values)

/** Put another language in, once, before modules with texts are loaded; without an argument English again. */
export function speak(next: Translator = english): void {
  translator = next
}
