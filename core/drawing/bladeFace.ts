import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Mark, type Point, type Tint } from './mark.ts'

/** Whole blades on a bit of sheath, all to one scale. */
const whole = (long: number, half: number): Drawing => {
  const top = 90 - long
  const edge: Point[] = [[50 - half, 90], [50 - half * 1.05, 90 - long * 0.5], [50 - half * 0.6, 90 - long * 0.84], [50, top]]
  const right = edge.map(([x, y]): Point => [100 - x, y]).reverse()
  return [
    { d: closed([44, 99], [44, 88], [56, 88], [56, 99]), ink: 'leafDark' },
    { d: smoothClosed([...edge, ...right.slice(1)]), ink: 'leaf' },
    brush(edge, [1.8, 2.4, 0.8]),
    brush([...right].reverse(), [1.8, 2.4, 0.8]),
    ...(half > 4 ? [{ d: straight([50, 90], [50, top + 8]), ink: 'fine' as const }] : []),
    { d: straight([44, 88], [56, 88]), ink: 'line' },
  ]
}

export const bladeShape: Record<string, () => Drawing> = {
  'thread-like': () => whole(84, 1.2),
  'long-narrow': () => whole(86, 5.5),
  'long-broad': () => whole(86, 15),
  'short-broad': () => whole(44, 16),
}

/** A leaf bent over so that the upper face (above) and the back (below, right) both show. */
function bent(front: Drawing, back: Drawing): Drawing {
  return [
    { d: closed([12, 96], [12, 30], [40, 8], [40, 74]), ink: 'leaf' },
    { d: closed([40, 8], [66, 30], [88, 96], [62, 96], [40, 74]), ink: 'leafDark' },
    ...front,
    ...back,
    { d: closed([12, 96], [12, 30], [40, 8], [40, 74]), ink: 'line' },
    { d: closed([40, 8], [66, 30], [88, 96], [62, 96], [40, 74]), ink: 'line' },
  ]
}
const matt = (left: number): Drawing => Array.from({ length: 12 }, (_, i): Mark => ({ d: circle([left + (i % 3) * 8, 36 + Math.floor(i / 3) * 14 + (i % 2) * 4], 0.8), ink: 'brush' }))
const gleamFront = (): Drawing => [{ d: smoothClosed([[20, 78], [19, 44], [26, 34], [25, 70]]), ink: 'paper' }, { d: smoothClosed([[30, 66], [30, 40], [33, 36], [33, 62]]), ink: 'paper' }]
const gleamBack = (): Drawing => [{ d: smoothClosed([[52, 44], [58, 44], [74, 86], [68, 86]]), ink: 'paper' }, { d: smoothClosed([[50, 60], [53, 60], [62, 84], [59, 84]]), ink: 'paper' }]

export const bladeSheen: Record<string, () => Drawing> = {
  dull: () => bent(matt(17), matt(50)),
  'glossy-back': () => bent(matt(17), gleamBack()),
  'glossy-both': () => bent(gleamFront(), gleamBack()),
  // A bloom that a thumb rubs off.
  waxy: () => bent([{ d: closed([12, 96], [12, 30], [40, 8], [40, 74]), ink: 'silver' }, { d: smoothClosed([[15, 74], [24, 48], [36, 38], [37, 50], [27, 60], [19, 82]]), ink: 'leaf' }, { d: smoothClosed([[15, 74], [24, 48], [36, 38], [37, 50], [27, 60], [19, 82]]), ink: 'dotted' }], [{ d: closed([40, 8], [66, 30], [88, 96], [62, 96], [40, 74]), ink: 'silver' }]),
}

const EDGE = 46
const margin = (over: Drawing, line: Point[] = [[EDGE, 0], [EDGE, 50], [EDGE, 100]]): Drawing => [
  { d: closed([4, 0], ...line, [4, 100]), ink: 'leaf' },
  ...[14, 24, 34].map((x) => ({ d: straight([x, 0], [x, 100]), ink: 'fine' as const })),
  brush(line, [2.4, 2.8, 2.4]),
  ...over,
]

