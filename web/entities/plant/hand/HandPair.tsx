import { useEffect } from 'react'
import type { Gesture } from '@/core/likeness/closeUp.ts'
import { say } from '../../../language/say.ts'
import { useSpecimen, type Held } from './useSpecimen.ts'
import { TURN, useTurning } from './useTurning.ts'

interface Side {
  held: Held
  name: string
}

/** Two specimens side by side, turned together; with a gesture both show the part it shows. */
export function HandPair({ left, right, gesture }: { left: Side; right: Side; gesture?: Gesture | undefined }) {
  const { canvas, problem, scene, specimen } = useSpecimen(left.held, gesture)
  const { canvas: otherCanvas, scene: otherScene, specimen: otherSpecimen } = useSpecimen(right.held, gesture)
  const turning = useTurning(specimen, false)
  const beside = useTurning(otherSpecimen, false)
  const { look } = turning
  const otherLook = beside.look
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      if (look) scene?.draw(look)
      // Each from its own height, turned as far as the first.
      if (look && otherLook) otherScene?.draw({ ...otherLook, yaw: look.yaw, zoom: look.zoom })
    })
    return () => cancelAnimationFrame(frame)
  }, [scene, otherScene, look, otherLook])
  if (problem) return null
  const pane = 'block aspect-square w-full rounded-xl border border-rule bg-sheet touch-pan-y'
  return (
    <div className="mt-2 grid max-w-3xl grid-cols-2 gap-2">
      <figure className="text-center">
        <canvas
          ref={canvas}
          className={pane}
          tabIndex={0}
          role="application"
          aria-label={say(
            '{{name}} in three dimensions. Arrow keys turn it, plus and minus bring it nearer and farther.',
            {
              name: left.name,
            },
          )}
          {...turning.on}
        />
        <figcaption className="font-plant font-semibold">{left.name}</figcaption>
      </figure>
      <figure className="text-center">
        <canvas ref={otherCanvas} className={pane} role="img" aria-label={right.name} {...turning.on} />
        <figcaption className="font-plant font-semibold">{right.name}</figcaption>
      </figure>
      <button
        type="button"
        className="col-span-2 min-h-11 justify-self-center rounded-xl border border-rule px-4"
        onClick={() => look && turning.turn({ yaw: look.yaw + 2 * TURN })}
      >
        {say('Turn both')}
      </button>
    </div>
  )
}
