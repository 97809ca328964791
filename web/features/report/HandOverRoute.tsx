import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { readRound } from '../../data/readRound.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { say } from '../../language/say.ts'
import { Files, HandOverHead } from './Files.tsx'

export async function loader({ params }: LoaderFunctionArgs) {
  await useOutbox.getState().drain()
  const round = await readRound(params.id!)
  const whole = import('./HandOverView.tsx').then(async ({ HandOverView, readPages }) => ({
    View: HandOverView,
    props: await readPages(round),
  }))
  return { round, ...(await deferred(whole)) }
}

/** What can be taken along at once; the pages when they are worked out. */
export function Component() {
  const { round, ...place } = useLoaderData<typeof loader>()
  return (
    <DeferredScreen
      place={place}
      front={
        <Skeleton
          names={{ left: say('Take along'), right: say('The pages') }}
          left={
            <div className="no-print">
              <HandOverHead round={round} />
              <Files roundId={round.id} />
            </div>
          }
          right={<p className="text-ink-soft">{say('Working out the pages …')}</p>}
        />
      }
    />
  )
}
