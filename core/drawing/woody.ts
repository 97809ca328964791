import { leaf, oval } from './leafShape.ts'
import { brush, circle, closed, smooth, smoothClosed, straight, type Drawing, type Point } from './mark.ts'

/** A twig standing up, thick at its foot. */
const twig = (foot = 7, tip = 3, top = 8): Drawing => [brush([[50, 100], [50, 54], [50, top]], [foot, (foot + tip) / 2, tip])]
const bud = (x: number, y: number, side: -1 | 0 | 1, size = 9): Drawing => {
  const outline = smoothClosed([[x, y], [x + side * size * 0.5 - (side ? 0 : size * 0.5), y - size * 0.5], [x + side * size * 0.9, y - size * 1.5], [x + side * size * 0.15 + (side ? 0 : size * 0.5), y - size * 0.6]])
  return [{ d: outline, ink: 'rust' }, { d: outline, ink: 'line' }]
}

/** How buds sit on a bare twig. */
export const budSet: Record<string, () => Drawing> = {
  single: () => [...twig(), ...([[84, 1], [66, -1], [48, 1], [30, -1]] as const).flatMap(([y, s]) => bud(50 + s * 4, y, s, 13)), ...bud(50, 10, 0, 12)],
  'in-pairs': () => [...twig(), ...[82, 56, 30].flatMap((y) => ([-1, 1] as const).flatMap((s) => bud(50 + s * 4, y, s, 13))), ...bud(50, 10, 0, 12)],
  'crowded-at-tip': () => [...twig(8, 5, 30), ...bud(53, 84, 1, 10), ...([[-13, 32, -1], [13, 32, 1], [-6, 26, -1], [6, 26, 1]] as const).flatMap(([dx, y, s]) => bud(50 + dx * 0.5, y, s, 17)), ...bud(50, 26, 0, 18)],
}

const bigBud: Point[] = [[50, 6], [64, 26], [72, 52], [64, 76], [50, 84], [36, 76], [28, 52], [36, 26]]
const onTwig = (inside: Drawing): Drawing => [brush([[50, 100], [50, 92], [50, 80]], [12, 12, 14]), ...inside]
const scale = (y: number, half: number): Drawing => [{ d: smooth([[50 - half, y - 8], [50 - half * 0.5, y + 7], [50, y + 10], [50 + half * 0.5, y + 7], [50 + half, y - 8]]), ink: 'line' }]

/** A winter bud close up. */
export const budLook: Record<string, () => Drawing> = {
  'many-scales': () => onTwig([{ d: smoothClosed(bigBud), ink: 'rust' }, { d: smoothClosed(bigBud), ink: 'line' }, ...([[24, 11], [36, 17], [48, 20], [60, 21], [71, 17]] as const).flatMap(([y, half]) => scale(y, half))]),
  'few-scales': () => onTwig([{ d: smoothClosed(bigBud), ink: 'leafDark' }, { d: smoothClosed(bigBud), ink: 'line' }, brush([[50, 8], [47, 44], [50, 83]], [1.4, 2.6, 1.4])]),
  'naked-hairy': () => onTwig([{ d: smoothClosed(bigBud.map(([x, y]): Point => [50 + (x - 50) * 0.62, y])), ink: 'straw' }, ...Array.from({ length: 18 }, (_, i) => ([-1, 1] as const).map((s) => brush([[50 + s * 8, 14 + i * 3.8], [50 + s * 16, 11 + i * 3.9], [50 + s * (22 + (i % 3) * 3), 8 + i * 4]], [1.4, 1, 0.4]))).flat()]),
  sticky: () => onTwig([{ d: smoothClosed(bigBud), ink: 'rust' }, { d: smoothClosed(bigBud), ink: 'line' }, ...scale(36, 17), ...scale(58, 21), ...([[40, 40], [58, 60], [44, 68]] as Point[]).flatMap((at): Drawing => [{ d: circle(at, 6, 4), ink: 'paper' }, { d: circle(at, 6, 4), ink: 'line' }]), { d: smoothClosed([[66, 74], [70, 84], [69, 95], [63, 95], [62, 84]]), ink: 'paper' }, { d: smoothClosed([[66, 74], [70, 84], [69, 95], [63, 95], [62, 84]]), ink: 'line' }]),
  hidden: () => [brush([[50, 100], [50, 54], [50, 6]], [20, 18, 14]), { d: circle([50, 48], 15, 12), ink: 'paper' }, { d: circle([50, 48], 15, 12), ink: 'line' }, ...([[44, 48], [50, 52], [56, 48]] as Point[]).map((at) => ({ d: circle(at, 1.8), ink: 'brush' as const })), { d: smooth([[40, 34], [50, 30], [60, 34]]), ink: 'line' }],
}

