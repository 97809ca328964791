import { useLoaderData, useParams, type LoaderFunctionArgs } from 'react-router'
import type { Context } from '@/core/records/observation.ts'
import type { Round } from '@/core/records/round.ts'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { useKeysKept } from '../../parts/useKeysKept.ts'
import { readRound } from '../../data/readRound.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

function contextOf(round: Round | null): Context {
  if (!round) return {}
  const { region, sown } = round.paddock
  return { month: Number(round.plannedOn.slice(5, 7)), region, ...(sown.length > 0 ? { sown } : {}) }
}

async function read({ id, letter = null }: { id?: string; letter?: string | null }) {
  const [{ BenchView }, round] = await Promise.all([
    import('./BenchView.tsx'),
    id ? readRound(id) : null,
    useFlora.getState().load(),
    import('../../workers/namingWorker.ts').then(({ startNaming }) => startNaming()),
  ])
  const subject = round && letter ? `${round.id}/${letter}` : 'loose'
  return { View: BenchView, props: { subject, round, letter, startContext: contextOf(round) } }
}

export const loader = ({ params }: LoaderFunctionArgs) => deferred(read(params))

function KeyedFront({ coming }: { coming: Promise<unknown> }) {
  useKeysKept(coming)
  return (
    <Skeleton
      names={{ left: say('What was seen'), right: say('What follows') }}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('What is this plant?')}</h1>
          <p className="mt-2 text-ink-soft">{say('Opening …')}</p>
        </>
      }
    />
  )
}

/** The bench for a loose plant, or for a letter counted in a round. */
export function Component() {
  const place = useLoaderData<typeof loader>()
  const { id, letter } = useParams()
  return <DeferredScreen key={`${id}/${letter}`} place={place} front={<KeyedFront coming={place.coming} />} />
}
