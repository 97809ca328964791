import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import { CountView } from './CountView.tsx'
import { readRound } from './readRound.ts'

export const loader = ({ params }: LoaderFunctionArgs): Promise<Round> => readRound(params.id!)

export function Component() {
  const round = useLoaderData<typeof loader>()
  return <CountView key={round.id} round={round} />
}
