import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Ink, type Point } from './mark.ts'

const ovalOf = ([x, y]: Point, long: number, wide: number, degrees = -90): Point[] => {
  const a = (degrees * Math.PI) / 180
  return ([[-0.5, 0], [-0.2, 0.48], [0.2, 0.42], [0.5, 0], [0.2, -0.42], [-0.2, -0.48]] as Point[]).map(([u, v]) => [x + long * u * Math.cos(a) - wide * v * Math.sin(a), y + long * u * Math.sin(a) + wide * v * Math.cos(a)])
}
const blob = (at: Point, long: number, wide: number, ink: Ink, degrees = -90): Drawing => {
  const d = smoothClosed(ovalOf(at, long, wide, degrees))
  return [{ d, ink }, { d, ink: 'line' }]
}
/** A spike set with sacs; `male` parts are thin and straw-coloured. */
const sacs = (at: Point, long: number, wide: number, degrees = -90): Drawing => {
  const a = (degrees * Math.PI) / 180
  const put = (u: number, v: number): Point => [at[0] + u * Math.cos(a) - v * Math.sin(a), at[1] + u * Math.sin(a) + v * Math.cos(a)]
  return [...blob(at, long, wide, 'leaf', degrees), ...Array.from({ length: Math.round(long / 5) }, (_, i) => i).flatMap((i): Drawing => [-0.26, 0.26].map((v) => ({ d: circle(put(-long * 0.36 + i * 4.6, v * wide), 2), ink: 'line' as const })))]
}
const male = (at: Point, long: number, wide = 6, degrees = -90): Drawing => blob(at, long, wide, 'straw', degrees)
const culm = (top = 12): Drawing => [brush([[50, 99], [50, 60], [50, top]], [3, 2.4, 1.2])]

/** Whether a spike is ripe: what comes off when it is rubbed. */
export const fruitRipe: Record<string, () => Drawing> = {
  unripe: () => [...culm(60), ...sacs([50, 42], 56, 22), ...[-6, 0, 6].flatMap((dx): Drawing => [brush([[50 + dx, 14], [50 + dx * 1.6, 8], [50 + dx * 2.2, 2]], [1.4, 1, 0.4])])],
  ripe: () => [...culm(60), ...sacs([44, 42], 56, 20), ...([[74, 40], [82, 62], [70, 80]] as Point[]).flatMap((at) => [...blob(at, 15, 9, 'rust'), { d: circle(at, 2), ink: 'brush' as const }])],
  shed: () => [brush([[50, 99], [50, 60], [50, 10]], [3, 2.6, 1.6]), ...[18, 28, 38, 48, 58].flatMap((y): Drawing => [-1, 1].map((s) => brush([[50, y], [50 + s * 5, y - 4], [50 + s * 8, y - 9]], [1.4, 1, 0.4]))), ...([[26, 92], [72, 94], [84, 88]] as Point[]).flatMap((at) => blob(at, 11, 7, 'rust', 10))],
}

export const spikesKind: Record<string, () => Drawing> = {
  one: () => [...culm(44), ...sacs([50, 30], 44, 15), ...male([50, 7], 14, 6)],
  'many-alike': () => [...culm(14), ...([[34, 62, -140], [64, 52, -40], [36, 40, -130], [62, 30, -50], [50, 16, -90]] as const).flatMap(([x, y, turn]) => sacs([x, y], 24, 14, turn))],
  'top-male': () => [...culm(30), ...male([50, 18], 34, 7), ...sacs([36, 50], 32, 14, -110), ...sacs([64, 68], 32, 14, -70), brush([[50, 66], [44, 62], [38, 60]], [1.4, 1.2, 1]), brush([[50, 84], [58, 80], [62, 78]], [1.4, 1.2, 1])],
}

export const spikeEnd: Record<string, () => Drawing> = {
  'male-at-tip': () => [...culm(82), ...sacs([50, 62], 44, 26), ...male([50, 24], 34, 13)],
  'sacs-to-tip': () => [...culm(92), ...male([50, 80], 22, 12), ...sacs([50, 42], 62, 28)],
  'one-sex': () => [...culm(86), ...sacs([50, 48], 74, 28)],
}

