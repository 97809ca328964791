import { commandOf } from '@/contract/commandRequests.ts'
import { keyOf } from '@/contract/commandKeys.ts'
import type { Command, WriteRequest } from '@/contract/commands.ts'
import type { Stop } from '@/core/records/round.ts'

/** The one line in which the first versions kept everything; the device's id in it is read in device.ts. */
const LINE = 'fold-sprig-outbox'

interface EarlierLine {
  letters?: WriteRequest[]
  conflicts?: { url: string; mine: unknown; theirs: Stop }[]
  versions?: Record<string, number>
}

export interface EarlierOutbox {
  commands: Command[]
  conflicts: { key: string; command: Command; theirs: Stop }[]
  versions: Record<string, number>
}

/** What the line holds; undefined where there is none or it cannot be read. */
export function readEarlierOutbox(): EarlierOutbox | undefined {
  try {
    const line = localStorage.getItem(LINE)
    if (line === null) return undefined
    const { letters = [], conflicts = [], versions = {} } = (JSON.parse(line) as { state?: EarlierLine }).state ?? {}
    return {
      commands: letters.map(commandOf),
      conflicts: conflicts.map(({ url, mine, theirs }) => {
        const command = commandOf({ method: 'PUT', url, body: mine })
        return { key: keyOf(command), command, theirs }
      }),
      versions,
    }
  } catch {
    return undefined
  }
}

/** Done when all of it is kept elsewhere. */
export function deleteEarlierOutbox(): void {
  try {
    localStorage.removeItem(LINE)
  } catch {
    // It is read again the next time.
  }
}
