import { XMLParser } from 'fast-xml-parser'
import Papa from 'papaparse'
import { FindsReader, MOST_READ_ROWS, readDay, readNumber, readPosition, type ReadFinds } from './finds.ts'
import { say } from '../../say.ts'

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
/** Last part of a term's address: what the rows are looked up by. */
const termName = (address: unknown) => String(address).replace(/^.*[/#]/, '')

/** The rows of one table of the archive, by the short names of their terms; the link to the core is `id`. */
function tableOf(el: Tree, texts: ArchiveTexts, linkName: 'id' | 'coreid', reader: FindsReader): Table | string {
  const file = String((el.files as Tree | undefined)?.location ?? '')
  const text = texts.get(file)
  if (text === undefined) return say('The archive names "{{file}}" but does not hold it.', { file })
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
      say('more than {{MOSTREADROWS}} rows: the rest is left out', { MOSTREADROWS: MOST_READ_ROWS }),
      say('{{file}}, row {{MOSTREADROWS}}', { file, MOSTREADROWS: MOST_READ_ROWS + 1 }),
    )
  const rows = body.slice(0, MOST_READ_ROWS).map((cells) => {
    const row = new Map(fields.map(([i, term, otherwise]) => [term, cells[i] || String(otherwise ?? '')]))
    return row.set('id', cells[link] ?? '')
  })
  return { rowType: termName(el['@rowType']), rows }
}

function metaOf(texts: ArchiveTexts): Tree | string {
  const text = texts.get('meta.xml')
  if (text === undefined) return say('This archive has no meta.xml, so it does not say which column holds what.')
  // Nothing that an archive needs is declared in one; what could be declared is made to swell.
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return say('The meta.xml of this archive declares entities; such files are not read.')
  try {
    const { archive } = xml.parse(text, true) as { archive?: Tree }
    return archive?.core ? archive : say('The meta.xml of this archive names no core table.')
  } catch {
    return say('The meta.xml of this archive could not be read as XML.')
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
export function readArchive(texts: ArchiveTexts): ReadFinds | { problem: string } {
  const meta = metaOf(texts)
  if (typeof meta === 'string') return { problem: meta }
  const reader = new FindsReader()
  const core = tableOf(meta.core as Tree, texts, 'id', reader)
  if (typeof core === 'string') return { problem: core }
  if (core.rowType !== 'Occurrence')
    return {
      problem: say('The core of this archive is "{{rowType}}"; only archives of occurrences are read.', {
        rowType: core.rowType,
      }),
    }
  const further = list(meta.extension).map((el) => tableOf(el, texts, 'coreid', reader))
  for (const f of further) if (typeof f === 'string') reader.problem(f, 'meta.xml')
  const tables = further.filter((f): f is Table => typeof f !== 'string')
  for (const { rowType, rows } of tables)
    if (!/MeasurementOrFact/.test(rowType))
      reader.problem(say('the table "{{rowType}}" ({{n}} rows)', { rowType, n: rows.length }), 'meta.xml')
  const amounts = amountsOf(tables)

  let [protocol, day] = ['', '']
  core.rows.forEach((row, i) => {
    const where = say('occurrence {{i}}', { i: i + 1 })
    const at = (term: string) => (row.get(term) ?? '').trim()
    if (at('occurrenceStatus').toLowerCase() === 'absent')
      return reader.problem(say('a plant recorded as absent'), where)
    const name = at('scientificName') || at('vernacularName')
    if (name === '') return reader.problem(say('an occurrence without a name'), where)
    const stop = reader.stop(at('eventID') || at('locality') || say('one place'), where)
    if (!stop) return
    protocol ||= at('samplingProtocol')
    day ||= readDay(at('eventDate'))
    stop.position ??= readPosition(at('decimalLongitude'), at('decimalLatitude')) ?? null
    const quantity = readNumber(at('organismQuantity')) ?? readNumber(at('individualCount'))
    reader.find(stop, { name: name.slice(0, 200), amount: amounts.get(row.get('id')!) ?? quantity ?? 1 }, where)
  })
  return reader.done(protocol.slice(0, 200), day)
}
