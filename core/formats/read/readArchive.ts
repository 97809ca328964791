import { coded, type Coded } from '../../coded.ts'
import type { FileRefusal } from '../fileProblem.ts'
import { XMLParser } from 'fast-xml-parser'
import Papa from 'papaparse'
import { FindsReader, MOST_READ_ROWS, readDay, readNumber, readPosition, type ReadFinds } from './finds.ts'

/** Texts of an archive by their names in it. */
export type ArchiveTexts = ReadonlyMap<string, string>

const xml = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  parseAttributeValue: false,
  removeNSPrefix: true,
})

type Tree = Record<string, unknown>
type Rows = Map<string, string>[]

interface Table {
  rowType: string
  rows: Rows
}

const list = (x: unknown): Tree[] => (Array.isArray(x) ? x : x === undefined ? [] : [x]) as Tree[]
/** `\t`, `\n` and `\r` are written out in meta.xml. */
const unescaped = (text: unknown, otherwise: string) =>
  typeof text === 'string' ? text.replace(/\\t/g, '\t').replace(/\\r/g, '\r').replace(/\\n/g, '\n') : otherwise
/** What XML gives as a text or a number; nothing where it is neither. */
const textOf = (x: unknown) => (typeof x === 'string' || typeof x === 'number' ? String(x) : '')
/** Last part of a term's address: what the rows are looked up by. */
const termName = (address: unknown) => String(address).replace(/^.*[/#]/, '')

type ArchiveFileMissing = Coded<'archive-file-missing'>

/** The rows of one table of the archive, by the short names of their terms; the link to the core is `id`. */
function tableOf(
  el: Tree,
  texts: ArchiveTexts,
  linkName: 'id' | 'coreid',
  reader: FindsReader,
): Table | ArchiveFileMissing {
  const file = textOf((el.files as Tree | undefined)?.location)
  const text = texts.get(file)
  if (text === undefined) return coded('archive-file-missing', { file })
  const quote = el['@fieldsEnclosedBy']
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter: unescaped(el['@fieldsTerminatedBy'], ','),
    // An empty mark means that no field is enclosed; a character that no text holds stands for that.
    quoteChar: typeof quote === 'string' && quote !== '' ? quote : '\u0000',
    skipEmptyLines: true,
    preview: MOST_READ_ROWS + 1 + Number(el['@ignoreHeaderLines'] ?? 0),
  })
  const fields = list(el.field).map((f) => [Number(f['@index']), termName(f['@term']), f['@default']] as const)
  const link = Number((el[linkName] as Tree | undefined)?.['@index'] ?? 0)
  const body = parsed.data.slice(Number(el['@ignoreHeaderLines'] ?? 0))
  if (body.length > MOST_READ_ROWS)
    reader.problem(
      coded('too-many-rows', { MOSTREADROWS: MOST_READ_ROWS }),
      coded('at-file-row', { file, MOSTREADROWS: MOST_READ_ROWS + 1 }),
    )
  const rows = body.slice(0, MOST_READ_ROWS).map((cells) => {
    const row = new Map(fields.map(([i, term, otherwise]) => [term, cells[i] || textOf(otherwise)]))
    return row.set('id', cells[link] ?? '')
  })
  return { rowType: termName(el['@rowType']), rows }
}

function metaOf(texts: ArchiveTexts): { tree: Tree } | { problem: FileRefusal } {
  const text = texts.get('meta.xml')
  if (text === undefined) return { problem: coded('archive-without-meta') }
  // Nothing that an archive needs is declared in one; what could be declared is made to swell.
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return { problem: coded('archive-meta-entities') }
  try {
    const { archive } = xml.parse(text, true) as { archive?: Tree }
    return archive?.core ? { tree: archive } : { problem: coded('archive-without-core') }
  } catch {
    return { problem: coded('archive-meta-not-xml') }
  }
}

/** Amounts of the occurrences, where a table of measurements gives them: one number for each occurrence. */
function amountsOf(tables: Table[]): Map<string, number> {
  const amounts = new Map<string, number>()
  for (const { rowType, rows } of tables) {
    if (!/MeasurementOrFact/.test(rowType)) continue
    for (const row of rows) {
      const n = readNumber(row.get('measurementValue') ?? '')
      const isAmount = /amount|cover|abundance|count|hits|weight|frequency/i.test(row.get('measurementType') ?? '')
      if (n !== undefined && isAmount && !amounts.has(row.get('id')!)) amounts.set(row.get('id')!, n)
    }
  }
  return amounts
}

/**
 * Finds of a Darwin Core archive (TDWG) whose core is occurrences: one stop for each event, its amounts from the
 * measurements, else from organismQuantity or individualCount, else 1.
 *
 * @returns what the archive says, or why it cannot be read
 */
export function readArchive(texts: ArchiveTexts): ReadFinds | { problem: FileRefusal } {
  const meta = metaOf(texts)
  if ('problem' in meta) return meta
  const { tree } = meta
  const reader = new FindsReader()
  const core = tableOf(tree.core as Tree, texts, 'id', reader)
  if ('code' in core) return { problem: core }
  if (core.rowType !== 'Occurrence')
    return {
      problem: coded('archive-core-not-occurrences', {
        rowType: core.rowType,
      }),
    }
  const further = list(tree.extension).map((el) => tableOf(el, texts, 'coreid', reader))
  for (const f of further) if ('code' in f) reader.problem(f, coded('at-meta'))
  const tables = further.filter((f): f is Table => 'rowType' in f)
  for (const { rowType, rows } of tables)
    if (!/MeasurementOrFact/.test(rowType))
      reader.problem(coded('table-not-used', { rowType, n: rows.length }), coded('at-meta'))
  const amounts = amountsOf(tables)

  let [protocol, day] = ['', '']
  core.rows.forEach((row, i) => {
    const where = coded('at-occurrence', { i: i + 1 })
    const at = (term: string) => (row.get(term) ?? '').trim()
    if (at('occurrenceStatus').toLowerCase() === 'absent') return reader.problem(coded('recorded-absent'), where)
    const name = at('scientificName') || at('vernacularName')
    if (name === '') return reader.problem(coded('occurrence-without-name'), where)
    const stop = reader.stop(at('eventID') || at('locality') || '1', where)
    if (!stop) return
    protocol ||= at('samplingProtocol')
    day ||= readDay(at('eventDate'))
    stop.position ??= readPosition(at('decimalLongitude'), at('decimalLatitude')) ?? null
    const quantity = readNumber(at('organismQuantity')) ?? readNumber(at('individualCount'))
    reader.find(stop, { name: name.slice(0, 200), amount: amounts.get(row.get('id')!) ?? quantity ?? 1 }, where)
  })
  return reader.done(protocol.slice(0, 200), day)
}
