import { coded } from '../coded.ts'
import type { FileRefusal } from './fileProblem.ts'
import type { Holding, Round } from '../records/round.ts'

export const ROUND_FILE = 'fold-sprig-round'
export const ROUND_FILE_VERSION = 1

/** A round as one file: handed on to another machine, opened there, and merged stop by stop where it is known. */
export interface RoundFile {
  kind: typeof ROUND_FILE
  version: typeof ROUND_FILE_VERSION
  holding: Holding
  round: Round
}

export const roundFile = (round: Round): RoundFile => ({
  kind: ROUND_FILE,
  version: ROUND_FILE_VERSION,
  holding: { id: round.paddock.holdingId, name: round.holding, client: round.client },
  round,
})

/**
 * A round file from its text.
 *
 * @returns the file as it stands, still to be checked field by field where it is taken in, or what is wrong with it
 */
export function readRoundFile(text: string): { file: RoundFile } | { problem: FileRefusal } {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return { problem: coded('round-file-not-json') }
  }
  const file = value as Partial<RoundFile> | null
  if (typeof file !== 'object' || file === null || file.kind !== ROUND_FILE)
    return { problem: coded('not-a-round-file') }
  if (file.version !== ROUND_FILE_VERSION)
    return {
      problem: coded('round-file-version', {
        version: String(file.version),
        ROUNDFILEVERSION: ROUND_FILE_VERSION,
      }),
    }
  if (!file.round?.paddock || !Array.isArray(file.round.stops) || !file.holding)
    return { problem: coded('round-file-parts-missing') }
  return { file: file as RoundFile }
}
