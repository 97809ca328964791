import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { codeWords } from '@/text/codeWords.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import { sizeDrawing } from '@/core/drawing/sizeDrawing.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { PlantDrawingLater } from '../../parts/PlantDrawing.tsx'
import { stateWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const SIZES = [72, 160, 600] as const
/** Ages at which a plant looks otherwise. */
const AGES = ['vegetative', 'seedling', 'mown'] as const
const partNames: Record<string, string> = {
  get form() {
    return say('Stance and spread')
  },
  get 'bud-and-stem'() {
    return say('Bud and stem')
  },
  get collar() {
    return say('Collar and sheath')
  },
  get blade() {
    return say('Blade')
  },
  get 'clover-like'() {
    return say('Clover and kin')
  },
  get 'broad-leaf'() {
    return say('Broad leaf')
  },
  get 'seed-leaves'() {
    return say('Seed leaves')
  },
  get 'below-ground'() {
    return say('Below ground')
  },
  get 'when-lucky'() {
    return say('Head, flower, seed')
  },
  get plants() {
    return say('Whole plants')
  },
}
const choice =
  'min-h-11 rounded-xl border border-rule px-3 aria-[current=true]:bg-culm aria-[current=true]:font-bold aria-[current=true]:text-on-culm'

/** Every drawing there is: the states of each character side by side, sizes to scale, and each plant whole. */
export function Component() {
  const { characters, plants } = useFlora()
  const [query, setQuery] = useSearchParams()
  const [specimen, setSpecimen] = useState(0)
  const size = SIZES.find((s) => s === Number(query.get('size'))) ?? 160
  const part = query.get('part') ?? 'form'
  const stage = AGES.find((a) => a === query.get('stage')) ?? 'vegetative'
  const pick = (key: string, value: string) =>
    setQuery((q) => ({ ...Object.fromEntries(q), [key]: value }), { preventScrollReset: true })
  const here = characters.filter((c) => c.part === part)
  return (
    <main className="mx-auto max-w-[90rem] px-4 pb-16 min-[901px]:px-8">
      <h1 className="text-[1.65rem]">{say('Drawings')}</h1>
      <p className="text-ink-soft">
        {say('Drawn from the same words that name the plants. Sizes are to the scale of their bar.')}
      </p>
      <nav aria-label={say('Part')} className="mt-3 flex flex-wrap gap-2">
        {Object.entries(partNames).map(([id, name]) => (
          <button key={id} type="button" className={choice} aria-current={part === id} onClick={() => pick('part', id)}>
            {name}
          </button>
        ))}
      </nav>
      <div className="mt-2 flex flex-wrap items-center gap-2" role="group" aria-label={say('Size')}>
        {SIZES.map((s) => (
          <button
            key={s}
            type="button"
            className={choice}
            aria-current={size === s}
            onClick={() => pick('size', String(s))}
          >
            {s} px
          </button>
        ))}
        {part === 'plants'
          ? AGES.map((a) => (
              <button
                key={a}
                type="button"
                className={choice}
                aria-current={stage === a}
                onClick={() => pick('stage', a)}
              >
                {codeWords(a)}
              </button>
            ))
          : null}
        {part === 'plants' ? (
          <button type="button" className={choice} onClick={() => setSpecimen((n) => n + 1)}>
            {say('Pull another specimen')}
          </button>
        ) : null}
      </div>
      {here.map((c) => (
        <section key={c.id} className="mt-6">
          <h2 className="text-xl">{c.asks}?</h2>
          <ul className="mt-2 flex flex-wrap gap-3">
            {(c.states ?? []).map((state) => (
              <li key={state} style={{ width: size }} className="text-center text-sm leading-tight">
                <DrawingView
                  drawing={drawState(c.id, state) ?? []}
                  className="w-full rounded-xl border border-rule bg-sheet"
                />
                {stateWords(state)}
              </li>
            ))}
            {(c.states ? [] : [0.25, 0.5, 0.9]).map((share) => {
              const { drawing, mm, bar } = sizeDrawing(c.id, share)
              return (
                <li key={share} style={{ width: size }} className="text-center text-sm leading-tight">
                  <DrawingView drawing={drawing} className="w-full rounded-xl border border-rule bg-sheet" />
                  {say('{{mm}} mm; bar {{bar}}', { mm, bar })}
                </li>
              )
            })}
          </ul>
        </section>
      ))}
      {part === 'plants' ? (
        <ul className="mt-6 flex flex-wrap gap-4">
          {plants.map((p) => (
            <li key={p.id} style={{ width: size * 1.15 }} className="text-center text-sm leading-tight">
              <Link to={`/plants/${p.id}`} className="block hover:underline">
                <PlantDrawingLater
                  plant={p}
                  stage={stage}
                  specimen={specimen}
                  insets={size > 100}
                  className="aspect-square w-full rounded-xl border border-rule bg-sheet p-1"
                />
                {p.commonName}
              </Link>
            </li>
          ))}
        </ul>
      ) : null}
    </main>
  )
}
