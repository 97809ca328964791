import { localPlane } from '@/core/geo/localPlane.ts'
import type { Position } from '@/core/geo/route.ts'
import { say } from '../language/say.ts'

export interface Fix {
  position: Position
  /** Radius within which the place lies in 95 of 100 cases, metres. */
  accuracyM: number
}

/** Where one stands, from whatever can tell. */
export interface PositionSource {
  name: string
  simulated: boolean
  /** Tells each fix until it is stopped. */
  watch: (onFix: (fix: Fix) => void, onProblem: (message: string) => void) => () => void
}

/** The browser's own position, where the person allows it. */
export const browserPosition: PositionSource = {
  get name() {
    return say('this device')
  },
  simulated: false,
  watch: (onFix, onProblem) => {
    if (!('geolocation' in navigator)) {
      onProblem(say('This browser cannot tell where it is. Walk by the map.'))
      return () => undefined
    }
    const id = navigator.geolocation.watchPosition(
      ({ coords }) => onFix({ position: [coords.longitude, coords.latitude], accuracyM: coords.accuracy }),
      (error) =>
        onProblem(
          error.code === error.PERMISSION_DENIED
            ? say('The position of this device is not allowed here. Walk by the map, or use the simulated one.')
            : say('No position just now. Walk by the map.'),
        ),
      { enableHighAccuracy: true, maximumAge: 2000 },
    )
    return () => navigator.geolocation.clearWatch(id)
  },
}

const STEP_MS = 500
/** Metres a step: brisk, so that a demonstration does not take an afternoon. */
const STEP_M = 6

/**
 * A walker that goes to where it is sent, with the error of a cheap receiver. It stands in for a GPS where there is none.
 *
 * @param target where to go now
 */
export function simulatedPosition(from: Position, target: () => Position | null, random = Math.random): PositionSource {
  return {
    name: say('simulated GPS'),
    simulated: true,
    watch: (onFix) => {
      let here = from
      const tell = () => {
        const plane = localPlane(here)
        const goal = target()
        if (goal) {
          const [e, n] = plane.toMetres(goal)
          const far = Math.hypot(e, n)
          const share = far > STEP_M ? STEP_M / far : 1
          here = plane.toPosition([e * share, n * share])
        }
        const blur = (): number => (random() + random() + random() - 1.5) * 2
        onFix({ position: localPlane(here).toPosition([blur(), blur()]), accuracyM: 4 })
      }
      tell()
      const timer = window.setInterval(tell, STEP_MS)
      return () => window.clearInterval(timer)
    },
  }
}
