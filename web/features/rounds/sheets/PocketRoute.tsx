import { kitWords, methodWords } from '@/text/methodWords.ts'
import { inSentence } from '@/text/say.ts'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { Plant } from '@/core/flora/flora.ts'
import { kitFor, lookAlongEdge, lookFor } from '@/core/survey/planStops.ts'
import { TypicalPart } from '../../../entities/plant/TypicalPart.tsx'
import { PlantPicture } from '../../../parts/PlantPicture.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { keyedPlants } from '../countKeys.ts'
import { readRound } from '../../../data/readRound.ts'
import { PrintSheet } from '../../../parts/PrintSheet.tsx'
import { say } from '../../../language/say.ts'

const MOST_HARMFUL = 12

export const loader = ({ params }: LoaderFunctionArgs) => readRound(params.id!)

/** The plant small, with the one check that tells it from what it is taken for. */
function Entry({ plant }: { plant: Plant }) {
  const byId = useFlora((s) => s.byId)
  const [alike] = plant.lookalikes
  return (
    <li className="flex break-inside-avoid items-start gap-2 border-b border-rule/60 py-1.5 leading-snug">
      {/* A bush is like the next at this size; its leaf is not. */}
      {plant.form === 'shrub' ? (
        <TypicalPart plant={plant} className="mx-3 size-14 shrink-0" />
      ) : (
        <PlantPicture plant={plant} eager className="size-24 shrink-0 object-contain" />
      )}
      <span>
        <b className={`font-plant ${plant.role === 'toxic' ? 'text-harm' : ''}`}>{plant.commonName}</b>
        {plant.role === 'toxic' ? <span className="ml-1 text-sm font-bold text-harm">{say('harmful')}</span> : null}
        <br />
        <i className="text-sm">{plant.scientificName}</i>
        {alike ? (
          <span className="block text-sm">
            {say('not {{commonName}}: {{why}}', { commonName: byId.get(alike.plant)?.commonName, why: alike.why })}
          </span>
        ) : null}
      </span>
    </li>
  )
}

/** What is expected in this paddock and what to look out for, drawn, for the pocket. */
export function Component() {
  const round = useLoaderData<typeof loader>()
  const { plants, byId } = useFlora()
  const expected = keyedPlants(round, plants).flatMap((id) => byId.get(id) ?? [])
  const harmful = lookFor(plants, round.paddock.region)
    .filter((p) => !expected.includes(p))
    .slice(0, MOST_HARMFUL)
  const edge = lookAlongEdge(plants, round.paddock.region)
    .filter((p) => !expected.includes(p))
    .slice(0, MOST_HARMFUL)
  return (
    <PrintSheet name={say('Pocket sheet')} back="/rounds" backLabel={say('Back to the rounds')}>
      <h1 className="text-[1.65rem]">{say('{{name}}: what to expect', { name: round.paddock.name })}</h1>
      <p>
        {round.holding}; {inSentence(methodWords(round.method).name)}, {round.stops.length}{' '}
        {methodWords(round.method).units}.
      </p>
      <h2 className="mt-3 text-lg">{say('Expected')}</h2>
      <ul className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
        {expected.map((p) => (
          <Entry key={p.id} plant={p} />
        ))}
      </ul>
      <h2 className="mt-4 text-lg text-harm">{say('Harmful, to look for')}</h2>
      <ul className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
        {harmful.map((p) => (
          <Entry key={p.id} plant={p} />
        ))}
      </ul>
      {edge.length > 0 ? (
        <>
          <h2 className="mt-4 text-lg text-harm">{say('Along fence, hedge and ditch, and under trees')}</h2>
          <ul className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
            {edge.map((p) => (
              <Entry key={p.id} plant={p} />
            ))}
          </ul>
        </>
      ) : null}
      <h2 className="mt-4 text-lg">{say('Take along')}</h2>
      <p>
        {kitFor(round.method, [...expected, ...harmful, ...edge])
          .map(kitWords)
          .join('; ')}
        .
      </p>
      <p className="mt-2 text-sm">
        {say(
          'Not a veterinary or medical service. If poisoning is suspected call a veterinarian or a poison centre at once and keep a sample.',
        )}
      </p>
    </PrintSheet>
  )
}
