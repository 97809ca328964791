import english from './texts/en.json'
import german from './texts/de.json'

const ACCENTS: Record<string, string> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ó',
  u: 'ú',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
}

/** A text under accents; values and parts in it stay as they are. */
const accented = (text: string): string =>
  text.replace(/\{\{\w+\}\}|<\/?\w+\/?>|[aeiouAEIOU]/g, (found) => ACCENTS[found] ?? found)

const ofOne: Record<string, string> = english

/** Every text of the catalogue under accents: what is read without them was never given to it. */
export default Object.fromEntries(Object.keys(german).map((key) => [key, accented(ofOne[key] ?? key)]))
