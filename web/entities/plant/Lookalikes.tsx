import { inSentence } from '@/text/say.ts'
import { Link } from 'react-router'
import { drawState } from '@/core/drawing/drawState.ts'
import { partToScale } from '@/core/drawing/sizeDrawing.ts'
import { cellAt, type Plant } from '@/core/flora/flora.ts'
import { usualState, usualWords } from './usualState.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { Terms } from '../../parts/Terms.tsx'
import { say } from '../../language/say.ts'

/** One plant at one look: its usual state drawn, or its usual size to scale. */
export function OneLook({ plant, check, name }: { plant: Plant; check: string; name: boolean }) {
  const cell = cellAt(plant, check, 'vegetative')
  const state = usualState(plant, check, 'vegetative')
  const drawing =
    cell?.kind === 'range'
      ? partToScale(check, (cell.typical[0] + cell.typical[1]) / 2)
      : state && drawState(check, state)
  return (
    <figure className="rounded-xl border border-rule bg-sheet p-2 text-center leading-tight">
      {drawing ? <DrawingView drawing={drawing} className="mx-auto size-24" /> : null}
      <figcaption>
        {name ? <b className="block font-plant">{plant.commonName}</b> : null}
        <span className="text-ink-soft">{usualWords(plant, check, 'vegetative')}</span>
      </figcaption>
    </figure>
  )
}

/** So many stand open; harmful ones come first. */
const OPEN = 3

/** What it is taken for, each with the deciding check drawn side by side. */
export function Lookalikes({ plant }: { plant: Plant }) {
  const { byId, characters, plants } = useFlora()
  const own = plant.lookalikes.map((l) => ({ ...l, other: byId.get(l.plant) }))
  const theirs = plants
    .flatMap((p) => p.lookalikes.filter((l) => l.plant === plant.id).map((l) => ({ ...l, other: p })))
    .filter((l) => !own.some((o) => o.other?.id === l.other.id))
  const all = [...own, ...theirs]
    .flatMap((l) => (l.other ? [{ ...l, other: l.other }] : []))
    .sort((a, b) => Number(b.other.role === 'toxic') - Number(a.other.role === 'toxic'))
  const looksOf = (...ids: (string | undefined)[]) =>
    ids.flatMap((id) => (id ? [inSentence(characterTitle(characters, id))] : [])).join(say(' and '))
  return (
    <section className="mt-5">
      <h2 className="text-xl">{say('Taken for it')}</h2>
      {all.length === 0 ? <p>{say('No look-alike is recorded yet.')}</p> : null}
      <ul>
        {all.map(({ other, check, and, undecided, why }, i) => (
          <li key={other.id} className="border-b border-rule/60">
            <details open={i < OPEN}>
              <summary className="min-h-12 py-2.5">
                <span className="font-plant text-lg font-semibold">{other.commonName}</span>
                {other.role === 'toxic' ? <b className="ml-2 text-harm">{say('harmful')}</b> : null}
                <span className="block text-ink-soft">
                  {undecided
                    ? say('No look decides before flower or fruit. Of some help: {{looks}}', {
                        looks: looksOf(check, and),
                      })
                    : and
                      ? say('Two looks together decide: {{looks}}', { looks: looksOf(check, and) })
                      : say('Decide by: {{characterTitle}}', { characterTitle: looksOf(check) })}
                </span>
              </summary>
              <div className="grid grid-cols-2 gap-2 @md:grid-cols-4">
                <OneLook plant={plant} check={check} name />
                <OneLook plant={other} check={check} name />
                {and ? (
                  <>
                    <OneLook plant={plant} check={and} name={false} />
                    <OneLook plant={other} check={and} name={false} />
                  </>
                ) : null}
              </div>
              <p className="mt-1">
                <Terms>{why}</Terms>
              </p>
              <p className="flex gap-5">
                <Link to={`/compare?plants=${plant.id},${other.id}`} className="flex min-h-11 items-center underline">
                  {say('Compare the two')}
                </Link>
                <Link to={`/plants/${other.id}`} className="flex min-h-11 items-center underline">
                  {say('Its page in the book')}
                </Link>
              </p>
            </details>
          </li>
        ))}
      </ul>
    </section>
  )
}
