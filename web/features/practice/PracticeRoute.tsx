import { useState } from 'react'
import { useLoaderData } from 'react-router'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { say } from '../../language/say.ts'
import { Kinds } from './Kinds.tsx'
import { noWish, type Wished } from './wish.ts'

export async function loader() {
  const wish = noWish()
  const whole = import('./PracticeView.tsx').then(async ({ PracticeView, readAround }) => ({
    View: PracticeView,
    props: { around: await readAround(), wish },
  }))
  return { wish, ...(await deferred(whole)) }
}

/** What can be practised at once; what is pressed meanwhile begins when the drawings are there. */
export function Component() {
  const { wish, ...place } = useLoaderData() as Awaited<ReturnType<typeof loader>>
  const [asked, setAsked] = useState<Wished>()
  return (
    <DeferredScreen
      place={place}
      front={
        <Skeleton
          names={{ left: say('The specimen'), right: say('Your record') }}
          left={
            <Kinds
              onBegin={(kind) => {
                wish.make(kind)
                setAsked(kind)
              }}
              asked={asked}
            />
          }
        />
      }
    />
  )
}
