import { useLoaderData } from 'react-router'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

export const loader = () =>
  deferred(
    Promise.all([import('./PlantBookView.tsx'), useFlora.getState().load()]).then(([{ PlantBookView }]) => ({
      View: PlantBookView,
      props: {},
    })),
  )

export function Component() {
  const place = useLoaderData() as Awaited<ReturnType<typeof loader>>
  return (
    <DeferredScreen
      place={place}
      front={
        <Skeleton
          names={{ left: say('Plant book'), right: say('What is in it') }}
          left={
            <>
              <h1 className="text-[1.65rem]">{say('Plant book')}</h1>
              <p className="mt-2 text-ink-soft">{say('Opening …')}</p>
            </>
          }
        />
      }
    />
  )
}
