import Papa from 'papaparse'
import { checkNormals, type Normals } from './climate.ts'

export type NormalsProblem =
  | { code: 'no-column'; column: 'temperature' | 'rain' }
  | { code: 'not-twelve'; rows: number }
  | { code: 'not-a-number'; row: number; cell: string }
  | { code: 'out-of-range' }

const LATITUDE_UNUSED = 0

/** A number with a point or a comma. */
const number = (cell: string): number => (cell.trim() === '' ? NaN : Number(cell.trim().replace(',', '.')))

/**
 * Monthly means from a CSV file: one row a month, January first, a column whose name speaks of temperature (`temp`, `mean`, `°C`,
 * `°F`) and one of rain (`rain`, `precip`, `mm`, `in`). Fahrenheit and inches are read from the name of the column.
 *
 * @returns figures, or what is wrong with the file
 */
export function readNormals(text: string): Omit<Normals, 'latitude'> | NormalsProblem {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const head = (data[0] ?? []).map((h) => h.toLowerCase())
  const temperature = head.findIndex((h) => /temp|mean|°\s*[cf]/.test(h))
  const rain = head.findIndex((h, i) => i !== temperature && /rain|precip|nieder|\bmm\b|inch/.test(h))
  if (temperature < 0) return { code: 'no-column', column: 'temperature' }
  if (rain < 0) return { code: 'no-column', column: 'rain' }
  const rows = data.slice(1)
  if (rows.length !== 12) return { code: 'not-twelve', rows: rows.length }
  const fahrenheit = /°?\s*f\b|fahrenheit/.test(head[temperature]!)
  const inches = /inch|\bin\b/.test(head[rain]!)
  const meanC: number[] = []
  const rainMm: number[] = []
  for (const [i, row] of rows.entries()) {
    const [t, r] = [row[temperature] ?? '', row[rain] ?? '']
    for (const cell of [t, r]) if (Number.isNaN(number(cell))) return { code: 'not-a-number', row: i + 1, cell }
    meanC.push(fahrenheit ? ((number(t) - 32) * 5) / 9 : number(t))
    rainMm.push(inches ? number(r) * 25.4 : number(r))
  }
  try {
    checkNormals({ meanC, rainMm, latitude: LATITUDE_UNUSED })
  } catch {
    return { code: 'out-of-range' }
  }
  return { meanC, rainMm }
}
