import { Link, useLoaderData, type LoaderFunctionArgs } from 'react-router'
import { drawState } from '@/core/drawing/drawState.ts'
import { standingCautions } from '@/core/harm/standingCautions.ts'
import type { Plant } from '@/core/naming/flora.ts'
import { send } from '../api/client.ts'
import { TypicalPart } from '../bench/TypicalPart.tsx'
import { usualState, usualWords } from '../bench/usualState.ts'
import { DrawingView } from '../parts/DrawingView.tsx'
import { Leaf } from '../parts/Leaf.tsx'
import { characterTitle, stateWords } from '../parts/words.ts'
import { useFlora } from '../stores/floraStore.ts'

export const loader = ({ params }: LoaderFunctionArgs): Promise<Plant> =>
  send<Plant>('GET', `/api/plants/${encodeURIComponent(params.id!)}`)

function Characters({ plant }: { plant: Plant }) {
  const characters = useFlora((s) => s.characters)
  const coded = characters.filter((c) => plant.characters[c.id])
  const drawn = coded.flatMap((c) => {
    const state = usualState(plant, c.id, 'vegetative')
    const drawing = state ? drawState(c.id, state) : undefined
    return drawing && c.id !== 'life.form' ? [{ c, drawing }] : []
  })
  return (
    <>
      <ul className="mt-4 grid grid-cols-[repeat(auto-fill,minmax(7rem,1fr))] gap-2">
        {drawn.map(({ c, drawing }) => (
          <li key={c.id} className="rounded-xl border border-rule bg-sheet p-2 text-center leading-tight">
            <DrawingView drawing={drawing} className="mx-auto size-20" />
            <b className="block text-sm">{c.title}</b>
            <span className="text-sm text-ink-soft">{usualWords(plant, c.id, 'vegetative')}</span>
          </li>
        ))}
      </ul>
      <dl className="mt-4 grid grid-cols-[minmax(8rem,max-content)_1fr] gap-x-4">
        {coded
          .filter((c) => !drawn.some((d) => d.c.id === c.id))
          .map((c) => (
            <div key={c.id} className="col-span-2 grid grid-cols-subgrid border-b border-rule/50 py-1">
              <dt className="text-ink-soft">{c.title}</dt>
              <dd>{usualWords(plant, c.id, 'vegetative')}</dd>
            </div>
          ))}
      </dl>
    </>
  )
}

/** A plant: how to know it without a flower on the left, what follows from knowing it on the right. */
export function Component() {
  const plant = useLoaderData<typeof loader>()
  const { byId, characters } = useFlora()
  return (
    <Leaf
      names={{ left: 'How to know it', right: 'What it means' }}
      tip={{ label: 'Name one on the bench', to: '/bench' }}
      nodes={[{ id: 'book', label: 'Plant book', detail: plant.family }]}
      left={
        <>
          <div className="flex items-center gap-4">
            <TypicalPart plant={plant} className="size-24 shrink-0" />
            <div>
              <h1 className="text-[1.9rem]">{plant.commonName}</h1>
              <p>
                <i className="font-plant">{plant.scientificName}</i> {plant.author}, {plant.family}
              </p>
              <p className="text-ink-soft">
                {plant.cycle} {plant.form === 'grass' ? `${plant.season}-season grass` : stateWords(plant.form)}
                {plant.alsoCalled.length > 0 ? `; also ${plant.alsoCalled.join(', ')}` : ''}
              </p>
            </div>
          </div>
          <Characters plant={plant} />
        </>
      }
      right={
        <>
          {plant.harm.length > 0 ? (
            <section className="rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-4">
              <h2 className="text-xl text-harm">{plant.role === 'toxic' ? 'Harmful' : 'Cautions'}</h2>
              {plant.harm.map((h) => (
                <p key={h.kind} className="mt-1">
                  <b>
                    {h.who.join(', ')}: {h.kind}.
                  </b>{' '}
                  {h.note}
                </p>
              ))}
              <p className="mt-2 text-sm">{standingCautions[0]}</p>
            </section>
          ) : null}
          <section className="mt-5">
            <h2 className="text-xl">Taken for it</h2>
            <ul>
              {plant.lookalikes.map((l) => (
                <li key={l.plant} className="border-b border-rule/60 py-2">
                  <Link to={`/plants/${l.plant}`} className="font-plant text-lg font-semibold hover:underline">
                    {byId.get(l.plant)?.commonName}
                  </Link>
                  <span className="ml-2 text-ink-soft">
                    decide by: {characterTitle(characters, l.check).toLowerCase()}
                  </span>
                  <p>{l.why}</p>
                </li>
              ))}
              {plant.lookalikes.length === 0 ? <li>No look-alike is recorded yet.</li> : null}
            </ul>
          </section>
          {plant.worth ? (
            <section className="mt-5">
              <h2 className="text-xl">Worth</h2>
              <p>{plant.worth}</p>
            </section>
          ) : null}
          <p className="mt-5 text-ink-soft">Sources: {plant.sources.join('; ')}.</p>
        </>
      }
    />
  )
}
