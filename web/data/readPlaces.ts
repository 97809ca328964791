import { placesAfter, type Places } from '@/contract/applied.ts'
import { getPlaces } from '../api/client.ts'
import { pendingCommands } from '../stores/outboxStore.ts'

export type { Places }

/** Holdings and paddocks as this device knows them: the server's, with those that wait to be sent. */
export const readPlaces = async (): Promise<Places> => pendingCommands().reduce(placesAfter, await getPlaces())
