import { wearWords } from '@/text/actWords.ts'
import { harmKindWords } from '@/text/harmWords.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { Leaf } from '../../parts/Leaf.tsx'
import { ExposureView } from '../../parts/ExposureView.tsx'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { Lookalikes } from '../../entities/plant/Lookalikes.tsx'
import { PlantHead } from './PlantHead.tsx'
import { InHandLater } from '../../entities/plant/hand/InHandLater.tsx'
import { LookOrder } from './LookOrder.tsx'
import { WhenWhere } from './WhenWhere.tsx'
import { Terms } from '../../parts/Terms.tsx'
import { heightWords } from '../../parts/units.ts'
import { say, word, listed } from '../../language/say.ts'

function Harm({ plant }: { plant: Plant }) {
  if (plant.harm.length === 0) return null
  return (
    <section className="rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-4">
      <h2 className="text-xl text-harm">{plant.role === 'toxic' ? say('Harmful') : say('Cautions')}</h2>
      {plant.harm.map((h) => (
        <p key={h.kind} className="mt-1 first-letter:uppercase">
          <b>
            {listed(h.who)}: {harmKindWords(h)}.
          </b>{' '}
          <Terms>{h.note}</Terms>
        </p>
      ))}
      <ExposureView plant={plant} />
      <p className="mt-2 text-sm">{standingCautions()[0]}</p>
    </section>
  )
}

/** What can be done about it, stage by stage, without herbicide and with. */
function Control({ plant }: { plant: Plant }) {
  if (plant.control.length === 0) return null
  return (
    <section className="mt-5">
      <h2 className="text-xl">{say('What to do')}</h2>
      {(['hands', 'herbicide'] as const).map((school) => (
        <section key={school} className="mt-1">
          <h3 className="font-semibold">{school === 'hands' ? say('Without herbicide') : say('With herbicide')}</h3>
          <ul>
            {plant.control
              .filter((c) => c.school === school)
              .map((c) => (
                <li key={c.stage} className="border-b border-rule/60 py-1.5">
                  <b className="mr-2 first-letter:uppercase">{word(c.stage)}</b>
                  {c.do}.
                  {c.upToCm ? say(' Said to work up to {{heightWords}}.', { heightWords: heightWords(c.upToCm) }) : ''}
                  {c.wear ? say(' Wear: {{wear}}.', { wear: wearWords(c.wear) }) : ''}
                  {c.waste ? say(' Afterwards: {{waste}}.', { waste: c.waste }) : ''}
                </li>
              ))}
          </ul>
        </section>
      ))}
      <p className="mt-1 text-sm text-ink-soft">
        {say('Common practice, no source. {{standingCautions}}', { standingCautions: standingCautions()[3] })}
      </p>
    </section>
  )
}

/** A plant: how to know it without a flower on the left, what follows from knowing it on the right. */
export function PlantView({ plant }: { plant: Plant }) {
  return (
    <Leaf
      names={{ left: say('How to know it'), right: say('What it means') }}
      tip={{ label: say('Name one on the bench'), to: '/bench' }}
      nodes={[{ id: 'book', label: say('Plant book'), detail: plant.family }]}
      left={
        <>
          <PlantHead plant={plant} />
          <PlantPicture
            plant={plant}
            insets
            large
            label={say('{{commonName}}, drawn without its flower', { commonName: plant.commonName })}
            className="mx-auto mt-3 w-full max-w-[34rem]"
          />
          <InHandLater key={plant.id} plant={plant} />
          <LookOrder plant={plant} />
        </>
      }
      right={
        <>
          <Harm plant={plant} />
          <Control plant={plant} />
          <Lookalikes plant={plant} />
          <WhenWhere plant={plant} />
          {plant.worth ? (
            <section className="mt-5">
              <h2 className="text-xl">{say('Worth')}</h2>
              <p>{plant.worth}</p>
            </section>
          ) : null}
          <p className="mt-5 text-ink-soft">{say('Sources: {{sources}}.', { sources: plant.sources.join('; ') })}</p>
        </>
      }
    />
  )
}
