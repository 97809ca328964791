import type { Places } from '@/contract/applied.ts'
import { fresh, reads } from './reads.ts'

export type { Places }

/** Holdings and paddocks as this device knows them: the server's, with those that wait to be sent. */
export const readPlaces = (): Promise<Places> => fresh(reads.places)
