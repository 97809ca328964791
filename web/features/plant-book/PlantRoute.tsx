import { useLoaderData, type LoaderFunctionArgs, type ShouldRevalidateFunctionArgs } from 'react-router'
import type { Plant } from '@/core/flora/flora.ts'
import { send } from '../../api/client.ts'
import { Skeleton, deferred, DeferredScreen } from '../../parts/deferred.tsx'
import { spokenPlant, useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { PlantHead } from './PlantHead.tsx'

export async function loader({ params }: LoaderFunctionArgs) {
  const plant = await send<Plant>('GET', `/api/plants/${encodeURIComponent(params.id!)}`).then(spokenPlant)
  const whole = Promise.all([import('./PlantView.tsx'), useFlora.getState().load()]).then(([{ PlantView }]) => ({
    View: PlantView,
    props: { plant },
  }))
  return { plant, ...(await deferred(whole)) }
}

/** From chapter to chapter the plant stays. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
  defaultShouldRevalidate,
}: ShouldRevalidateFunctionArgs) =>
  currentParams.id === nextParams.id && currentParams.chapter !== nextParams.chapter ? false : defaultShouldRevalidate

/** A plant by its names at once; drawn and told apart from its look-alikes when the book is there. */
export function Component() {
  const { plant, ...place } = useLoaderData<typeof loader>()
  return (
    <DeferredScreen
      place={place}
      first="right"
      front={
        <Skeleton
          names={{ left: say('Plant book'), right: plant.commonName }}
          first="right"
          left={<h2 className="text-[1.65rem]">{say('Plant book')}</h2>}
          right={
            <>
              <PlantHead plant={plant} />
              <p className="mt-3 text-ink-soft">{say('Drawing …')}</p>
            </>
          }
        />
      }
    />
  )
}
