import { createHash } from 'node:crypto'

/** The same UUID (version 5 form) for the same name, so that loading twice adds nothing. */
export function fixedId(name: string): string {
  const hex = createHash('sha1').update(`fold-sprig:${name}`).digest('hex')
  const variant = ((parseInt(hex[16]!, 16) & 0x3) | 0x8).toString(16)
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `5${hex.slice(13, 16)}`,
    variant + hex.slice(17, 20),
    hex.slice(20, 32),
  ].join('-')
}
