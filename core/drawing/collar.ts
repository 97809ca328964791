import { along, brush, closed, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'

/** The leaf joint laid open, seen from the inside: blade above, sheath below, the ligule standing between. */
const JOINT = 60
const [LEFT, RIGHT] = [27, 73]

function openedLeaf(): Drawing {
  const veins = [35, 42.5, 50, 57.5, 65]
  return [
    { d: closed([LEFT, JOINT], [33, 2], [67, 2], [RIGHT, JOINT]), ink: 'leaf' },
    { d: closed([LEFT, JOINT], [30, 99], [70, 99], [RIGHT, JOINT]), ink: 'leafDark' },
    ...veins.map((x) => ({ d: straight([x, JOINT - 2], [50 + (x - 50) * 0.72, 3]), ink: 'fine' as const })),
    ...veins.map((x) => ({ d: straight([x, JOINT + 5], [50 + (x - 50) * 0.85, 98]), ink: 'fine' as const })),
    brush([[LEFT, JOINT], [30, 30], [33, 2]], [2.6, 2, 1]),
    brush([[RIGHT, JOINT], [70, 30], [67, 2]], [2.6, 2, 1]),
    brush([[LEFT, JOINT], [29, 80], [30, 99]], [2.6, 2, 1.4]),
    brush([[RIGHT, JOINT], [71, 80], [70, 99]], [2.6, 2, 1.4]),
  ]
}

const jointLine = (): Drawing => [brush([[LEFT, JOINT], [50, JOINT + 3], [RIGHT, JOINT]], [2, 2.6, 2])]

const hairs = (from: number, long: number, count: number): Drawing =>
  Array.from({ length: count }, (_, i) => {
    const x = LEFT + 2 + ((RIGHT - LEFT - 4) * i) / (count - 1)
    const lean = (i % 3) - 1 + (x - 50) * 0.06
    const h = long * (0.85 + 0.15 * ((i * 7) % 5) / 4)
    return brush([[x, from], [x + lean * 0.5, from - h * 0.6], [x + lean * 1.3, from - h]], [1.5, 1.1, 0.4])
  })

/** A membrane with its upper edge through the given points: a smooth one, or one with corners. */
function membrane(top: Point[], corners = false): Drawing {
  const outline: Point[] = [[LEFT + 1, JOINT], ...(corners ? top : along([[LEFT + 1, JOINT], ...top, [RIGHT - 1, JOINT]])), [RIGHT - 1, JOINT], [50, JOINT + 3]]
  return [{ d: closed(...outline), ink: 'paper' }, { d: closed(...outline), ink: 'line' }]
}

export const liguleType: Record<string, () => Drawing> = {
  membrane: () => [...openedLeaf(), ...membrane([[30, 42], [38, 36], [50, 34], [62, 36], [70, 42]]), ...jointLine()],
  'fringed-membrane': () => [...openedLeaf(), ...membrane([[29, 50], [50, 47], [71, 50]]), ...hairs(49, 16, 15), ...jointLine()],
  hairs: () => [...openedLeaf(), ...hairs(JOINT, 24, 17), ...jointLine()],
  absent: () => [...openedLeaf(), ...jointLine()],
}

export const liguleShape: Record<string, () => Drawing> = {
  'flat-topped': () => [...openedLeaf(), ...membrane([[28, 42], [72, 42]], true), ...jointLine()],
  rounded: () => [...openedLeaf(), ...membrane([[30, 46], [38, 37], [50, 33], [62, 37], [70, 46]]), ...jointLine()],
  pointed: () => [...openedLeaf(), ...membrane([[36, 44], [50, 18], [64, 44]]), ...jointLine()],
  ragged: () => [...openedLeaf(), ...membrane([[29, 40], [33, 32], [36, 41], [41, 29], [45, 37], [50, 27], [54, 38], [59, 30], [62, 41], [67, 33], [71, 42]], true), ...jointLine()],
  'toothed-or-notched': () => [...openedLeaf(), ...membrane([[29, 44], [32, 34], [36, 43], [41, 33], [50, 31], [59, 33], [64, 43], [68, 34], [71, 44]], true), ...jointLine()],
}

/**
 * A ligule of a given height beside a strip in millimetres.
 *
 * @param heightMm what is shown
 * @param perMm drawing units to a millimetre
 */
export function liguleToScale(heightMm: number, perMm: number): Drawing {
  const h = Math.min(54, heightMm * perMm)
  return [
    ...openedLeaf(),
    ...membrane([[28, JOINT - h * 0.85], [40, JOINT - h], [60, JOINT - h], [72, JOINT - h * 0.85]], true),
    ...jointLine(),
  ]
}

/** The joint from the front: shoot in the middle, blade leaning away behind, claws coming round. */
function jointFromFront(): Drawing {
  return [
    { d: smoothClosed([[28, 56], [18, 34], [14, 6], [44, 4], [58, 30], [72, 56]]), ink: 'leaf' },
    brush([[28, 56], [18, 34], [13, 4]], [2.4, 2, 0.8]),
    brush([[72, 56], [58, 30], [46, 3]], [2.4, 2, 0.8]),
    { d: smooth([[46, 50], [36, 26], [30, 5]]), ink: 'fine' },
    { d: closed([35, 99], [35, 54], [65, 54], [65, 99]), ink: 'leafDark' },
    { d: closed([40, 54], [43, 4], [62, 4], [60, 54]), ink: 'paper' },
    brush([[40, 54], [42, 30], [44, 3]], [1.8, 1.8, 1]),
    brush([[60, 54], [61, 30], [62, 3]], [1.8, 1.8, 1]),
    brush([[35, 99], [35, 75], [34, 54]], [1.6, 2.6, 2]),
    brush([[65, 99], [65, 75], [66, 54]], [1.6, 2.6, 2]),
    brush([[29, 56], [50, 60], [71, 56]], [2, 3, 2]),
  ]
}

const claw = (points: Point[]): Drawing => [{ d: smoothClosed(points), ink: 'leaf' }, { d: smoothClosed(points), ink: 'line' }]

export const auricles: Record<string, () => Drawing> = {
  absent: () => jointFromFront(),
  'short-blunt': () => [
    ...jointFromFront(),
    ...claw([[33, 52], [27, 53], [25, 60], [30, 66], [36, 62]]),
    ...claw([[67, 52], [73, 53], [75, 60], [70, 66], [64, 62]]),
  ],
  clasping: () => [
    ...jointFromFront(),
    ...claw([[70, 51], [74, 57], [68, 66], [52, 71], [36, 70], [29, 64], [38, 66], [52, 65], [62, 60]]),
    ...claw([[30, 51], [25, 57], [31, 69], [46, 78], [62, 79], [72, 72], [62, 73], [48, 71], [38, 62]]),
  ],
}