/** The leaf edge through the lens. */
export const bladeEdge: Record<string, () => Drawing> = {
  smooth: () => margin([]),
  'rough-sharp': () => margin(Array.from({ length: 10 }, (_, i) => ({ d: closed([EDGE, 10 + i * 10], [EDGE + 11, 1 + i * 10], [EDGE, 3 + i * 10]), ink: 'brush' as const }))),
  'long-hairs-at-base': () => margin([...[62, 68, 74, 80, 86, 92].map((y, i) => brush([[EDGE, y], [EDGE + 20, y - 6 + i], [EDGE + 42 - (i % 2) * 6, y - 4 + i * 2]], [1.6, 1.3, 0.4])), { d: straight([4, 97], [EDGE + 6, 97]), ink: 'line' }]),
  'bulb-based-hairs': () => margin([12, 34, 56, 78].flatMap((y): Drawing => [{ d: circle([EDGE + 1, y], 5.4), ink: 'hollow' }, { d: circle([EDGE + 1, y], 5.4), ink: 'line' }, brush([[EDGE + 5, y], [EDGE + 24, y - 4], [EDGE + 42, y - 5]], [2.2, 1.4, 0.4])])),
  'one-side-crinkled': () => {
    const wave = Array.from({ length: 21 }, (_, i): Point => [68 + Math.sin(i * 1.9) * 7, i * 5])
    return [{ d: closed([26, 0], ...wave, [26, 100]), ink: 'leaf' }, { d: straight([46, 0], [46, 100]), ink: 'fine' }, brush([[26, 0], [26, 50], [26, 100]], [2.4, 2.8, 2.4]), brush(wave, [2.4, 2.8, 2.4]), ...wave.filter((_, i) => i % 3 === 1).map(([x, y]) => ({ d: smooth([[x - 4, y], [x - 12, y + 2], [x - 17, y]]), ink: 'fine' as const }))]
  },
}

/** A fingertip drawn along the face, seen from the side. */
const stroked = (surface: Drawing): Drawing => [
  { d: closed([2, 74], [98, 74], [98, 92], [2, 92]), ink: 'leaf' },
  { d: straight([2, 92], [98, 92]), ink: 'line' },
  { d: straight([2, 74], [98, 74]), ink: 'line' },
  ...surface,
  { d: smooth([[98, 4], [74, 12], [56, 30], [48, 48], [54, 60], [68, 56], [84, 44], [98, 40]]), ink: 'line' },
  { d: smooth([[56, 34], [50, 46], [55, 54]]), ink: 'fine' },
  brush([[40, 52], [26, 52], [12, 52]], [2, 2, 2]),
  { d: closed([18, 46], [6, 52], [18, 58]), ink: 'brush' },
]

export const bladeFeel: Record<string, () => Drawing> = {
  smooth: () => stroked([]),
  rough: () => stroked(Array.from({ length: 9 }, (_, i) => ({ d: closed([4 + i * 11, 74], [14 + i * 11, 66], [12 + i * 11, 74]), ink: 'brush' as const }))),
  sandpapery: () => stroked(Array.from({ length: 25 }, (_, i) => ({ d: circle([4 + i * 3.9, 72 - (i % 3) * 1.4], 1.9), ink: 'brush' as const }))),
  velvety: () => stroked(Array.from({ length: 33 }, (_, i) => brush([[3 + i * 2.95, 74], [3.4 + i * 2.95, 68], [3 + i * 2.95 + (i % 2), 62]], [1.1, 0.9, 0.4]))),
  'warty-bristly': () => stroked([10, 30, 66, 88].flatMap((x): Drawing => [{ d: smoothClosed([[x - 8, 75], [x - 4, 66], [x + 4, 66], [x + 8, 75]]), ink: 'leafDark' }, { d: smooth([[x - 8, 74], [x - 4, 66], [x + 4, 66], [x + 8, 74]]), ink: 'line' }, brush([[x, 67], [x - 1, 57], [x - 4, 48]], [2.6, 1.5, 0.4])])),
}

/** A blade in its colour beside its neighbours; the hatch tells them apart without colour. */
const coloured = (tint: Tint, hatch: Drawing): Drawing => {
  const mine: Point[] = [[32, 99], [32, 40], [38, 18], [50, 3], [62, 18], [68, 40], [68, 99]]
  return [
    ...[[14, 0.5], [86, -0.5]].map(([x, lean]) => brush([[x!, 99], [x! + lean! * 6, 60], [x! + lean! * 20, 24]], [9, 8, 1])).map((m) => ({ ...m, ink: 'leaf' as const })),
    ...[[14, 0.5], [86, -0.5]].map(([x, lean]): Mark => ({ d: smooth([[x!, 99], [x! + lean! * 6, 60], [x! + lean! * 20, 24]]), ink: 'fine' })),
    { d: smoothClosed(mine), ink: tint },
    ...hatch,
    { d: smoothClosed(mine), ink: 'line' },
  ]
}
const ys = [28, 40, 52, 64, 76, 88]