export const spikesStand: Record<string, () => Drawing> = {
  crowded: () => [...culm(20), ...male([50, 12], 20, 6), ...([[38, 32, -110], [62, 34, -70], [42, 46, -105], [58, 48, -75]] as const).flatMap(([x, y, turn]) => sacs([x, y], 24, 13, turn))],
  upright: () => [...culm(24), ...male([50, 14], 22, 6), ...([[40, 40, -100, 54], [60, 62, -80, 76]] as const).flatMap(([x, y, turn, from]) => [brush([[50, from + 8], [x + (50 - x) * 0.4, from], [x, y + 14]], [1.6, 1.3, 1]), ...sacs([x, y], 28, 12, turn)])],
  nodding: () => [...culm(24), ...male([50, 14], 22, 6), ...([[26, 52, 1], [76, 66, -1]] as const).flatMap(([x, y, s]) => [brush([[50, y - 16], [x + s * 8, y - 26], [x, y - 14]], [1.8, 1.5, 1]), ...sacs([x, y + 4], 30, 13, 90 + s * 8)])],
}

const headWithBract = (long: number): Drawing => [...culm(30), ...male([50, 22], 24, 6), ...sacs([42, 46], 26, 12, -105), ...sacs([50, 66], 26, 12, -90), brush([[50, 82], [62, 82 - long * 0.5], [68, 82 - long]], [2.6, 3, 0.5])]
export const bractLength: Record<string, () => Drawing> = {
  shorter: () => headWithBract(24),
  'about-as-long': () => headWithBract(68),
  longer: () => [...headWithBract(79), brush([[68, 4], [74, 6], [82, 16]], [1.8, 1.2, 0.4])],
}
export const bractSheath: Record<string, () => Drawing> = {
  none: () => [brush([[50, 99], [50, 60], [50, 2]], [9, 8, 7]), brush([[53, 62], [66, 42], [80, 12]], [4, 5, 0.6]), ...sacs([34, 40], 40, 16, -110)],
  sheathing: () => [brush([[50, 99], [50, 60], [50, 2]], [9, 8, 7]), { d: closed([42, 94], [42, 58], [58, 58], [58, 94]), ink: 'paper' }, { d: closed([42, 94], [42, 58], [58, 58], [58, 94]), ink: 'line' }, brush([[57, 58], [68, 40], [80, 10]], [4, 5, 0.6]), ...sacs([34, 36], 40, 16, -110)],
}

const scaleAndSac = (tall: number, ink: Ink): Drawing => {
  const sac = smoothClosed([[60, 96], [78, 78], [80, 54], [68, 30], [62, 10], [56, 30], [44, 54], [44, 78]])
  const scale = closed([50, 96], [24, 84], [26, 96 - tall * 0.6], [40, 96 - tall], [54, 96 - tall * 0.6], [56, 84])
  return [{ d: sac, ink: 'leaf' }, { d: sac, ink: 'line' }, { d: scale, ink }, { d: scale, ink: 'line' }, { d: straight([42, 92], [40, 96 - tall]), ink: 'line' }]
}
export const scaleColour: Record<string, () => Drawing> = {
  'pale-or-green': () => scaleAndSac(66, 'greenLight'),
  brown: () => [...scaleAndSac(66, 'rust'), ...[52, 62, 72].map((y) => ({ d: straight([30, y + 6], [50, y]), ink: 'fine' as const }))],
  dark: () => scaleAndSac(66, 'brush'),
}
export const scaleLength: Record<string, () => Drawing> = {
  shorter: () => scaleAndSac(48, 'rust'),
  'as-long': () => scaleAndSac(84, 'rust'),
  longer: () => [...scaleAndSac(90, 'rust'), brush([[40, 8], [39, 3], [38, -2]], [1.8, 1.2, 0.4])],
}

const sacOutline: Point[] = [[50, 97], [70, 82], [74, 60], [62, 38], [54, 12], [46, 12], [38, 38], [26, 60], [30, 82]]
const sac = (over: Drawing, ink: Ink = 'leaf', outline = sacOutline): Drawing => [{ d: smoothClosed(outline), ink }, ...over, { d: smoothClosed(outline), ink: 'line' }]

