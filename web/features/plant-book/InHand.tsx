import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { usualWords } from '../../entities/plant/usualState.ts'
import { say, word } from '../../language/say.ts'
import { Labelled, inputClass } from '../../parts/Labelled.tsx'
import { seedOf } from '../../parts/PlantDrawing.tsx'
import { firstLook, type Look, type SpecimenScene } from '../../likeness/specimenScene.ts'
import { useSpecimen } from './useSpecimen.ts'

const button = 'min-h-11 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15'
const TURN = Math.PI / 12
const LENS_PIXELS = 220

/** Ages a plant of the book has states of its own for, and the one it is mostly met at. */
const stagesOf = (plant: Plant): Stage[] => {
  const own = Object.keys(plant.stages) as Stage[]
  return ['vegetative' as Stage, ...own.filter((s) => s === 'seedling' || s === 'mown')]
}

/** What a gesture shows, in words: the page tells it to those who do not see it. */
function saysOf(plant: Plant, stage: Stage, look: Look, lens: boolean): string {
  const of = (character: string) => usualWords(plant, character, stage)
  if (lens) return say('Through the hand lens, ten times nearer: move it with the pointer or the arrow keys.')
  if (look.light === 'sky')
    return say('Held to the sky: light comes through the leaves. Veins: {{veins}}. Hairs above: {{hairs}}.', {
      veins:
        plant.form === 'grass' ? of('blade.ribs') : plant.form === 'legume' ? of('leaflet.veins') : of('leaf.veins'),
      hairs: of('hairs.upper'),
    })
  if (look.pulled) return say('Pulled up. Roots: {{roots}}. Tug: {{tug}}.', { roots: of('root.kind'), tug: of('tug') })
  return say('Stands in the light. Growth: {{habit}}, {{posture}}.', { habit: of('habit'), posture: of('posture') })
}

