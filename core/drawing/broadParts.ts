import { leaf, leafOutline, oval, type LeafForm } from './leafShape.ts'
import { brush, circle, closed, placed, smooth, smoothClosed, straight, type Drawing, type Ink, type Point } from './mark.ts'

const TALL: LeafForm = { length: 88, width: 56, profile: oval(0.45) }
const AT: Point = [50, 95]
const edgeLeaf = (form: Partial<LeafForm>, over: Drawing = []): Drawing => [...leaf({ ...TALL, ...form }, AT, -90, { veins: 4 }), ...over]

/** Points down one side of the standing leaf, for what grows on its edge. */
const side = (s: -1 | 1, from = 0.1, to = 0.94, count = 11): { at: Point; out: number }[] =>
  Array.from({ length: count }, (_, i) => {
    const t = from + ((to - from) * i) / (count - 1)
    return { at: [50 + s * (TALL.width / 2) * TALL.profile(t), AT[1] - TALL.length * t] as Point, out: s }
  })

export const leafMargin: Record<string, () => Drawing> = {
  entire: () => edgeLeaf({}),
  'wavy-curled': () => {
    const wave = (s: -1 | 1): Point[] => Array.from({ length: 25 }, (_, i): Point => {
      const t = i / 24
      return [50 + s * ((TALL.width / 2) * TALL.profile(t) * (0.86 + 0.16 * Math.sin(i * 1.75))), AT[1] - TALL.length * t]
    })
    const all = [...wave(-1), ...wave(1).reverse()]
    return [
      { d: smoothClosed(all), ink: 'leaf' },
      ...[-1, 1].flatMap((s) => side(s as -1 | 1, 0.14, 0.86, 7).map(({ at }) => ({ d: smooth([[at[0], at[1] - 3], [at[0] - s * 9, at[1] + 1], [at[0] - s * 4, at[1] + 6]]), ink: 'line' as const }))),
      { d: smoothClosed(all), ink: 'line' },
      brush([[50, 99], [50, 50], [50, 12]], [3, 2, 0.5]),
    ]
  },
  'fine-teeth': () => edgeLeaf({ teeth: { depth: 0.13, count: 22, forward: true } }),
  'coarse-teeth': () => edgeLeaf({ teeth: { depth: 0.34, count: 6 } }),
  'saw-teeth': () => edgeLeaf({ teeth: { depth: 0.26, count: 10, forward: true } }),
  scalloped: () => {
    const lobes = (s: -1 | 1): Point[] => Array.from({ length: 57 }, (_, i): Point => {
      const t = i / 56
      return [50 + s * (TALL.width / 2) * TALL.profile(t) * (0.86 + 0.14 * Math.abs(Math.sin(t * Math.PI * 7))), AT[1] - TALL.length * t]
    })
    const all = [...lobes(-1), ...lobes(1).reverse()]
    return [{ d: closed(...all), ink: 'leaf' }, { d: closed(...all), ink: 'line' }, brush([[50, 99], [50, 50], [50, 12]], [3, 2, 0.5]), ...[74, 56, 38].flatMap((y) => [-1, 1].map((s) => ({ d: smooth([[50, y], [50 + s * 12, y - 8], [50 + s * 20, y - 12]]), ink: 'fine' as const })))]
  },
  spiny: () => edgeLeaf({ width: 44, teeth: { depth: 0.3, count: 6 } }, [-1, 1].flatMap((s) => [0.09, 0.25, 0.41, 0.57, 0.73, 0.88].map((t) => {
    const x = 50 + s * 22 * TALL.profile(t)
    const y = AT[1] - TALL.length * t
    return brush([[x - s * 2, y], [x + s * 6, y - 3], [x + s * 13, y - 7]], [2.6, 1.8, 0.4])
  }))),
  'rolled-under': () => {
    const half: Point[] = [[36, 95], [34, 60], [38, 28], [50, 8]]
    const right = half.map(([x, y]): Point => [100 - x, y]).reverse()
    return [
      { d: smoothClosed([...half, ...right.slice(1)]), ink: 'leaf' },
      { d: closed([36, 95], [34, 60], [38, 28], [44, 16], [45, 30], [42, 60], [44, 95]), ink: 'leafDark' },
      { d: closed([64, 95], [66, 60], [62, 28], [56, 16], [55, 30], [58, 60], [56, 95]), ink: 'leafDark' },
      ...[-1, 1].map((s) => ({ d: smooth([[50 + s * 6, 95], [50 + s * 8, 60], [50 + s * 5, 30], [50 + s * 3, 16]]), ink: 'line' as const })),
      brush(half, [2, 3.4, 1]),
      brush([...right].reverse(), [2, 3.4, 1]),
      // The cut end shows the roll.
      ...[-1, 1].map((s) => ({ d: smooth([[50 + s * 14, 92], [50 + s * 17, 98], [50 + s * 10, 99], [50 + s * 9, 94]]), ink: 'line' as const })),
    ]
  },
  'three-tipped': () => {
    const shape: Point[] = [[48, 98], [44, 70], [34, 40], [26, 14], [34, 8], [41, 18], [46, 8], [54, 8], [59, 18], [66, 8], [74, 14], [66, 40], [56, 70], [52, 98]]
    return [{ d: closed(...shape), ink: 'leaf' }, { d: closed(...shape), ink: 'line' }, brush([[50, 97], [50, 60], [50, 14]], [2.4, 1.6, 0.5]), ...[-1, 1].map((s) => ({ d: smooth([[50, 66], [50 + s * 10, 36], [50 + s * 19, 14]]), ink: 'fine' as const }))]
  },
}

