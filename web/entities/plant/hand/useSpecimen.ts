import { useEffect, useRef, useState } from 'react'
import type { Gesture } from '@/core/likeness/closeUp.ts'
import type { Specimen } from '@/core/likeness/specimenOf.ts'
import { say } from '../../../language/say.ts'
import { specimenScene, type SpecimenScene } from '../../../likeness/specimenScene.ts'
import { likenessWorker } from '../../../workers/likenessWorker.ts'
import type { Wanted } from '../../../workers/likeness.worker.ts'

/** Pixels a side that a specimen is drawn with at most, on a screen of whatever density. */
const MOST_PIXELS = 900

/** What is in the hand; the same object as long as it is the same specimen. */
export type Held = Pick<Wanted, 'form' | 'traits' | 'seed'>

/** A specimen built beside the page and set up on a canvas; where the browser draws nothing in space, why there is none. */
export function useSpecimen(held: Held, gesture: Gesture | undefined) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [shown, setShown] = useState<{ scene: SpecimenScene; specimen: Specimen }>()
  const [problem, setProblem] = useState('')
  // What is smelled cannot be seen: the plant stays as it is.
  const part = gesture === 'crush' ? undefined : gesture
  useEffect(() => {
    let gone = false
    let scene: SpecimenScene | undefined
    likenessWorker()
      .build({ ...held, gesture: part })
      .then((specimen) => {
        const on = canvas.current
        if (gone || !on || !specimen) return
        const side = Math.min(MOST_PIXELS, Math.round(on.clientWidth * Math.min(2, devicePixelRatio)))
        scene = specimenScene(on, specimen)
        scene.resize(side, side)
        setShown({ scene, specimen })
      })
      .catch(
        () =>
          void (gone || setProblem(say('This browser draws nothing in three dimensions: the drawing above serves.'))),
      )
    return () => {
      gone = true
      scene?.end()
      setShown(undefined)
    }
  }, [held, part])
  return { canvas, problem, scene: shown?.scene, specimen: shown?.specimen }
}