/** The plant as it would lie in the hand: turned, looked at through a lens, held to the sky, pulled up. */
export function InHand({ plant }: { plant: Plant }) {
  const [stage, setStage] = useState<Stage>('vegetative')
  const [number, setNumber] = useState(0)
  const { scene: open, canvas, problem, specimen } = useSpecimen(plant, stage, seedOf(`${plant.id}${number}`))
  const [moved, setMoved] = useState<{ of: object; look: Look }>()
  const [lens, setLens] = useState(false)
  const [at, setAt] = useState<readonly [number, number]>([0.5, 0.5])
  const glass = useRef<HTMLCanvasElement>(null)
  const from = useRef<{ x: number; y: number; look: Look }>(undefined)
  const look = specimen ? (moved?.of === specimen ? moved.look : firstLook(specimen)) : undefined
  const turn = (patch: Partial<Look>) => {
    if (specimen && look) setMoved({ of: specimen, look: { ...look, ...patch } })
  }
  useEffect(() => {
    if (!open || !look) return
    const frame = requestAnimationFrame(() => drawn(open, look, lens ? at : undefined, glass.current))
    return () => cancelAnimationFrame(frame)
  }, [open, look, lens, at])
  const onKey = (e: KeyboardEvent) => {
    if (!look) return
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key]
    if (by && lens) setAt(([x, y]) => [clamp(x + by[0]! * 0.03, 0, 1), clamp(y - by[1]! * 0.03, 0, 1)])
    else if (by) turn({ yaw: look.yaw - by[0]! * TURN, pitch: clamp(look.pitch + by[1]! * 0.15, -0.3, 1.5) })
    else if (e.key === '+' || e.key === '=') turn({ zoom: Math.min(8, look.zoom * 1.25) })
    else if (e.key === '-') turn({ zoom: Math.max(0.6, look.zoom / 1.25) })
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const place = (e: PointerEvent<HTMLCanvasElement>): [number, number] => {
    const box = e.currentTarget.getBoundingClientRect()
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height]
  }
  const onDown = (e: PointerEvent<HTMLCanvasElement>) => {
    if (!look) return
    e.currentTarget.setPointerCapture(e.pointerId)
    from.current = { x: e.clientX, y: e.clientY, look }
  }
  const onMove = (e: PointerEvent<HTMLCanvasElement>) => {
    if (lens) setAt(place(e))
    const start = from.current
    if (!start || lens) return
    turn({
      yaw: start.look.yaw - (e.clientX - start.x) * 0.01,
      pitch: clamp(start.look.pitch + (e.clientY - start.y) * 0.006, -0.3, 1.5),
    })
  }
  const stages = stagesOf(plant)
  return (
    <section className="mt-4" aria-labelledby="in-hand">
      <h2 id="in-hand" className="text-xl">
        {say('In the hand')}
      </h2>
      {problem ? <p className="text-ink-soft">{problem}</p> : null}
      <div className={`relative mt-2 ${problem ? 'hidden' : ''}`}>
        <canvas
          ref={canvas}
          className={`block aspect-square w-full max-w-[34rem] cursor-grab rounded-2xl border border-rule bg-sheet ${lens ? 'touch-none' : 'touch-pan-y'}`}
          tabIndex={0}
          role="application"
          aria-label={say(
            '{{name}} in three dimensions. Arrow keys turn it, plus and minus bring it nearer and farther.',
            {
              name: plant.commonName,
            },
          )}
          onKeyDown={onKey}
          onPointerDown={onDown}
          onPointerMove={onMove}
          onPointerUp={() => (from.current = undefined)}
          onPointerCancel={() => (from.current = undefined)}
        />
        <canvas
          ref={glass}
          width={LENS_PIXELS}
          height={LENS_PIXELS}
          aria-hidden="true"
          className={`pointer-events-none absolute size-40 -translate-x-1/2 -translate-y-1/2 rounded-full border-4 border-straw bg-sheet ${lens ? '' : 'hidden'}`}
          style={{ left: `min(${at[0] * 100}%, ${at[0] * 34}rem)`, top: `min(${at[1] * 100}%, ${at[1] * 34}rem)` }}
        />
      </div>
      <p role="status" className="mt-1 min-h-6 text-sm text-ink-soft">
        {look ? saysOf(plant, stage, look, lens) : problem ? '' : say('It is being taken up …')}
      </p>
      <div className={`mt-1 flex flex-wrap items-end gap-2 ${problem ? 'hidden' : ''}`}>
        <button type="button" className={button} onClick={() => look && turn({ yaw: look.yaw + 3 * TURN })}>
          {say('Turn it')}
        </button>
        <button type="button" className={button} aria-pressed={lens} onClick={() => setLens((l) => !l)}>
          {say('Hand lens')}
        </button>
        <button
          type="button"
          className={button}
          aria-pressed={look?.light === 'sky'}
          onClick={() =>
            specimen && turn(look?.light === 'sky' ? firstLook(specimen) : { light: 'sky', pitch: -0.65, pulled: true })
          }
        >
          {say('Hold it to the sky')}
        </button>
        <button
          type="button"
          className={button}
          aria-pressed={look?.pulled === true}
          onClick={() => turn({ pulled: !look?.pulled })}
        >
          {say('Pull it up')}
        </button>
        <button type="button" className={button} onClick={() => setNumber((n) => n + 1)}>
          {say('Another specimen')}
        </button>
        {stages.length > 1 ? (
          <Labelled label={say('Age')}>
            {(id) => (
              <select id={id} value={stage} onChange={(e) => setStage(e.target.value as Stage)} className={inputClass}>
                {stages.map((s) => (
                  <option key={s} value={s}>
                    {word(s)}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
        ) : null}
      </div>
      <p className="mt-1 text-sm text-ink-soft">
        {say(
          'Built from the coded states, at their true sizes; proportions that nobody has coded are what is usual for such plants. It is no photograph.',
        )}
      </p>
    </section>
  )
}

const clamp = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x))

function drawn(
  scene: SpecimenScene,
  look: Look,
  at: readonly [number, number] | undefined,
  glass: HTMLCanvasElement | null,
): void {
  if (at && glass) scene.lens(look, at, glass)
  else scene.draw(look)
}
