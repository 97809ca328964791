import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/survey/weighUp.ts'
import { readRound } from '../rounds/readRound.ts'
import { useFlora } from '../stores/floraStore.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { weigh, weigher } from '../workers/weighingWorker.ts'
import { readKept } from './readKept.ts'
import { WeighUpView } from './WeighUpView.tsx'

/** A round as the server has it once all that waits is sent, with its figures. */
export async function weighedRound(id: string): Promise<{ round: Round; weighed: WeighUp | undefined }> {
  const sent = useOutbox.getState().drain()
  const [round] = await Promise.all([
    sent.then(() => readRound(id)),
    // Without a signal what this device knows of stock and samples is enough.
    sent.then(() => readKept()).catch(() => undefined),
    useFlora.getState().load().then(weigher),
  ])
  return { round, weighed: await weigh(round) }
}

export const loader = ({ params }: LoaderFunctionArgs) => weighedRound(params.id!)

export function Component() {
  const { round, weighed } = useLoaderData<typeof loader>()
  return <WeighUpView round={round} weighed={weighed} />
}
