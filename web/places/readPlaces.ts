import type { Holding, Paddock } from '@/core/records/round.ts'
import { getPlaces } from '../api/client.ts'
import { useOutbox } from '../stores/outboxStore.ts'

export interface Places {
  holdings: Holding[]
  paddocks: Paddock[]
}

/** Holdings and paddocks as this device knows them: the server's, with those that wait to be sent. */
export async function readPlaces(): Promise<Places> {
  const { holdings, paddocks } = await getPlaces()
  const waiting = useOutbox.getState().letters
  const added = <T extends { id: string }>(list: T[], url: string): T[] => {
    const news = waiting
      .filter((l) => l.url === url || l.url.startsWith(`${url}/`))
      .filter((l) => !l.url.includes('/events/'))
    const byId = new Map(list.map((x) => [x.id, x]))
    for (const { body } of news) byId.set((body as T).id, { ...byId.get((body as T).id), ...(body as T) })
    return [...byId.values()]
  }
  return { holdings: added(holdings, '/api/holdings'), paddocks: added(paddocks, '/api/paddocks') }
}
