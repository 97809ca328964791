import { roundFile } from '@/core/formats/roundFile.ts'
import type { Round } from '@/core/records/round.ts'
import { download, fileSlug } from '../../parts/download.ts'

/** The round as one file, made here: it needs no signal. */
export const handOn = (round: Round): void =>
  download(`round-${fileSlug(`${round.paddock.name} ${round.title}`)}.json`, JSON.stringify(roundFile(round)))
