import { useLoaderData } from 'react-router'
import { Front, inTwo, WholeOf } from '../../parts/inTwo.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

export const loader = () =>
  inTwo(
    Promise.all([import('./PlantBookView.tsx'), useFlora.getState().load()]).then(([{ PlantBookView }]) => ({
      View: PlantBookView,
      props: {},
    })),
  )

export function Component() {
  const place = useLoaderData() as Awaited<ReturnType<typeof loader>>
  return (
    <WholeOf
      place={place}
      front={
        <Front
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
