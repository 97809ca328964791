import { coded } from '../../coded.ts'
import type { FileRefusal } from '../fileProblem.ts'
import { FindsReader, MOST_READ_ROWS, readDay, readNumber, readPosition, type ReadFinds } from './finds.ts'

/** What a column of a table can hold. */
export const columnKinds = ['stop', 'name', 'amount', 'part', 'longitude', 'latitude', 'stratum', 'day'] as const
export type ColumnKind = (typeof columnKinds)[number]

/** Which column holds what; a kind left out is not in the table. */
export type Columns = Partial<Record<ColumnKind, string>>

/** Headings that say what a column holds, in the order they are preferred. Lower case, letters and digits only. */
const headings: Record<ColumnKind, string[]> = {
  stop: ['stop', 'eventid', 'plot', 'quadrat', 'frame', 'sample', 'point', 'site', 'releve', 'station'],
  name: ['taxon', 'scientificname', 'species', 'plant', 'name', 'vernacularname', 'commonname'],
  amount: ['amount', 'cover', 'coverpercent', 'hits', 'count', 'weight', 'weightg', 'organismquantity', 'individualcount', 'value', 'abundance'], // prettier-ignore
  part: ['pinorcell', 'pin', 'cell'],
  longitude: ['longitude', 'decimallongitude', 'lon', 'long', 'lng'],
  latitude: ['latitude', 'decimallatitude', 'lat'],
  stratum: ['partofpaddock', 'stratum', 'zone'],
  day: ['eventdate', 'date', 'day', 'countedat'],
}

const plain = (heading: string) => heading.toLowerCase().replace(/[^a-z0-9]/g, '')

/** What the headings of a table seem to hold; for the reader to put right. */
export function guessColumns(names: readonly string[]): Columns {
  const taken = new Set<string>()
  const columns: Columns = {}
  for (const kind of columnKinds) {
    const found = headings[kind].map((h) => names.find((n) => plain(n) === h && !taken.has(n))).find(Boolean)
    if (!found) continue
    taken.add(found)
    columns[kind] = found
  }
  return columns
}

/** What must be known before a table can be read; undefined when it is. */
export function missingColumn(columns: Columns): FileRefusal | undefined {
  if (!columns.name) return coded('name-column-missing')
  if (!columns.stop) return coded('stop-column-missing')
  return undefined
}

/** A spreadsheet's guard before a cell that looks like a formula: the mark is not part of what was written. */
const unguarded = (cell: string) => cell.trim().replace(/^'(?=[=+\-@\t\r])/, '')

/**
 * Finds of a table with a row for each plant at each stop. Without a column of amounts each row counts once.
 *
 * Cells are text and stay text: one that looks like a formula is a name that nobody knows.
 *
 * @param rows cells by heading, in the order of the file
 */
export function readTable(rows: readonly Record<string, string | undefined>[], columns: Columns): ReadFinds {
  const reader = new FindsReader()
  let day = ''
  const cell = (row: Record<string, string | undefined>, kind: ColumnKind) => {
    const column = columns[kind]
    return column === undefined ? '' : unguarded(row[column] ?? '')
  }
  rows.forEach((row, i) => {
    const where = coded('at-row', { i: i + 1 })
    if (i >= MOST_READ_ROWS) return reader.problem(coded('too-many-rows', { MOSTREADROWS: MOST_READ_ROWS }), where)
    const [key, name] = [cell(row, 'stop'), cell(row, 'name')]
    if (key === '') return reader.problem(coded('row-without-stop'), where)
    if (name === '') return reader.problem(coded('row-without-plant'), where)
    const amount = columns.amount ? readNumber(cell(row, 'amount')) : 1
    if (amount === undefined) return reader.problem(coded('amount-not-a-number', { cell: cell(row, 'amount') }), where)
    const stop = reader.stop(key.slice(0, 200), where)
    if (!stop) return
    day ||= readDay(cell(row, 'day'))
    stop.stratum ||= cell(row, 'stratum').slice(0, 200)
    if (!stop.position && columns.longitude && columns.latitude) {
      const [lon, lat] = [cell(row, 'longitude'), cell(row, 'latitude')]
      stop.position = readPosition(lon, lat) ?? null
      if (!stop.position && lon + lat !== '') reader.problem(coded('place-not-in-degrees', { lon, lat }), where)
    }
    const part = readNumber(cell(row, 'part'))
    const numbered = part !== undefined && Number.isInteger(part) && part >= 1 && part <= 1000
    reader.find(stop, { name: name.slice(0, 200), amount, ...(numbered ? { part } : {}) }, where)
  })
  return reader.done('', day)
}
