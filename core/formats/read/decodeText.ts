export interface Decoded {
  text: string
  /** What the bytes were taken for. */
  encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252'
}

/** The text of a file: UTF-16 by its mark, else UTF-8, else as Western European programs of old wrote it. */
export function decodeText(bytes: Uint8Array): Decoded {
  const [a, b] = bytes
  if (a === 0xff && b === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' }
  if (a === 0xfe && b === 0xff) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' }
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' }
  }
}