const plate = (veins: Drawing, form: Partial<LeafForm> = {}): Drawing => {
  const outline = placed(leafOutline({ ...TALL, width: 62, ...form }), AT, -90)
  return [{ d: closed(...outline), ink: 'leaf' }, ...veins, { d: closed(...outline), ink: 'line' }]
}
const stout = (points: Point[]) => brush(points, [2.6, 2.4, 1])

export const leafVeins: Record<string, () => Drawing> = {
  netted: () => plate([
    stout([[50, 95], [50, 50], [50, 10]]),
    ...[78, 60, 42].flatMap((y) => [-1, 1].map((s) => brush([[50, y], [50 + s * 12, y - 7], [50 + s * 23, y - 15]], [1.6, 1.2, 0.5]))),
    ...[70, 62, 54, 46, 38].flatMap((y) => [-1, 1].flatMap((s) => [8, 15].map((dx) => ({ d: straight([50 + s * dx, y], [50 + s * (dx + 3), y - 7], [50 + s * (dx + 6), y - 3]), ink: 'fine' as const })))),
  ]),
  'parallel-strong': () => plate([-19, -10, 0, 10, 19].map((dx) => stout([[50 + dx * 0.3, 93], [50 + dx, 52], [50 + dx * 0.35, 14]]))),
  'curving-to-tip': () => plate([stout([[50, 95], [50, 50], [50, 10]]), ...[[84, 24], [72, 19], [58, 13]].flatMap(([y, dx]) => [-1, 1].map((s) => brush([[50, y!], [50 + s * dx!, y! - 22], [50 + s * dx! * 0.8, 34], [50 + s * 3, 12]], [1.8, 1.6, 0.6])))]),
  'three-main': () => plate([stout([[50, 95], [50, 50], [50, 10]]), ...[-1, 1].map((s) => stout([[50, 91], [50 + s * 15, 66], [50 + s * 20, 40], [50 + s * 14, 26]])), ...[60, 44].flatMap((y) => [-1, 1].map((s) => ({ d: smooth([[50, y], [50 + s * 8, y - 5], [50 + s * 14, y - 7]]), ink: 'fine' as const })))]),
  // Veins run to the notches between the teeth, not to their points.
  'ends-in-notches': () => {
    const teeth = 5
    const edge = (s: -1 | 1): Point[] => Array.from({ length: teeth }, (_, i) => i).flatMap((i): Point[] => {
      const y = 84 - i * 16
      const w = 30 * Math.sin(Math.PI * (0.16 + 0.15 * i)) + 4
      return [[50 + s * (w - 8), y + 4], [50 + s * (w + 8), y - 8], [50 + s * (w - 7), y - 12]]
    })
    const all: Point[] = [[50, 95], ...edge(-1), [50, 6], ...edge(1).reverse()]
    return [
      { d: closed(...all), ink: 'leaf' },
      { d: closed(...all), ink: 'line' },
      stout([[50, 96], [50, 50], [50, 10]]),
      ...Array.from({ length: teeth - 1 }, (_, i) => i).flatMap((i) => [-1, 1].map((s) => {
        const w = 30 * Math.sin(Math.PI * (0.16 + 0.15 * (i + 1))) + 4
        return brush([[50, 84 - i * 16], [50 + s * w * 0.5, 79 - i * 16], [50 + s * (w - 8), 72 - i * 16]], [2, 1.8, 1])
      })),
    ]
  },
}

