import { randomLcg } from 'd3-random'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import { weighUp } from '@/core/survey/weighUp.ts'
import { getRound } from '../api/client.ts'
import { useFlora } from '../stores/floraStore.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { WeighUpView } from './WeighUpView.tsx'

export async function loader({ params }: LoaderFunctionArgs): Promise<Round> {
  await useOutbox.getState().drain()
  return getRound(params.id!)
}

/** A fixed seed: the same counts always show the same figures. */
export const seeded = () => randomLcg(1)

export function Component() {
  const round = useLoaderData<typeof loader>()
  const byId = useFlora((s) => s.byId)
  return <WeighUpView round={round} weighed={weighUp(round, byId, seeded)} />
}
