import { drawState } from '@/core/drawing/drawState.ts'
import type { Drawing } from '@/core/drawing/mark.ts'
import { cellAt, type Character, type Plant } from '@/core/flora/flora.ts'
import { usualState, usualWords } from '../../entities/plant/usualState.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

/** How many of its kind look the same there: the fewer, the more the look says. */
function commonness(plant: Plant, character: Character, plants: Plant[]): number {
  const mine = usualState(plant, character.id, 'vegetative')
  const kin = plants.filter((p) => p.form === plant.form && cellAt(p, character.id, 'vegetative')?.kind === 'states')
  const same = kin.filter((p) => usualState(p, character.id, 'vegetative') === mine).length
  const cell = cellAt(plant, character.id, 'vegetative')
  const word = cell?.kind === 'states' && mine ? cell.words[mine] : undefined
  const steady = word === 'always' || word === 'usually' ? 1 : 0.55
  return same / Math.max(1, kin.length) / steady
}

const FIRST = 8

/** How to know a plant without its flower: what says most among its kind first, the rest folded away. */
export function LookOrder({ plant }: { plant: Plant }) {
  const { characters, plants } = useFlora()
  const coded = characters.filter((c) => plant.characters[c.id] && c.part !== 'when-lucky')
  const lucky = characters.filter((c) => plant.characters[c.id] && c.part === 'when-lucky')
  const told = coded
    .flatMap((c) => {
      const state = usualState(plant, c.id, 'vegetative')
      return state ? [{ c, state, common: commonness(plant, c, plants) }] : []
    })
    .sort((a, b) => a.common - b.common)
  // Only those that are shown are drawn.
  const first: { c: Character; drawing: Drawing }[] = []
  for (const { c, state } of told) {
    const drawing = drawState(c.id, state)
    if (drawing) first.push({ c, drawing })
    if (first.length === FIRST) break
  }
  const rest = [...coded.filter((c) => !first.some((d) => d.c.id === c.id)), ...lucky]
  return (
    <>
      <h2 className="mt-5 text-xl">{say('How to know it without a flower')}</h2>
      <p className="text-ink-soft">{say('What says most among its kind comes first.')}</p>
      <ol className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(8.4rem,1fr))] gap-2">
        {first.map(({ c, drawing }, i) => (
          <li key={c.id} className="relative rounded-xl border border-rule bg-sheet p-2 text-center leading-tight">
            <span className="absolute top-1 left-2 font-bold text-ink-soft">{i + 1}</span>
            <DrawingView drawing={drawing} className="mx-auto size-24" />
            <b className="block">{c.title}</b>
            <span className="text-ink-soft">{usualWords(plant, c.id, 'vegetative')}</span>
          </li>
        ))}
      </ol>
      <details className="mt-3">
        <summary className="min-h-11 py-2 font-semibold">
          {say('All {{n}} characters of it', { n: rest.length + first.length })}
        </summary>
        <dl className="grid grid-cols-[minmax(8rem,max-content)_1fr] gap-x-4">
          {rest.map((c) => (
            <div key={c.id} className="col-span-2 grid grid-cols-subgrid border-b border-rule/50 py-1">
              <dt className="text-ink-soft">{c.title}</dt>
              <dd>{usualWords(plant, c.id, 'vegetative')}</dd>
            </div>
          ))}
        </dl>
      </details>
    </>
  )
}