const coat = (ink: Ink, over: Drawing): Drawing => {
  const outline = closed(...placed(leafOutline({ ...TALL, width: 60 }), AT, -90))
  return [{ d: outline, ink }, ...over, { d: outline, ink: 'line' }, brush([[50, 97], [50, 50], [50, 12]], [2.6, 1.8, 0.5])]
}
const dots = (step: number, r: number, ink: Ink = 'brush'): Drawing => {
  const out: Drawing = []
  for (let y = 20, i = 0; y < 90; y += step, i++)
    for (let x = 26 + (i % 2) * (step / 2); x < 76; x += step) if (Math.abs(x - 50) < 26 * Math.sin((Math.PI * (95 - y)) / 92) ** 0.8) out.push({ d: circle([x, y], r), ink })
  return out
}
const wool = (x0: number, x1: number): Drawing =>
  Array.from({ length: 9 }, (_, i) => ({ d: smooth(Array.from({ length: 7 }, (_x, k): Point => [x0 + ((x1 - x0) * k) / 6, 24 + i * 7.4 + (k % 2 ? 3 : -3)])), ink: 'fine' as const }))

/** A leaf turned over at one side, so that its under side shows there. */
const turned = (under: Ink, over: Drawing): Drawing => {
  const outline = closed(...placed(leafOutline({ ...TALL, width: 60 }), [44, 95], -90))
  const flap: Point[] = [[44, 22], [58, 26], [70, 40], [74, 58], [68, 76], [54, 88], [60, 66], [56, 42]]
  return [{ d: outline, ink: 'leaf' }, { d: outline, ink: 'line' }, brush([[44, 97], [44, 50], [44, 12]], [2.6, 1.8, 0.5]), { d: smoothClosed(flap), ink: under }, ...over, { d: smoothClosed(flap), ink: 'line' }]
}

export const leafCoat: Record<string, () => Drawing> = {
  'plain-green': () => coat('leaf', [74, 56, 38].flatMap((y) => [-1, 1].map((s) => ({ d: smooth([[50, y], [50 + s * 11, y - 7], [50 + s * 20, y - 13]]), ink: 'fine' as const })))),
  shiny: () => coat('leafDark', [{ d: smoothClosed([[32, 66], [30, 44], [38, 26], [42, 32], [36, 48], [38, 68]]), ink: 'paper' }, { d: smoothClosed([[60, 74], [66, 60], [66, 44], [62, 46], [60, 60]]), ink: 'paper' }]),
  'silver-grey': () => coat('silver', Array.from({ length: 30 }, (_, i) => ({ d: straight([30 + ((i * 11) % 40), 26 + ((i * 17) % 58)], [34 + ((i * 11) % 40), 22 + ((i * 17) % 58)]), ink: 'fine' as const })).filter((_, i) => i % 1 === 0)),
  'mealy-or-salty': () => coat('leaf', [...dots(8, 2.3, 'paper'), ...dots(8, 1)]),
  'woolly-under': () => turned('silver', [30, 38, 46, 54, 62, 70, 78].map((y, i) => ({ d: smooth([[57 + (i % 2), y], [61, y - 3], [64, y + 2], [68, y - 2]]), ink: 'fine' as const }))),
  'woolly-both': () => coat('silver', [...wool(30, 48), ...wool(52, 70)]),
  'purple-beneath': () => turned('purple', [34, 42, 50, 58, 66, 74].map((y) => ({ d: straight([57, y + 4], [71, y - 4]), ink: 'purpleLine' as const }))),
  'blue-bloom': () => coat('greenBlue', [{ d: smoothClosed([[56, 80], [66, 60], [66, 40], [56, 20], [53, 50]]), ink: 'paper' }, ...Array.from({ length: 22 }, (_, i) => ({ d: circle([32 + ((i * 7) % 16), 28 + i * 2.7], 1.3), ink: 'paper' as const }))]),
  'pale-edged': () => {
    const inner = closed(...placed(leafOutline({ ...TALL, length: 72, width: 42 }), [50, 88], -90))
    return [...coat('paper', [{ d: inner, ink: 'leafDark' }, { d: inner, ink: 'fine' }]), brush([[50, 92], [50, 50], [50, 16]], [4, 3, 1]), { d: straight([50, 92], [50, 20]), ink: 'dotted' }]
  },
}

