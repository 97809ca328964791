import { useLanguage } from './languageStore.ts'
import { languages } from './languages.ts'

/** The comma or point of the language that is spoken. */
const point = (): string => languages[useLanguage.getState().language].point

/** A figure with so many decimals, with the comma or point of the reader's language. */
export function fixed(n: number, decimals: number): string
export function fixed(n: number | undefined, decimals: number): string | undefined
export function fixed(n: number | undefined, decimals: number): string | undefined {
  return n?.toFixed(decimals).replace('.', point())
}

/** A figure with at most so many decimals. */
export const atMost = (n: number, decimals: number): string => String(Number(n.toFixed(decimals))).replace('.', point())