const slit = (core: Drawing): Drawing => [
  { d: closed([26, 2], [74, 2], [74, 98], [26, 98]), ink: 'sand' },
  ...[30, 34, 66, 70].map((x) => ({ d: straight([x, 3], [x, 97]), ink: 'fine' as const })),
  ...core,
  brush([[26, 2], [25, 50], [26, 98]], [3.4, 4, 3.4]),
  brush([[74, 2], [75, 50], [74, 98]], [3.4, 4, 3.4]),
]
const core = (half: number, ink: 'paper' | 'hollow'): Drawing => [{ d: closed([50 - half, 2], [50 + half, 2], [50 + half, 98], [50 - half, 98]), ink }, ...[-half, half].map((dx) => ({ d: straight([50 + dx, 2], [50 + dx, 98]), ink: 'line' as const }))]

/** A twig slit down its length. */
export const twigInside: Record<string, () => Drawing> = {
  solid: () => slit([...core(2, 'paper'), ...[38, 42, 58, 62].map((x) => ({ d: straight([x, 3], [x, 97]), ink: 'fine' as const }))]),
  'wide-pith': () => slit([...core(14, 'paper'), ...Array.from({ length: 26 }, (_, i) => ({ d: circle([39 + ((i * 9) % 23), 7 + i * 3.5], 1.8), ink: 'fine' as const }))]),
  chambered: () => slit([...core(11, 'hollow'), ...Array.from({ length: 12 }, (_, i) => brush([[39, 8 + i * 7.6], [50, 9 + i * 7.6], [61, 8 + i * 7.6]], [2, 1.6, 2]))]),
  hollow: () => slit(core(12, 'hollow')),
}

const round = (ink: 'beige' | 'greenMid' | 'rust' | 'silver', marks: Drawing): Drawing => [
  { d: closed([36, 2], [64, 2], [66, 98], [34, 98]), ink },
  ...marks,
  brush([[36, 2], [35, 50], [34, 98]], [2.6, 3, 2.6]),
  brush([[64, 2], [65, 50], [66, 98]], [2.6, 3, 2.6]),
]

/** The bark of a young twig. */
export const twigLook: Record<string, () => Drawing> = {
  plain: () => round('beige', [...bud(64, 54, 1, 14)]),
  'dotted-with-pores': () => round('beige', ([[42, 14], [55, 22], [46, 36], [58, 46], [41, 54], [52, 66], [45, 80], [59, 84]] as Point[]).flatMap((at): Drawing => [{ d: circle(at, 3.4, 2), ink: 'paper' }, { d: circle(at, 3.4, 2), ink: 'line' }])),
  green: () => round('greenMid', [...[42, 50, 58].map((x) => ({ d: straight([x, 4], [x, 96]), ink: 'fine' as const })), ...leaf({ length: 26, width: 14, profile: oval(0.5) }, [64, 50], -40)]),
  red: () => round('rust', Array.from({ length: 12 }, (_, i) => ({ d: straight([37, 6 + i * 8], [63, 2 + i * 8]), ink: 'line' as const }))),
  'white-bloom': () => round('silver', ([[40, 20], [48, 34], [54, 18], [44, 58], [58, 62], [50, 78]] as Point[]).map((at) => ({ d: circle(at, 4.6, 6), ink: 'paper' }))),
  ridged: () => round('beige', [38, 44, 50, 56, 62].map((x) => brush([[x, 2], [x + 1, 50], [x, 98]], [3, 3.4, 3]))),
}

const trunk = (marks: Drawing): Drawing => [
  { d: closed([16, 0], [84, 0], [88, 100], [12, 100]), ink: 'beige' },
  ...marks,
  brush([[16, 0], [15, 50], [12, 100]], [3, 3.4, 3.6]),
  brush([[84, 0], [85, 50], [88, 100]], [3, 3.4, 3.6]),
]
const plate = (x: number, y: number, w: number, h: number): Drawing => {
  const outline = smoothClosed([[x, y + 2], [x + w * 0.5, y], [x + w, y + 3], [x + w - 1, y + h], [x + w * 0.4, y + h + 2], [x + 1, y + h - 1]])
  return [{ d: outline, ink: 'rust' }, { d: outline, ink: 'line' }, brush([[x + w, y + 3], [x + w + 2, y + h * 0.5], [x + w - 1, y + h]], [1, 3, 1])]
}