export const leafMark: Record<string, () => Drawing> = {
  none: () => coat('leafDark', []),
  'pale-chevron': () => coat('leafDark', [{ d: closed([25, 62], [50, 36], [75, 62], [75, 50], [50, 24], [27, 46]), ink: 'paper' }]),
  'white-veins': () => coat('leafDark', [{ ...brush([[50, 95], [50, 50], [50, 12]], [8, 6, 2]), ink: 'paper' as const }, ...[78, 62, 46, 32].flatMap((y) => [-1, 1].map((s) => ({ ...brush([[50, y], [50 + s * 12, y - 6], [50 + s * 22, y - 12]], [4.6, 3.4, 1.4]), ink: 'paper' as const })))]),
  'dark-spot': () => coat('leaf', [{ d: smoothClosed([[50, 36], [64, 50], [58, 66], [42, 66], [36, 50]]), ink: 'purple' }, ...[42, 48, 54].map((x) => ({ d: straight([x, 62], [x + 5, 44]), ink: 'purpleLine' as const }))]),
  'translucent-dots': () => coat('leafDark', [...dots(9, 2.2, 'paper')]),
  'dark-edge-dots': () => coat('leaf', [-1, 1].flatMap((s) => side(s as -1 | 1, 0.1, 0.92, 10).map(({ at }): Drawing[number] => ({ d: circle([at[0] - s * 3.2, at[1]], 2.4), ink: 'brush' })))),
}

const stalked = (long: number): Drawing => {
  const blade = 46
  return [
    brush([[2, 97], [50, 97], [98, 97]], [2, 2.6, 2]),
    ...(long > 0 ? [brush([[50, 97], [50, 97 - long / 2], [50, 97 - long]], [4, 3.4, 3])] : []),
    ...leaf({ length: long === 0 ? 70 : blade * (long > 60 ? 0.66 : 1), width: long > 60 ? 24 : 34, profile: long === 0 ? oval(0.34) : oval(0.45) }, [50, 97 - long], -90, { veins: 3 }),
  ]
}

/** The stalk against the blade. */
export const petioleLength: Record<string, () => Drawing> = { none: () => stalked(0), shorter: () => stalked(17), 'about-equal': () => stalked(47), longer: () => stalked(64) }

const cut = (outline: string, over: Drawing = []): Drawing => [{ d: outline, ink: 'leaf' }, ...over, { d: outline, ink: 'line' }]

/** The leaf stalk cut across. */
export const petioleForm: Record<string, () => Drawing> = {
  plain: () => cut(circle([50, 52], 34), [{ d: circle([50, 52], 10), ink: 'fine' }]),
  grooved: () => cut(smoothClosed([[18, 34], [28, 22], [40, 30], [50, 54], [60, 30], [72, 22], [82, 34], [80, 64], [64, 84], [36, 84], [20, 64]])),
  hollow: () => cut(circle([50, 52], 36), [{ d: circle([50, 52], 23), ink: 'hollow' }, { d: circle([50, 52], 23), ink: 'line' }]),
  winged: () => cut(smoothClosed([[2, 40], [22, 45], [36, 38], [50, 35], [64, 38], [78, 45], [98, 40], [78, 54], [66, 66], [50, 72], [34, 66], [22, 54]])),
}

const thistle = (spine: number): Drawing => {
  const form: LeafForm = { length: 88, width: 60, profile: oval(0.45), teeth: { depth: spine > 0 ? 0.44 : 0.24, count: 5 } }
  return [
    ...leaf(form, AT, -90, { veins: 0 }),
    ...(spine === 0 ? [] : [-1, 1].flatMap((s) => [0.1, 0.3, 0.5, 0.7, 0.88].map((t) => {
      const x = 50 + s * 30 * form.profile(t)
      const y = AT[1] - 88 * t
      return brush([[x - s * 4, y + 1], [x + s * spine * 0.5, y - spine * 0.24], [x + s * spine, y - spine * 0.5]], [spine > 10 ? 3.6 : 2, spine > 10 ? 2.4 : 1.4, 0.4])
    }))),
    ...(spine > 10 ? [brush([[50, 10], [50, 4], [50, -4]], [3.4, 2, 0.4])] : []),
  ]
}

/** Prickles that stand on the midrib and the side veins, none on the edge. */
const onVeins = (): Drawing => [
  ...leaf({ ...TALL, width: 62, teeth: { depth: 0.24, count: 5 } }, AT, -90, { veins: 4 }),
  ...[80, 66, 52, 38, 26].flatMap((y, i) => [-1, 1].flatMap((s) => [brush([[50, y], [50 + s * 3, y - 6], [50 + s * 9, y - 12]], [4, 2.4, 0.4]), brush([[50 + s * 14, y - 8], [50 + s * 15, y - 14], [50 + s * (20 + (i % 2)), y - 18]], [3.4, 2, 0.4])])),
]

export const spines: Record<string, () => Drawing> = { none: () => thistle(0), 'on-midrib-and-veins': onVeins, 'leaf-edge-short': () => thistle(6), 'leaf-edge-long-dagger': () => thistle(19) }
