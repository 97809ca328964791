import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'
import { gesturesFor, type Gesture } from '@/core/likeness/closeUp.ts'
import { say } from '../../../language/say.ts'
import { firstLook, type Look, type SpecimenScene } from '../../../likeness/specimenScene.ts'
import { gestureNames, shownWords } from './handWords.ts'
import { useSpecimen, type Held } from './useSpecimen.ts'
import { TURN, useTurning } from './useTurning.ts'

const button = 'min-h-11 shrink-0 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15'
/** On a phone the looks are one row that is pushed along, so that what is asked stays in sight under it. */
const inOneRow =
  'flex flex-wrap items-end gap-2 max-[900px]:-mx-4 max-[900px]:flex-nowrap max-[900px]:overflow-x-auto max-[900px]:px-4 max-[900px]:pb-1'
const LENS_PIXELS = 220

/** What is done to a specimen to see more of it. */
export type HandLook = 'turn' | 'lens' | 'sky' | 'pull' | Gesture

interface Props {
  held: Held
  /** What a screen reader calls it. */
  label: string
  /** The words of a character of it. */
  of: (character: string) => string
  /** Each look at it, as it is taken. */
  onLook?: (look: HandLook) => void
  /** Looks that this specimen does not allow: one without roots is not pulled up. */
  without?: readonly HandLook[]
  children?: ReactNode
}

/** A specimen in the hand: turned, looked at through a lens, held to the sky, pulled up, bent, slit, cut, snapped, crushed. */
export function Hand({ held, label, of, onLook, without = [], children }: Props) {
  const [lens, setLens] = useState(false)
  const [doing, setDoing] = useState<{ of: Held; gesture: Gesture }>()
  const gesture = doing?.of === held ? doing.gesture : undefined
  const { scene, canvas, problem, specimen } = useSpecimen(held, gesture)
  const { look, turn, at, on } = useTurning(specimen, lens)
  const glass = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    if (!scene || !look) return
    const frame = requestAnimationFrame(() => drawn(scene, look, lens ? at : undefined, glass.current))
    return () => cancelAnimationFrame(frame)
  }, [scene, look, lens, at])
  const possible = gesturesFor(held.traits).filter((g) => !without.includes(g))
  const doGesture = (g: Gesture) => {
    setDoing(gesture === g ? undefined : { of: held, gesture: g })
    if (gesture !== g) onLook?.(g)
  }
  const onKeyDown = (e: KeyboardEvent) => {
    const asked = possible.find((g) => gestureNames[g].key === e.key)
    if (!asked || e.ctrlKey || e.metaKey || e.altKey) return on.onKeyDown(e)
    e.preventDefault()
    e.stopPropagation()
    doGesture(asked)
  }
  const whole = gesture === undefined || gesture === 'crush'
  return (
    <>
      {problem ? <p className="text-ink-soft">{problem}</p> : null}
      <div className={`relative mt-2 ${problem ? 'hidden' : ''}`}>
        <canvas
          ref={canvas}
          className={`block aspect-square w-full max-w-[min(34rem,44dvh)] max-[900px]:max-w-[36dvh] cursor-grab rounded-2xl border border-rule bg-sheet ${lens ? 'touch-none' : 'touch-pan-y'}`}
          tabIndex={0}
          role="application"
          aria-label={label}
          {...on}
          onKeyDown={onKeyDown}
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
        {look ? shownWords(held.form, of, { look, lens, gesture }) : problem ? '' : say('It is being taken up …')}
      </p>
      <div className={`mt-1 ${inOneRow} ${problem ? 'hidden' : ''}`}>
        <button
          type="button"
          className={button}
          onClick={() => {
            if (look) turn({ yaw: look.yaw + 3 * TURN })
            onLook?.('turn')
          }}
        >
          {say('Turn it')}
        </button>
        <button
          type="button"
          className={button}
          aria-pressed={lens}
          onClick={() => {
            setLens((l) => !l)
            if (!lens) onLook?.('lens')
          }}
        >
          {say('Hand lens')}
        </button>
        {whole ? (
          <>
            <button
              type="button"
              className={button}
              aria-pressed={look?.light === 'sky'}
              onClick={() => {
                if (specimen && look)
                  turn(look.light === 'sky' ? firstLook(specimen) : { light: 'sky', pitch: -0.65, pulled: true })
                if (look?.light !== 'sky') onLook?.('sky')
              }}
            >
              {say('Hold it to the sky')}
            </button>
            {without.includes('pull') ? null : (
              <button
                type="button"
                className={button}
                aria-pressed={look?.pulled === true}
                onClick={() => {
                  turn({ pulled: !look?.pulled })
                  if (!look?.pulled) onLook?.('pull')
                }}
              >
                {say('Pull it up')}
              </button>
            )}
          </>
        ) : null}
        {possible.map((g) => (
          <button
            key={g}
            type="button"
            className={button}
            aria-pressed={gesture === g}
            aria-keyshortcuts={gestureNames[g].key}
            onClick={() => doGesture(g)}
          >
            {gestureNames[g].name}
          </button>
        ))}
        {children}
      </div>
    </>
  )
}

function drawn(
  scene: SpecimenScene,
  look: Look,
  at: readonly [number, number] | undefined,
  glass: HTMLCanvasElement | null,
): void {
  if (at && glass) scene.lens(look, at, glass)
  else scene.draw(look)
}
