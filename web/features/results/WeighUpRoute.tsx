import { useLoaderData, type LoaderFunctionArgs, type ShouldRevalidateFunctionArgs } from 'react-router'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { readRound } from '../../data/readRound.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { say } from '../../language/say.ts'
import { nodesOf, WeighUpHead } from './WeighUpHead.tsx'

/** A round as the server has it once all that waits is sent, with its figures. */
export async function loader({ params }: LoaderFunctionArgs) {
  await useOutbox.getState().drain()
  const round = await readRound(params.id!)
  const whole = Promise.all([import('./WeighUpView.tsx'), import('../../entities/round/weighed.ts')]).then(
    async ([{ WeighUpView }, { weighed }]) => ({ View: WeighUpView, props: { round, weighed: await weighed(round) } }),
  )
  return { round, ...(await deferred(whole)) }
}

/** From chapter to chapter the figures stay. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
  defaultShouldRevalidate,
}: ShouldRevalidateFunctionArgs) =>
  currentParams.id === nextParams.id && currentParams.chapter !== nextParams.chapter ? false : defaultShouldRevalidate

/** Which round it is at once; its figures when they are worked out. */
export function Component() {
  const { round, ...place } = useLoaderData<typeof loader>()
  const waits = <p className="mt-2 text-ink-soft">{say('Weighing it up …')}</p>
  return (
    <DeferredScreen
      place={place}
      first="right"
      front={
        <Skeleton
          names={{ left: say('Counts'), right: say('Weigh-up') }}
          nodes={nodesOf(round)}
          left={
            <>
              <WeighUpHead round={round} />
              {waits}
            </>
          }
          right={waits}
          first="right"
        />
      }
    />
  )
}
