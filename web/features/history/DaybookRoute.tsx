import { useLoaderData, type ShouldRevalidateFunctionArgs } from 'react-router'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { say } from '../../language/say.ts'

export const loader = () =>
  deferred(
    import('./DaybookView.tsx').then(async ({ DaybookView, readDaybook }) => ({
      View: DaybookView,
      props: { read: await readDaybook() },
    })),
  )

/** From chapter to chapter what was read stays. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
  defaultShouldRevalidate,
}: ShouldRevalidateFunctionArgs) => (currentParams.chapter !== nextParams.chapter ? false : defaultShouldRevalidate)

export function Component() {
  const place = useLoaderData() as Awaited<ReturnType<typeof loader>>
  const waits = <p className="mt-2 text-ink-soft">{say('Reading what is written …')}</p>
  return (
    <DeferredScreen
      place={place}
      front={
        <Skeleton
          names={{ left: say('Daybook'), right: say('Year on year') }}
          left={
            <>
              <h1 className="text-[1.65rem]">{say('Daybook')}</h1>
              {waits}
            </>
          }
          right={waits}
        />
      }
    />
  )
}
