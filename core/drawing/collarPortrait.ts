import type { Plant, Stage } from '../flora/flora.ts'
import { along, brush, closed, smoothClosed, straight, type Drawing, type Mark, type Point } from './mark.ts'
import type { Traits } from './portrait/portrait.ts'
import { usualTraits } from '../flora/traits.ts'

/** Drawing units to a millimetre: every portrait is to this one scale, so that a fine grass looks fine. */
const COLLAR_PER_MM = 4.6
const JOINT = 56

const hairs = (half: number, from: number, long: number): Drawing => {
  const count = Math.max(5, Math.round(half / 1.6))
  return Array.from({ length: count }, (_, i) => {
    const x = 50 - half + (2 * half * i) / (count - 1)
    const lean = (x - 50) * 0.08 + ((i % 3) - 1)
    return brush(
      [[x, from], [x + lean * 0.5, from - long * 0.6], [x + lean, from - long]],
      [1.3, 1, 0.4],
    )
  })
}

const tops: Record<string, Point[]> = {
  'flat-topped': [[-1, 1], [1, 1]],
  rounded: [[-1, 0.45], [-0.6, 0.85], [0, 1], [0.6, 0.85], [1, 0.45]],
  pointed: [[-1, 0.3], [-0.4, 0.6], [0, 1], [0.4, 0.6], [1, 0.3]],
  ragged: [[-1, 0.6], [-0.75, 0.9], [-0.55, 0.62], [-0.2, 1], [0, 0.66], [0.3, 0.95], [0.55, 0.6], [0.8, 0.86], [1, 0.55]],
  'toothed-or-notched': [[-1, 0.5], [-0.78, 0.95], [-0.6, 0.6], [-0.3, 0.92], [0, 1], [0.3, 0.92], [0.6, 0.6], [0.78, 0.95], [1, 0.5]],
}

function ligule(type: string, half: number, heightUnits: number, shape: string): Drawing {
  if (type === 'absent') return []
  if (type === 'hairs') return hairs(half, JOINT, Math.max(5, heightUnits))
  const high = type === 'fringed-membrane' ? heightUnits * 0.6 : heightUnits
  const points = (tops[shape] ?? tops.rounded!).map(([x, y]): Point => [50 + x * half, JOINT - high * y])
  const top = shape === 'rounded' || shape === 'pointed' ? along(points) : points
  const outline = closed([50 - half, JOINT], ...top, [50 + half, JOINT], [50, JOINT + 2])
  const membrane: Mark[] = [{ d: outline, ink: 'paper' }, { d: outline, ink: 'line' }]
  return type === 'fringed-membrane'
    ? [...membrane, ...hairs(half, JOINT - high, Math.max(4, heightUnits * 0.5))]
    : membrane
}

function auricles(kind: string | undefined, half: number): Drawing {
  if (kind !== 'clasping' && kind !== 'short-blunt') return []
  const long = kind === 'clasping' ? Math.min(46 - half, Math.max(9, half * 1.1)) : 4.5
  return [-1, 1].flatMap((s): Drawing => {
    const x = 50 + s * half
    const shape = smoothClosed([
      [x, JOINT - 3],
      [x + s * long * 0.6, JOINT - 1],
      [x + s * long, JOINT + long * 0.55],
      [x + s * long * 0.45, JOINT + 4],
      [x, JOINT + 4],
    ])
    return [{ d: shape, ink: 'leaf' }, { d: shape, ink: 'line' }]
  })
}

function midrib(kind: string | undefined, half: number): Drawing {
  if (kind === 'white-stripe') {
    const w = Math.max(1.6, half * 0.2)
    const stripe = closed([50 - w, JOINT - 2], [50 - w * 0.6, 2], [50 + w * 0.6, 2], [50 + w, JOINT - 2])
    return [{ d: stripe, ink: 'paper' }, { d: stripe, ink: 'fine' }]
  }
  if (kind === 'double-line')
    return [-1.1, 1.1].map((x) => ({ d: straight([50 + x, JOINT], [50 + x, 4]), ink: 'line' as const }))
  if (kind === 'single-keel')
    return [
      brush(
        [[50, JOINT], [50, 30], [50, 3]],
        [2.2, 1.8, 1],
      ),
    ]
  return [-0.5, 0, 0.5].map((x) => ({
    d: straight([50 + x * half, JOINT], [50 + x * half * 0.75, 4]),
    ink: 'fine' as const,
  }))
}

/**
 * The leaf joint of a grass laid open, put together from its traits and to scale: blade width, ligule height and top,
 * claws, midrib.
 *
 * @param perMm drawing units to a millimetre; one scale for all plants unless said otherwise
 * @returns undefined while the width of the blade is not known
 */
export function collarOf({ states, sizes }: Traits, perMm = COLLAR_PER_MM): Drawing | undefined {
  const width = sizes['blade.width']
  if (width === undefined) return undefined
  const half = Math.min(34, Math.max(1.4, (width * perMm) / 2))
  const tall = Math.min(46, Math.max(1.6, (sizes['ligule.height'] ?? 0) * perMm))
  const narrow = half * 0.74
  const sheath = closed([50 - half, JOINT], [50 - half * 0.92, 99], [50 + half * 0.92, 99], [50 + half, JOINT])
  const blade = closed([50 - half, JOINT], [50 - narrow, 2], [50 + narrow, 2], [50 + half, JOINT])
  return [
    { d: blade, ink: 'leaf' },
    { d: sheath, ink: 'leafDark' },
    ...midrib(states['blade.midrib'], half),
    ...[-1, 1].flatMap((s) => [
      brush([[50 + s * half, JOINT], [50 + s * half * 0.88, 30], [50 + s * narrow, 2]], [2, 1.8, 1]),
      brush([[50 + s * half, JOINT], [50 + s * half * 0.96, 80], [50 + s * half * 0.92, 99]], [2, 1.8, 1.4]),
    ]),
    ...ligule(states['ligule.type'] ?? 'absent', half - 0.6, tall, states['ligule.shape'] ?? 'rounded'),
    ...auricles(states['auricles'], half),
    brush([[50 - half, JOINT], [50, JOINT + 2], [50 + half, JOINT]], [1.8, 2.2, 1.8]),
  ]
}

/** The collar of a grass as it mostly is; undefined for other plants. */
export const collarPortrait = (plant: Plant, stage: Stage): Drawing | undefined => (plant.form === 'grass' ? collarOf(usualTraits(plant, stage)) : undefined)
