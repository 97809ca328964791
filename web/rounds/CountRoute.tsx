import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import { getRound } from '../api/client.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { CountView } from './CountView.tsx'

/** What still waits to be sent is newer than what the server has. */
function withWaiting(round: Round): Round {
  const waiting = useOutbox.getState().letters
  const stops = round.stops.map((stop) => {
    const letter = waiting.findLast((l) => l.url === `/api/rounds/${round.id}/stops/${stop.seq}`)
    return letter ? { ...stop, ...(letter.body as Pick<typeof stop, 'hits' | 'doneAt'>) } : stop
  })
  return { ...round, stops }
}

export async function loader({ params }: LoaderFunctionArgs): Promise<Round> {
  return withWaiting(await getRound(params.id!))
}

export function Component() {
  const round = useLoaderData<typeof loader>()
  return <CountView key={round.id} round={round} />
}
