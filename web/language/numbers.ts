import { useLanguage } from './languageStore.ts'
import { tagOf, type Language } from './languages.ts'

const points = new Map<Language, string>()

/** The comma or point of the language that is spoken. */
function point(): string {
  const { language } = useLanguage.getState()
  const known = points.get(language)
  if (known !== undefined) return known
  const found = new Intl.NumberFormat(tagOf(language)).formatToParts(0.5).find((p) => p.type === 'decimal')!.value
  points.set(language, found)
  return found
}

/** A figure with so many decimals, with the comma or point of the reader's language. */
export function fixed(n: number, decimals: number): string
export function fixed(n: number | undefined, decimals: number): string | undefined
export function fixed(n: number | undefined, decimals: number): string | undefined {
  return n?.toFixed(decimals).replace('.', point())
}

/** A figure with at most so many decimals. */
export const atMost = (n: number, decimals: number): string => String(Number(n.toFixed(decimals))).replace('.', point())
