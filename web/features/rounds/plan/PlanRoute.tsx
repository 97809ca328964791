import { useLoaderData } from 'react-router'
import { Skeleton, deferred, DeferredScreen } from '../../../parts/deferred.tsx'
import { say } from '../../../language/say.ts'

export const loader = () =>
  deferred(
    import('./PlanView.tsx').then(async ({ PlanView, readForPlan }) => ({
      View: PlanView,
      props: await readForPlan(),
    })),
  )

export function Component() {
  const place = useLoaderData() as Awaited<ReturnType<typeof loader>>
  return (
    <DeferredScreen
      place={place}
      front={
        <Skeleton
          names={{ left: say('Plan'), right: say('What it takes') }}
          left={
            <>
              <h1 className="text-[1.65rem]">{say('Plan a round')}</h1>
              <p className="mt-2 text-ink-soft">{say('Opening …')}</p>
            </>
          }
        />
      }
    />
  )
}