export const bladeColour: Record<string, () => Drawing> = {
  'mid-green': () => coloured('greenMid', ys.map((y) => ({ d: straight([38, y + 5], [62, y - 5]), ink: 'fine' }))),
  'dark-green': () => coloured('greenDark', [...ys, ...ys.map((y) => y + 6)].map((y) => ({ d: straight([36, y + 5], [64, y - 5]), ink: 'line' }))),
  'light-green': () => coloured('greenLight', []),
  'blue-green': () => coloured('greenBlue', ys.map((y) => ({ d: smooth([[36, y], [43, y - 3], [50, y], [57, y + 3], [64, y]]), ink: 'fine' }))),
  'grey-green': () => coloured('greenGrey', ys.flatMap((y, r) => [40, 50, 60].map((x) => ({ d: circle([x + (r % 2) * 4 - 2, y], 1.2), ink: 'brush' as const })))),
  'bright-emerald': () => coloured('greenBright', [42, 50, 58].map((x) => ({ d: straight([x, 22], [x, 97]), ink: 'fine' }))),
}

const ribbon = (over: Drawing): Drawing => [
  { d: closed([28, 0], [72, 0], [72, 100], [28, 100]), ink: 'leaf' },
  ...[39, 50, 61].map((x) => ({ d: straight([x, 0], [x, 100]), ink: 'fine' as const })),
  ...over,
  brush([[28, 0], [27.4, 50], [28, 100]], [2.4, 2.8, 2.4]),
  brush([[72, 0], [72.6, 50], [72, 100]], [2.4, 2.8, 2.4]),
]

export const bladeCrease: Record<string, () => Drawing> = {
  none: () => ribbon([]),
  'm-or-w': () => ribbon([
    { d: closed([28, 38], [39, 56], [50, 42], [61, 56], [72, 38], [72, 52], [61, 68], [50, 56], [39, 68], [28, 52]), ink: 'leafDark' },
    brush([[28, 40], [39, 57], [50, 43], [61, 57], [72, 40]].map(([x, y]): Point => [x!, y!]).flatMap((p, i, all) => (i === 0 ? [p] : [[(p[0] + all[i - 1]![0]) / 2, (p[1] + all[i - 1]![1]) / 2] as Point, p])), [2.6, 3.4, 2.6]),
  ]),
}



export const bladeBreak: Record<string, () => Drawing> = {
  'tears-easily': () => ([
    { d: closed([28, 0], [72, 0], [72, 34], [64, 44], [58, 36], [51, 46], [44, 35], [37, 45], [28, 36]), ink: 'leaf' },
    { d: closed([28, 100], [28, 66], [36, 58], [43, 68], [50, 57], [57, 67], [64, 58], [72, 66], [72, 100]), ink: 'leaf' },
    { d: straight([28, 0], [28, 36], [37, 45], [44, 35], [51, 46], [58, 36], [64, 44], [72, 34], [72, 0]), ink: 'line' },
    { d: straight([28, 100], [28, 66], [36, 58], [43, 68], [50, 57], [57, 67], [64, 58], [72, 66], [72, 100]), ink: 'line' },
    ...[39, 50, 61].flatMap((x) => [{ d: straight([x, 0], [x, 30]), ink: 'fine' as const }, { d: straight([x, 72], [x, 100]), ink: 'fine' as const }]),
  ]),
  tough: () => ([
    ...ribbon([]),
    ...[20, 80].map((x) => brush([[x, 40], [x, 50], [x, 60]], [0.6, 1.4, 0.6])),
    ...([[50, 14, -1], [50, 86, 1]] as const).map(([x, y, s]) => ({ d: closed([x - 9, y], [x, y + s * 12], [x + 9, y]), ink: 'brush' as const })),
    brush([[50, 20], [50, 50], [50, 80]], [4, 4, 4]),
    ...[33, 67].map((x) => brush([[x, 0], [x, 50], [x, 100]], [1.6, 1.6, 1.6])),
  ]),
  'midrib-snaps': () => ([
    { d: closed([8, 96], [42, 40], [58, 52], [26, 100]), ink: 'leaf' },
    { d: closed([58, 40], [92, 96], [74, 100], [42, 52]), ink: 'leaf' },
    { d: straight([8, 96], [42, 40], [50, 47], [58, 40], [92, 96]), ink: 'line' },
    { d: straight([26, 100], [46, 66]), ink: 'line' },
    { d: straight([74, 100], [54, 66]), ink: 'line' },
    brush([[17, 98], [31, 74], [46, 50]], [4, 4, 4]),
    brush([[83, 98], [69, 74], [54, 50]], [4, 4, 4]),
    ...[-34, -12, 12, 34].map((dx) => ({ d: straight([50 + dx * 0.4, 30 - Math.abs(dx) * 0.1], [50 + dx, 12 + Math.abs(dx) * 0.3]), ink: 'line' as const })),
  ]),
}