export const sacSurface: Record<string, () => Drawing> = {
  'smooth-dull': () => sac([{ d: smooth([[40, 88], [38, 60], [46, 30]]), ink: 'fine' }]),
  'smooth-shiny': () => sac([{ d: smoothClosed([[38, 78], [36, 62], [43, 46], [46, 60], [43, 78]]), ink: 'paper' }, { d: smooth([[60, 86], [64, 64], [56, 40]]), ink: 'fine' }]),
  hairy: () => sac(Array.from({ length: 26 }, (_, i) => { const [x, y] = [34 + ((i * 11) % 33), 88 - i * 2.6]; return brush([[x, y], [x + 2, y - 5], [x + 4, y - 9]], [1.5, 1.1, 0.4]) })),
  'rough-dotted': () => sac(Array.from({ length: 24 }, (_, i) => ({ d: circle([36 + ((i * 13) % 29), 86 - i * 2.2], 1.8), ink: 'brush' as const }))),
}

export const sacForm: Record<string, () => Drawing> = {
  'flat-winged': () => [...sac([], 'paper', [[50, 98], [82, 78], [82, 48], [58, 10], [42, 10], [18, 48], [18, 78]]), ...sac([], 'leafDark', [[50, 92], [64, 76], [64, 52], [52, 20], [48, 20], [36, 52], [36, 76]])],
  'lens-flat': () => [...sac([{ d: straight([50, 94], [50, 14]), ink: 'line' }]), ...blob([86, 84], 24, 8, 'leafDark', 90)],
  'tight-round': () => [...sac([], 'leaf', [[50, 96], [76, 80], [78, 56], [58, 34], [53, 24], [47, 24], [42, 34], [22, 56], [24, 80]]), { d: smooth([[38, 84], [34, 62], [46, 40]]), ink: 'line' }, { d: smooth([[62, 84], [66, 62], [54, 40]]), ink: 'line' }],
  'tight-angled': () => [...sac([brush([[50, 96], [44, 60], [50, 14]], [3, 4, 2])]), { d: closed([80, 90], [94, 90], [87, 76]), ink: 'leafDark' }, { d: closed([80, 90], [94, 90], [87, 76]), ink: 'line' }],
  inflated: () => [...sac([...[34, 50, 66].map((x) => ({ d: smooth([[50 + (x - 50) * 0.3, 96], [x, 64], [50 + (x - 50) * 0.3, 26]]), ink: 'fine' as const }))], 'leaf', [[50, 98], [82, 88], [88, 62], [66, 36], [53, 4], [47, 4], [34, 36], [12, 62], [18, 88]]), ...blob([50, 78], 22, 16, 'rust')],
}

const beaked = (beak: Drawing): Drawing => [...sac([], 'leaf', [[50, 98], [72, 86], [76, 68], [60, 52], [53, 46], [47, 46], [40, 52], [24, 68], [28, 86]]), ...beak]
export const sacBeak: Record<string, () => Drawing> = {
  'none-or-short': () => beaked([brush([[50, 46], [50, 43], [50, 40]], [6, 5, 3])]),
  'long-entire': () => beaked([brush([[50, 47], [50, 28], [50, 6]], [9, 6, 3])]),
  'long-two-toothed': () => beaked([brush([[50, 47], [50, 34], [50, 22]], [9, 7, 6]), brush([[48, 24], [44, 14], [40, 3]], [3.4, 2.6, 0.6]), brush([[52, 24], [56, 14], [60, 3]], [3.4, 2.6, 0.6])]),
}

const threads = (turns: number[]): Drawing => turns.map((dx) => brush([[50, 44], [50 + dx * 0.5, 26], [50 + dx, 6]], [2, 2.6, 0.8]))
export const stigmas: Record<string, () => Drawing> = {
  two: () => [...threads([-20, 20]), ...sac([], 'leaf', [[50, 96], [66, 84], [68, 68], [56, 52], [50, 44], [44, 52], [32, 68], [34, 84]]), ...blob([86, 84], 24, 9, 'rust', 90)],
  three: () => [...threads([-26, 0, 26]), ...sac([], 'leaf', [[50, 96], [66, 84], [68, 68], [56, 52], [50, 44], [44, 52], [32, 68], [34, 84]]), { d: closed([78, 92], [96, 92], [87, 76]), ink: 'rust' }, { d: closed([78, 92], [96, 92], [87, 76]), ink: 'line' }],
}