/** The bark of an old stem. */
export const barkLook: Record<string, () => Drawing> = {
  smooth: () => trunk([{ d: smooth([[24, 30], [50, 34], [76, 30]]), ink: 'fine' }, { d: smooth([[22, 68], [50, 72], [78, 68]]), ink: 'fine' }]),
  'lines-across': () => trunk(([[24, 12, 20], [54, 18, 22], [30, 30, 14], [58, 40, 18], [22, 48, 24], [50, 58, 26], [28, 70, 18], [58, 76, 20], [24, 88, 26]] as const).map(([x, y, w]) => brush([[x, y], [x + w / 2, y + 1], [x + w, y]], [1, 4, 1]))),
  'dark-plates': () => trunk([...plate(18, 4, 20, 22), ...plate(42, 2, 18, 18), ...plate(64, 6, 18, 22), ...plate(16, 32, 18, 20), ...plate(38, 26, 22, 24), ...plate(64, 34, 20, 20), ...plate(15, 58, 22, 18), ...plate(42, 56, 20, 22), ...plate(66, 60, 18, 20), ...plate(16, 81, 18, 16), ...plate(38, 83, 22, 14), ...plate(64, 84, 20, 13)]),
  furrowed: () => trunk([...[26, 40, 54, 68].map((x, i) => brush([[x, 0], [x + (i % 2 ? 6 : -4), 34], [x + 2, 62], [x + (i % 2 ? -4 : 6), 100]], [4, 6, 4])), brush([[30, 30], [36, 40], [44, 46]], [3, 4, 2]), brush([[56, 60], [62, 68], [70, 72]], [3, 4, 2])]),
  flaking: () => trunk(([[26, 14], [58, 24], [34, 50], [66, 62], [28, 80]] as Point[]).flatMap(([x, y]): Drawing => {
    const flake = closed([x, y], [x + 18, y - 3], [x + 22, y + 10], [x + 10, y + 17], [x - 3, y + 11])
    return [{ d: flake, ink: 'paper' }, { d: flake, ink: 'line' }, brush([[x, y], [x + 10, y - 5], [x + 20, y - 6]], [1.4, 3, 1])]
  })),
  stringy: () => trunk([...Array.from({ length: 11 }, (_, i) => ({ d: smooth([[18 + i * 6.4, 0], [20 + i * 6.2, 40], [17 + i * 6.6, 70], [19 + i * 6.3, 100]]), ink: 'line' as const })), brush([[30, 46], [22, 66], [26, 92]], [2, 4, 1]), brush([[62, 30], [74, 52], [70, 84]], [2, 4, 1])]),
}

const season = (left: boolean): Drawing => [
  brush([[50, 98], [50, 70], [50, 16]], [6, 5, 2]),
  ...([[78, -28, 1], [62, -152, -1], [46, -28, 1], [32, -152, -1]] as const).flatMap(([y, turn, s]) => (left ? leaf({ length: 34, width: 15, profile: oval(0.5) }, [50, y], turn, { veins: 2, dark: true }) : bud(50 + s * 3, y, s, 9))),
]
const flake = (x: number, y: number): Drawing => [0, 60, 120].map((turn) => {
  const [dx, dy] = [6 * Math.cos((turn * Math.PI) / 180), 6 * Math.sin((turn * Math.PI) / 180)]
  return { d: straight([x - dx, y - dy], [x + dx, y + dy]), ink: 'line' as const }
})

/** A twig in snow: what is left on it. */
export const leafKeep: Record<string, () => Drawing> = {
  falls: () => [...season(false), ...flake(16, 20), ...flake(84, 34), ...flake(18, 66), ...leaf({ length: 26, width: 12, profile: oval(0.5) }, [62, 97], -8)],
  'half-kept': () => [brush([[50, 98], [50, 70], [50, 16]], [6, 5, 2]), ...leaf({ length: 32, width: 14, profile: oval(0.5) }, [50, 60], -30, { veins: 2, dark: true }), ...leaf({ length: 30, width: 14, profile: oval(0.5) }, [50, 34], -150, { veins: 2, dark: true }), ...bud(47, 80, -1, 9), ...bud(53, 30, 1, 9), ...flake(16, 20), ...flake(84, 22), ...flake(18, 66)],
  evergreen: () => [...season(true), ...flake(14, 14), ...flake(88, 20), ...flake(50, 7)],
}

/** Where stalk and blade of a leaf meet. */
export const petioleKnobs: Record<string, () => Drawing> = {
  none: () => [...leaf({ length: 62, width: 64, profile: oval(0.42) }, [50, 58], -90, { veins: 3 }), brush([[50, 99], [50, 78], [50, 56]], [5, 5, 4])],
  knobs: () => [...leaf({ length: 62, width: 64, profile: oval(0.42) }, [50, 58], -90, { veins: 3 }), brush([[50, 99], [50, 78], [50, 56]], [5, 5, 4]), ...([[43, 66], [57, 68]] as Point[]).flatMap((at): Drawing => [{ d: circle(at, 5.4), ink: 'rust' }, { d: circle(at, 5.4), ink: 'line' }])],
}
