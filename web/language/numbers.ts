import { chosenLanguage } from './languages.ts'

const point = new Intl.NumberFormat(chosenLanguage()).formatToParts(0.5).find((p) => p.type === 'decimal')!.value

/** A figure with so many decimals, with the comma or point of the reader's language. */
export function fixed(n: number, decimals: number): string
export function fixed(n: number | undefined, decimals: number): string | undefined
export function fixed(n: number | undefined, decimals: number): string | undefined {
  return n?.toFixed(decimals).replace('.', point)
}

/** A figure with at most so many decimals. */
export const atMost = (n: number, decimals: number): string => String(Number(n.toFixed(decimals))).replace('.', point)
