import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Context } from '@/core/naming/observation.ts'
import type { Round } from '@/core/records/round.ts'
import { readRound } from '../rounds/readRound.ts'
import { BenchView } from './BenchView.tsx'

export async function loader({ params }: LoaderFunctionArgs): Promise<{ round: Round | null; letter: string | null }> {
  if (!params.id) return { round: null, letter: null }
  return { round: await readRound(params.id), letter: params.letter ?? null }
}

function contextOf(round: Round | null): Context {
  if (!round) return {}
  const { region, sown } = round.paddock
  return { month: Number(round.plannedOn.slice(5, 7)), region, ...(sown.length > 0 ? { sown } : {}) }
}

/** The bench for a loose plant, or for a letter counted in a round. */
export function Component() {
  const { round, letter } = useLoaderData<typeof loader>()
  const subject = round && letter ? `${round.id}/${letter}` : 'loose'
  return <BenchView key={subject} subject={subject} round={round} letter={letter} startContext={contextOf(round)} />
}
