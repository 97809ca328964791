import { flushSync } from 'react-dom'
import { HASH_PLACE, type Signature } from '@/core/records/signedPage.ts'
import type { Contacts } from '@/core/records/contacts.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { say } from '../../language/say.ts'
import { pageFile } from './pageFile.ts'

/** SHA-256 of a text, hexadecimal. Browsers give it only to pages from this machine or over https. */
export async function sha256(text: string): Promise<string> {
  const { subtle } = crypto as { subtle?: SubtleCrypto }
  if (!subtle) throw new Error(say('Signing needs a page that was opened over https or on this machine.'))
  const bytes = new Uint8Array(await subtle.digest('SHA-256', new TextEncoder().encode(text)))
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('')
}

interface ToSign {
  roundId: string
  /** Title of the file. */
  title: string
  contacts: Contacts
  factsHash: string
  before: readonly Signature[]
  /** Shows a signature on the pages. */
  show: (signature: Signature) => void
}

/**
 * Put a name to the pages as they are shown: they are drawn with it, made into one file, and the hash of that file is written
 * where noughts stood. They go to the server like everything else that was written, with a signal or later.
 */
export async function sign({ roundId, title, contacts, factsHash, before, show }: ToSign): Promise<void> {
  const signature: Signature = {
    id: crypto.randomUUID(),
    roundId,
    issue: Math.max(0, ...before.map((s) => s.issue)) + 1,
    signedBy: contacts.advisor!.trim(),
    signedAt: new Date().toISOString(),
    factsHash,
    hash: HASH_PLACE,
  }
  flushSync(() => show(signature))
  const blank = await pageFile(title)
  const hash = await sha256(blank)
  useOutbox.getState().post({ do: 'sign-page', signed: { ...signature, hash, page: blank.replace(HASH_PLACE, hash) } })
  show({ ...signature, hash })
}
