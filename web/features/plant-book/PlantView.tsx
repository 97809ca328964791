import type { ComponentType } from 'react'
import { useParams } from 'react-router'
import { codeWords, codesListed } from '@/text/codeWords.ts'
import { wearWords } from '@/text/actWords.ts'
import { harmKindWords } from '@/text/harmWords.ts'
import { standingCautions } from '@/text/standingCautions.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { ExposureView } from '../../parts/ExposureView.tsx'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { Lookalikes } from '../../entities/plant/Lookalikes.tsx'
import { PlantHead } from './PlantHead.tsx'
import { InHandLater } from '../../entities/plant/hand/InHandLater.tsx'
import { BookList } from './BookList.tsx'
import { SeenByUs } from './SeenByUs.tsx'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { LookOrder } from './LookOrder.tsx'
import { WhenWhere } from './WhenWhere.tsx'
import { Terms } from '../../parts/Terms.tsx'
import { heightWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

function Harm({ plant }: { plant: Plant }) {
  if (plant.harm.length === 0)
    return (
      <section>
        <h2 className="text-xl">{say('Harm')}</h2>
        <p>
          {say(
            'This book has no harm on file that comes of this plant. What is not on file can harm all the same, and so can what stands between.',
          )}
        </p>
        <p className="mt-2 text-sm">{standingCautions()[0]}</p>
      </section>
    )
  return (
    <section className="rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-4">
      <h2 className="text-xl text-harm">{plant.role === 'toxic' ? say('Harmful') : say('Cautions')}</h2>
      {plant.harm.map((h) => (
        <p key={h.kind} className="mt-1 first-letter:uppercase">
          <b>
            {codesListed(h.who)}: {harmKindWords(h)}.
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
                  <b className="mr-2 first-letter:uppercase">{codeWords(c.stage)}</b>
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

function KnowIt({ plant }: { plant: Plant }) {
  return (
    <>
      <PlantPicture
        plant={plant}
        insets
        large
        label={say('{{commonName}}, drawn without its flower', { commonName: plant.commonName })}
        className="mx-auto mt-2 w-full max-w-[30rem]"
      />
      <InHandLater key={plant.id} plant={plant} />
      <LookOrder plant={plant} />
    </>
  )
}

function WhereWorth({ plant }: { plant: Plant }) {
  return (
    <>
      <WhenWhere plant={plant} />
      {plant.worth ? (
        <section className="mt-5">
          <h2 className="text-xl">{say('Worth')}</h2>
          <p>{plant.worth}</p>
        </section>
      ) : null}
      <p className="mt-5 text-ink-soft">{say('Sources: {{sources}}.', { sources: plant.sources.join('; ') })}</p>
    </>
  )
}

const chapterIds = ['know', 'taken-for', 'harm', 'do', 'where', 'seen'] as const
type ChapterId = (typeof chapterIds)[number]
const chapters: Record<ChapterId, { Told: ComponentType<{ plant: Plant }>; name: () => string }> = {
  know: { Told: KnowIt, name: () => say('Know it') },
  'taken-for': { Told: Lookalikes, name: () => say('Taken for it') },
  harm: { Told: Harm, name: () => say('Harm') },
  do: { Told: Control, name: () => say('Do') },
  where: { Told: WhereWorth, name: () => say('Where and when') },
  seen: { Told: SeenByUs, name: () => say('Seen by us') },
}

/** What a chapter says in a few words. */
const answerOf = (id: ChapterId, plant: Plant): string | undefined =>
  id === 'harm' && plant.harm.length > 0 ? codesListed([...new Set(plant.harm.flatMap((h) => h.who))]) : undefined

/** A plant of the book, chapter by chapter, beside the list it stands in. */
export function PlantView({ plant }: { plant: Plant }) {
  const { chapter = '' } = useParams()
  const here = chapterIds.filter((id) => id !== 'do' || plant.control.length > 0)
  const now = here.find((id) => id === chapter) ?? 'know'
  const { Told } = chapters[now]
  return (
    <TwoPane
      names={{ left: say('Plant book'), right: plant.commonName }}
      tip={{ label: say('Name one on the bench'), to: '/bench' }}
      nodes={NO_NODES}
      chapters={here.map((id) => {
        const detail = answerOf(id, plant)
        return {
          id,
          label: chapters[id].name(),
          ...(detail ? { detail } : {}),
          to: `/plants/${plant.id}${id === 'know' ? '' : `/${id}`}`,
          current: id === now,
        }
      })}
      first="right"
      left={<BookList chosen={plant.id} />}
      right={
        <>
          <div className="flex justify-between gap-3">
            <div>
              <PlantHead plant={plant} />
            </div>
            {now === 'know' ? null : <PlantPicture plant={plant} className="size-28 shrink-0 object-contain" />}
          </div>
          <PanelBoundary key={now} name={chapters[now].name()}>
            <Told plant={plant} />
          </PanelBoundary>
        </>
      }
    />
  )
}

const NO_NODES: never[] = []
