import { formatName } from '@/text/formatWords.ts'
import { refusedFile } from '@/text/fileWords.ts'
import { readFormats } from '@/core/formats/formatIds.ts'
import Papa from 'papaparse'
import { decodeText } from '@/core/formats/read/decodeText.ts'
import type { ReadFinds } from '@/core/formats/read/finds.ts'
import { readers, type Content } from '@/core/formats/read/index.ts'
import { unzipTexts } from '@/core/formats/read/unzipTexts.ts'
import { parseJson, readMapXml } from '../../../data/readPlaceFile.ts'
import { say } from '../../../language/say.ts'

const LARGEST_FILE = 10_000_000

export type Row = Record<string, string | undefined>

/** A file of finds as it was opened: a table whose columns are still to be told, or stops ready to be named. */
export type Opened = { name: string; encoding: string } & (
  { kind: 'table'; headings: string[]; rows: Row[]; broken: number } | { kind: 'finds'; says: string; finds: ReadFinds }
)

function table(text: string, name: string, encoding: string): Opened {
  const { data, errors, meta } = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  })
  const headings = (meta.fields ?? []).filter((f) => f !== '')
  if (data.length === 0 || headings.length < 2)
    throw new Error(
      say('{{name}} is not a table: a first line of headings and rows of at least two columns are needed.', { name }),
    )
  return {
    kind: 'table',
    name,
    encoding,
    headings,
    rows: data,
    broken: errors.filter((e) => e.row !== undefined).length,
  }
}

/** Read by the first format that fits. */
function finds(content: Content, name: string, encoding: string): Opened {
  const format = readFormats.find((f) => readers[f].fits(content))!
  const read = readers[format].read(content)
  if ('problem' in read) throw refusedFile(read.problem)
  return { kind: 'finds', name, encoding, says: formatName(format), finds: read }
}

/**
 * Open a file of finds: a table (CSV), a Darwin Core archive, or the stops of a GeoJSON, GPX or KML file.
 *
 * @throws Error in words for the reader; nothing was changed
 */
export async function openFinds(file: File): Promise<Opened> {
  const { name } = file
  if (file.size > LARGEST_FILE) throw new Error(say('{{name}} is larger than 10 MB; a round needs far less.', { name }))
  if (file.size === 0) throw new Error(say('{{name}} is empty.', { name }))
  const bytes = new Uint8Array(await file.arrayBuffer())
  // By what it is, not by what it is called.
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
    const texts = await unzipTexts(bytes)
    if (!(texts instanceof Map)) throw refusedFile(texts.problem)
    return finds({ kind: 'archive', texts }, name, 'UTF-8')
  }
  const { text, encoding } = decodeText(bytes)
  if (text.includes('\u0000')) throw new Error(say('{{name}} is not text: it could not be read as a table.', { name }))
  const begins = text
    .replace(/^\uFEFF/, '')
    .trimStart()
    .slice(0, 1)
  if (begins === '{' || begins === '[') return finds({ kind: 'json', value: parseJson(text, name) }, name, encoding)
  if (begins === '<') return finds({ kind: 'map', ...readMapXml(text, name) }, name, encoding)
  return table(text, name, encoding)
}
