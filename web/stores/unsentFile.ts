import { commandOf, requestOf } from '@/contract/commandRequests.ts'
import type { Command, WriteMethod, WriteRequest } from '@/contract/commands.ts'

/** Nothing of the server's was seen. */
const UNSEEN = -1
const KIND = 'fold-sprig-not-sent'

/** A command with what it stands on: the version of a stop, or what was seen of another record. */
export interface Unsent {
  command: Command
  base?: number | undefined
  seen?: (object | null)[] | undefined
}

/** What could not be sent, to be opened on another device. */
export const unsentFile = (unsent: Unsent[]) => ({
  kind: KIND,
  version: 4,
  commands: unsent.map((u) => u.command),
  bases: unsent.map((u) => u.base ?? null),
  seen: unsent.map((u) => u.seen ?? null),
})

const methods: readonly WriteMethod[] = ['POST', 'PUT', 'DELETE']

/** What an earlier version wrote: requests. */
const isRequest = (l: unknown): l is WriteRequest => {
  const { method, url } = (l ?? {}) as Partial<Record<keyof WriteRequest, unknown>>
  return typeof url === 'string' && methods.includes(method as WriteMethod)
}

/** Only what a person does in this app: a file that somebody sent must not be able to ask for anything else. */
const isKnown = (c: Command) => c.do !== 'request'

/** Read a command anew from what it would send: a name of a command with other fields is none. */
function reread(value: unknown): Command | undefined {
  try {
    return commandOf(requestOf(value as Command))
  } catch {
    return undefined
  }
}

/** The commands of such a file; undefined where it is another one, or holds anything that is no command. */
export function readUnsent(text: string): Unsent[] | undefined {
  try {
    const file = JSON.parse(text) as {
      kind?: unknown
      letters?: unknown
      commands?: unknown
      bases?: unknown
      seen?: unknown
    }
    if (file.kind !== KIND) return undefined
    const list = Array.isArray(file.commands) ? file.commands.map(reread) : earlier(file.letters)
    if (!list || !list.every((c): c is Command => c !== undefined && isKnown(c))) return undefined
    const bases = Array.isArray(file.bases) ? file.bases : []
    // Where it is not said, nothing of this server's was seen: a count that stands there is not written over.
    const seen = Array.isArray(file.seen) ? (file.seen as unknown[]) : []
    return list.map((command, i) => ({
      command,
      base: Number.isInteger(bases[i]) ? (bases[i] as number) : UNSEEN,
      seen: Array.isArray(seen[i]) ? (seen[i] as (object | null)[]) : [],
    }))
  } catch {
    return undefined
  }
}

const earlier = (letters: unknown): Command[] | undefined =>
  Array.isArray(letters) && letters.every(isRequest) ? letters.map(commandOf) : undefined
