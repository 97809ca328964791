import { methodWords } from '@/text/methodWords.ts'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { useKeysKept } from '../../parts/useKeysKept.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { readRound } from '../../data/readRound.ts'

export async function loader({ params }: LoaderFunctionArgs) {
  const round = await readRound(params.id!)
  const whole = Promise.all([import('./CountView.tsx'), import('./figuresAhead.ts'), useFlora.getState().load()]).then(
    async ([{ CountView }, { figuresAhead }]) => {
      await figuresAhead(round)
      return { View: CountView, props: { round } }
    },
  )
  return { round, ...(await deferred(whole)) }
}

function KeyedFront({ round, coming }: { round: Round; coming: Promise<unknown> }) {
  useKeysKept(coming)
  const { unitName, units } = methodWords(round.method)
  const done = round.stops.filter((s) => s.doneAt !== null).length
  return (
    <Skeleton
      names={{ left: say('Count'), right: say('So far') }}
      left={
        <>
          <p className="text-ink-soft">
            {round.paddock.name}, {round.holding}
          </p>
          <h1 className="text-[1.65rem]">{round.title}</h1>
          <p className="mt-2 text-ink-soft">
            {say('{{done}} of {{n}} {{units}} counted. Opening …', {
              done,
              n: round.stops.length,
              units: round.stops.length === 1 ? unitName : units,
            })}
          </p>
        </>
      }
    />
  )
}

/** Which round it is at once; the keys when the book is there. */
export function Component() {
  const { round, ...place } = useLoaderData<typeof loader>()
  return <DeferredScreen key={round.id} place={place} front={<KeyedFront round={round} coming={place.coming} />} />
}
