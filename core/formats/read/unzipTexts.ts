import { coded } from '../../coded.ts'
import type { FileRefusal } from '../fileProblem.ts'
import JSZip from 'jszip'
import { decodeText } from './decodeText.ts'

const MOST_FILES = 50
/** Bytes that all texts of an archive may come to, and how many times the archive itself they may be. */
const MOST_BYTES = 40_000_000
const MOST_SWELL = 200
/** Below this an archive may swell as it likes: a small table of zeros packs well. */
const FREE_BYTES = 2_000_000

const joined = (parts: Uint8Array[], length: number): Uint8Array => {
  const all = new Uint8Array(length)
  let at = 0
  for (const p of parts) {
    all.set(p, at)
    at += p.length
  }
  return all
}

/** Unpack one file, and stop as soon as it is larger than what is left. */
function unpacked(file: JSZip.JSZipObject, left: number): Promise<Uint8Array | undefined> {
  return new Promise((resolve, reject) => {
    const parts: Uint8Array[] = []
    let length = 0
    const stream = (
      file as unknown as { internalStream(type: 'uint8array'): JSZip.JSZipStreamHelper<Uint8Array> }
    ).internalStream('uint8array')
    stream
      .on('data', (chunk) => {
        length += chunk.length
        if (length > left) {
          stream.pause()
          resolve(undefined)
        } else parts.push(chunk)
      })
      .on('error', reject)
      .on('end', () => resolve(joined(parts, length)))
      .resume()
  })
}

/**
 * The texts of a zip archive by name. Nothing is written anywhere, so names with `..` reach nothing; an archive that
 * swells beyond reason is given up before it fills the memory.
 *
 * @returns the texts, or what is wrong in words for the reader
 */
export async function unzipTexts(bytes: Uint8Array): Promise<Map<string, string> | { problem: FileRefusal }> {
  let zip: JSZip
  try {
    zip = await JSZip.loadAsync(bytes)
  } catch {
    return { problem: coded('zip-unreadable') }
  }
  const files = Object.values(zip.files).filter((f) => !f.dir)
  if (files.length > MOST_FILES)
    return {
      problem: coded('zip-too-many-files', {
        n: files.length,
        MOSTFILES: MOST_FILES,
      }),
    }
  const most = Math.min(MOST_BYTES, Math.max(FREE_BYTES, bytes.length * MOST_SWELL))
  const texts = new Map<string, string>()
  let used = 0
  for (const file of files) {
    if (!/\.(xml|csv|tsv|txt)$/i.test(file.name)) continue
    let text: Uint8Array | undefined
    try {
      text = await unpacked(file, most - used)
    } catch {
      return { problem: coded('zip-file-damaged', { name: file.name }) }
    }
    if (!text) return { problem: coded('zip-swells') }
    used += text.length
    texts.set(file.name.replace(/^.*\//, ''), decodeText(text).text)
  }
  return texts
}
