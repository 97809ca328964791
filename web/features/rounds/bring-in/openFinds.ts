import { refusedFile } from '@/text/fileWords.ts'
import type { FileRefusal } from '@/core/formats/fileProblem.ts'
import Papa from 'papaparse'
import { decodeText } from '@/core/formats/read/decodeText.ts'
import type { ReadFinds } from '@/core/formats/read/finds.ts'
import { readArchive } from '@/core/formats/read/readArchive.ts'
import { readPoints } from '@/core/formats/read/readPoints.ts'
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

const known = (read: ReadFinds | { problem: FileRefusal }): ReadFinds => {
  if ('problem' in read) throw refusedFile(read.problem)
  return read
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
    return {
      kind: 'finds',
      name,
      encoding: 'UTF-8',
      says: say('Darwin Core archive'),
      finds: known(readArchive(texts)),
    }
  }
  const { text, encoding } = decodeText(bytes)
  if (text.includes('\u0000')) throw new Error(say('{{name}} is not text: it could not be read as a table.', { name }))
  const begins = text
    .replace(/^\uFEFF/, '')
    .trimStart()
    .slice(0, 1)
  if (begins === '{' || begins === '[')
    return { kind: 'finds', name, encoding, says: say('GeoJSON'), finds: known(readPoints(parseJson(text, name))) }
  if (begins === '<') {
    const { kind: says, features } = readMapXml(text, name)
    return { kind: 'finds', name, encoding, says, finds: known(readPoints(features)) }
  }
  return table(text, name, encoding)
}
