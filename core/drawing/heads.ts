import { leafOutline, oval } from './leafShape.ts'
import { brush, circle, closed, placed, smooth, smoothClosed, straight, type Drawing, type Ink, type Point } from './mark.ts'

const axis = (top = 8): Drawing => [brush([[50, 99], [50, 60], [50, top]], [2.8, 2.4, 1])]

/** One spikelet, pointed at its tip. */
function spikelet(at: Point, degrees: number, long = 11, wide = 5, ink: Ink = 'straw'): Drawing {
  const outline = placed(leafOutline({ length: long, width: wide, profile: oval(0.42) }), at, degrees)
  return [{ d: closed(...outline), ink }, { d: closed(...outline), ink: 'line' }]
}
const along2 = (from: Point, to: Point, t: number): Point => [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]
const tri = (points: Point[]) => brush(points, [1.6, 1.2, 0.6])

/** A finger: a stalk set with spikelets along its lower side. */
function finger(from: Point, to: Point, count = 8, size = 7): Drawing {
  const angle = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI
  return [brush([from, along2(from, to, 0.5), to], [2.2, 1.8, 0.8]), ...Array.from({ length: count }, (_, i) => spikelet(along2(from, to, (i + 0.7) / count), angle + (i % 2 ? 24 : -24), size, size * 0.48)).flat()]
}

/** Seed heads, when there are any. */
export const headForm: Record<string, () => Drawing> = {
  'open-panicle': () => [...axis(6), ...[78, 60, 43, 27].flatMap((y, r) => [-1, 1].flatMap((s) => {
    const reach = 36 - r * 7
    const tip: Point = [50 + s * reach, y - 16]
    return [tri([[50, y], [50 + s * reach * 0.5, y - 9], tip]), ...[0.45, 0.72, 1].flatMap((t) => spikelet(along2([50, y], tip, t), s > 0 ? -40 + t * 30 : -140 - t * 30, 8, 4))]
  })), ...spikelet([50, 10], -90, 8, 4)],
  'tight-cylinder': () => {
    const outline = smoothClosed([[41, 62], [39, 40], [41, 18], [50, 6], [59, 18], [61, 40], [59, 62], [50, 68]])
    return [...axis(60), { d: outline, ink: 'straw' }, ...Array.from({ length: 22 }, (_, i) => ({ d: straight([41 + (i % 4) * 5, 14 + Math.floor(i / 4) * 9 + (i % 2) * 3], [44 + (i % 4) * 5, 10 + Math.floor(i / 4) * 9 + (i % 2) * 3]), ink: 'fine' as const })), { d: outline, ink: 'line' }]
  },
  'spike-flat': () => [...axis(8), ...[82, 68, 54, 40, 26].flatMap((y, i) => spikelet([50 + (i % 2 ? 1.5 : -1.5), y], i % 2 ? -62 : -118, 25, 9)), ...spikelet([50, 16], -90, 15, 7)],
  'spike-comb': () => [...axis(10), ...Array.from({ length: 11 }, (_, i) => 84 - i * 7).flatMap((y) => [-1, 1].flatMap((s) => spikelet([50 + s, y], s > 0 ? -24 : -156, 24, 4.6)))],
  'fingers-from-one-point': () => [brush([[50, 99], [50, 74], [50, 56]], [2.8, 2.4, 2]), ...([[10, 34], [30, 12], [54, 4], [76, 16], [92, 38]] as Point[]).flatMap((to) => finger([50, 56], to))],
  'fingers-along-stem': () => [...axis(12), ...([[76, -1], [60, 1], [44, -1], [29, 1]] as const).flatMap(([y, s]) => finger([50, y], [50 + s * 42, y - 16], 8)), ...finger([50, 16], [56, 2], 3, 6)],
  'one-sided-oats': () => [...axis(6), ...Array.from({ length: 9 }, (_, i) => 78 - i * 8).flatMap((y) => [brush([[50, y], [56, y - 2], [61, y + 2]], [1.2, 1, 0.6]), ...spikelet([60, y + 1], 62, 14, 6)])],
  'stacked-one-sided': () => [...axis(8), ...[80, 62, 44, 27].flatMap((y, r) => finger([50, y], [50 + (r % 2 ? 30 : -30), y - 15], 6, 9)), ...finger([50, 16], [52, 3], 3, 7)],
  'drooping-brome': () => [brush([[40, 99], [40, 50], [44, 18], [58, 8]], [2.8, 2.4, 1]), ...([[42, 30, 20, 52], [44, 18, 34, 62], [50, 11, 62, 58], [56, 8, 82, 48]] as const).flatMap(([x, y, x2, y2]) => [brush([[x, y], [(x + x2) / 2, y - 4], [x2, y2 - 14]], [1.4, 1.1, 0.8]), ...spikelet([x2, y2 - 14], 84, 24, 8), ...[-4, 0, 4].map((dx) => ({ d: straight([x2 + dx * 0.6, y2 + 6], [x2 + dx * 1.6, y2 + 26]), ink: 'line' as const }))])],
  burs: () => [...axis(14), ...([[50, 20], [38, 40], [62, 46], [42, 66]] as Point[]).flatMap(([x, y]): Drawing => [...Array.from({ length: 12 }, (_, i) => brush([[x, y], ...placed([[8, 0], [15, 0]], [x, y], i * 30 + 10)] as Point[], [2, 1.6, 0.4])), { d: circle([x, y], 8), ink: 'straw' }, { d: circle([x, y], 8), ink: 'line' }])],
}

const petals = (count: number, ink: Ink, long = 34, wide = 22): Drawing => Array.from({ length: count }, (_, i) => {
  const outline = placed(leafOutline({ length: long, width: wide, profile: oval(0.62) }), [50, 50], (360 * i) / count - 90)
  return [{ d: closed(...outline), ink }, { d: closed(...outline), ink: 'line' as const }]
}).flat()
const blossom = (ink: Ink, hatch: Drawing = []): Drawing => [...petals(5, ink, 44, 32), ...hatch, { d: circle([50, 50], 7), ink: 'straw' }, { d: circle([50, 50], 7), ink: 'line' }]
const spokes = (count: number, from: number, to: number, ink: Ink = 'fine'): Drawing => Array.from({ length: count }, (_, i) => ({ d: straight(...placed([[from, 0], [to, 0]], [50, 50], (360 * i) / count - 90)), ink }))

/** The colour is the answer; the hatch tells it without colour. */
export const flowerColour: Record<string, () => Drawing> = {
  white: () => blossom('paper'),
  'pale-pink': () => blossom('pink', spokes(5, 12, 30)),
  'pink-red': () => blossom('rose', spokes(10, 12, 34)),
  'bright-crimson': () => blossom('crimson', spokes(20, 12, 36, 'purpleLine')),
  'purple-blue': () => blossom('violet', [16, 24, 32].map((r) => ({ d: circle([50, 50], r), ink: 'purpleLine' }))),
  yellow: () => blossom('yellow', [18, 30].map((r) => ({ d: circle([50, 50], r), ink: 'fine' }))),
  'green-dull': () => blossom('leafDark', spokes(15, 14, 34)),
  'white-tinged-pink': () => [...petals(5, 'paper', 44, 32), ...Array.from({ length: 5 }, (_, i) => ({ d: smoothClosed(placed([[26, 0], [36, -9], [43, 0], [36, 9]], [50, 50], i * 72 - 90)), ink: 'pink' as const })), { d: circle([50, 50], 7), ink: 'straw' }, { d: circle([50, 50], 7), ink: 'line' }],
}

const floret = ([x, y]: Point, degrees: number, long = 13): Drawing => spikelet([x, y], degrees, long, 5.5, 'pink')
const stalk = (to = 60): Drawing => [brush([[50, 99], [50, (99 + to) / 2], [50, to]], [3, 2.6, 2])]
const fan = (at: Point, turns: number[], long: number): Drawing => turns.flatMap((d) => floret(placed([[5, 0]], at, d)[0]!, d, long))
const range = (from: number, to: number, count: number): number[] => Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))

export const flowerForm: Record<string, () => Drawing> = {
  'round-head': () => [...stalk(58), ...fan([50, 42], range(-210, 30, 13), 24), ...fan([50, 42], range(-180, 0, 9), 15)],
  'cone-head': () => [...stalk(66), ...range(62, 14, 7).flatMap((y, r) => range(-160, -20, 6).flatMap((d) => floret([50 + Math.cos((d * Math.PI) / 180) * (13 - r * 1.3), y], d, 13 - r * 0.7)))],
  'hairy-sparse-head': () => [...stalk(52), ...fan([50, 48], range(-170, -10, 5), 28), ...range(-200, 20, 18).map((d) => brush([[50, 48], placed([[14, 1]], [50, 48], d)[0]!, placed([[26, 0]], [50, 48], d)[0]!], [1.2, 1, 0.4]))],
  'long-spray': () => [...stalk(6), ...range(80, 12, 10).flatMap((y, i) => [-1, 1].flatMap((s) => floret([50 + s, y + (s > 0 ? 3 : 0)], s > 0 ? 10 - i * 4 : 170 + i * 4, 15 - i * 0.8)))],
  'flat-umbel': () => [...stalk(70), ...range(-1, 1, 7).flatMap((s): Drawing => {
    const tip: Point = [50 + s * 38, 30 + Math.abs(s) * 4]
    return [brush([[50, 70], [50 + s * 22, 48], tip], [1.6, 1.4, 1]), ...range(-150, -30, 4).map((d) => ({ d: straight(tip, placed([[8, 0]], tip, d)[0]!), ink: 'line' as const })), ...range(-150, -30, 4).map((d) => ({ d: circle(placed([[10, 0]], tip, d)[0]!, 2.4), ink: 'brush' as const }))]
  })],
  'thistle-head': () => {
    const cup = smoothClosed([[36, 46], [64, 46], [72, 64], [64, 82], [50, 86], [36, 82], [28, 64]])
    return [...stalk(84), ...range(-150, -30, 15).map((d) => ({ ...brush([[50, 48], placed([[22, 0]], [50, 48], d)[0]!, placed([[42, 0]], [50, 48], d)[0]!], [3, 3, 1]), ink: 'rose' as const })), { d: cup, ink: 'leaf' }, { d: cup, ink: 'line' }, ...[[32, 58], [42, 60], [52, 58], [62, 60], [36, 72], [47, 74], [58, 72]].map(([x, y]) => brush([[x!, y! + 6], [x! + (x! - 50) * 0.12, y!], [x! + (x! - 50) * 0.5, y! - 5]], [2.4, 1.8, 0.4]))]
  },
  'dandelion-head': () => [...stalk(60), ...range(-200, 20, 17).flatMap((d) => spikelet([50, 52], d, 40, 8, 'yellow')), ...range(-170, -10, 11).flatMap((d) => spikelet([50, 50], d, 24, 7, 'yellow'))],
  'daisy-head': () => [...petals(14, 'paper', 45, 11), { d: circle([50, 50], 15), ink: 'yellow' }, { d: circle([50, 50], 15), ink: 'line' }, ...range(0, 330, 12).map((d) => ({ d: circle(placed([[9, 0]], [50, 50], d)[0]!, 1.2), ink: 'brush' as const }))],
  funnel: () => {
    const outline: Point[] = [[46, 90], [42, 60], [26, 30], [8, 20], [28, 14], [36, 6], [50, 12], [64, 6], [72, 14], [92, 20], [74, 30], [58, 60], [54, 90]]
    return [brush([[50, 99], [50, 94], [50, 88]], [3, 3, 3]), { d: smoothClosed(outline), ink: 'paper' }, { d: smoothClosed(outline), ink: 'line' }, ...[34, 50, 66].map((x) => ({ d: smooth([[50 + (x - 50) * 0.2, 82], [50 + (x - 50) * 0.5, 50], [x, 16]]), ink: 'fine' as const })), ...[-1, 1].map((s) => brush([[50 + s * 4, 92], [50 + s * 9, 80], [50 + s * 11, 70]], [3, 2, 0.5]))]
  },
  spike: () => [...stalk(60), ...range(60, 8, 14).flatMap((y, i) => [-1, 1].flatMap((s) => floret([50 + s * 2, y], s > 0 ? -34 : -146, 8 - i * 0.15)))],
  'few-in-claw': () => [...stalk(60), ...[-158, -124, -90, -56, -22].flatMap((d) => {
    const tip = placed([[36, 0]], [50, 60], d)[0]!
    return [brush([[50, 60], placed([[20, 3]], [50, 60], d)[0]!, tip], [2.4, 2.6, 2]), ...spikelet(tip, d, 17, 9, 'yellow')]
  })],
  'tight-small-head': () => [...stalk(44), { d: circle([50, 38], 13), ink: 'yellow' }, ...range(0, 324, 10).map((d) => ({ d: circle(placed([[8.6, 0]], [50, 38], d)[0]!, 4), ink: 'line' as const })), { d: circle([50, 38], 13), ink: 'line' }],
}

const pod = (points: Point[], ink: Ink = 'leaf'): Drawing => [{ d: smoothClosed(points), ink }, { d: smoothClosed(points), ink: 'line' }]

export const fruitCase: Record<string, () => Drawing> = {
  'papery-husk': () => {
    const lantern: Point[] = [[50, 10], [66, 18], [82, 42], [76, 68], [50, 96], [24, 68], [18, 42], [34, 18]]
    return [brush([[30, 2], [42, 4], [50, 12]], [2, 2, 2]), ...pod(lantern, 'straw'), ...[-22, -9, 9, 22].map((dx) => ({ d: smooth([[50 + dx * 0.4, 14], [50 + dx * 1.2, 50], [50 + dx * 0.2, 92]]), ink: 'fine' as const })), { d: circle([50, 56], 14), ink: 'dotted' }]
  },
  'slender-pods-silky': () => [...([[36, 20], [58, 78]] as const).map(([x, x2]) => brush([[50, 4], [x, 40], [x2 - 20, 96]], [3, 6, 0.8])), brush([[50, 4], [66, 36], [70, 60]], [3, 7, 3]), ...range(-60, 70, 11).map((d) => brush([[70, 60], placed([[16, 2]], [70, 60], d)[0]!, placed([[28, 0]], [70, 60], d)[0]!], [0.8, 0.9, 0.4]))],
  berry: () => [brush([[50, 2], [50, 14], [50, 24]], [2.4, 2.4, 2.4]), { d: circle([50, 58], 34), ink: 'brush' }, { ...brush([[34, 50], [38, 40], [48, 34]], [2, 5, 2]), ink: 'paper' }, ...[-150, -110, -70, -30].map((d) => brush([[50, 26], placed([[9, 0]], [50, 26], d)[0]!, placed([[18, 0]], [50, 26], d)[0]!], [4, 3, 0.6]))],
  'flat-pod': () => [brush([[8, 20], [14, 26], [20, 32]], [2.4, 2.4, 2.4]), ...pod([[20, 32], [34, 26], [62, 46], [86, 74], [92, 90], [78, 90], [50, 74], [26, 50]]), ...([[35, 40], [49, 51], [62, 63], [75, 76]] as Point[]).flatMap((c): Drawing => [{ d: circle(c, 6, 5), ink: 'leafDark' }, { d: circle(c, 6, 5), ink: 'line' }])],
  'coiled-pod': () => [{ d: circle([50, 52], 36), ink: 'leaf' }, brush(Array.from({ length: 50 }, (_, i): Point => placed([[4 + i * 0.66, 0]], [50, 52], i * 20)[0]!), [2, 4.4, 3]), ...range(0, 345, 24).map((d) => brush([placed([[35, 0]], [50, 52], d)[0]!, placed([[40, 1]], [50, 52], d)[0]!, placed([[46, 0]], [50, 52], d)[0]!], [1.8, 1.4, 0.4]))],
  bur: () => [...range(0, 342, 20).map((d) => brush([placed([[20, 0]], [50, 50], d)[0]!, placed([[36, 0]], [50, 50], d)[0]!, ...placed([[43, 0], [45, 4], [41, 6]], [50, 50], d)], [2.6, 1.8, 0.8])), { d: circle([50, 50], 24, 26), ink: 'straw' }, { d: circle([50, 50], 24, 26), ink: 'line' }, ...range(0, 300, 6).map((d) => ({ d: circle(placed([[13, 0]], [50, 50], d)[0]!, 1.8), ink: 'brush' as const }))],
  winged: () => [...[-1, 1].flatMap((s) => pod([[50, 40], [50 + s * 20, 20], [50 + s * 42, 26], [50 + s * 46, 52], [50 + s * 30, 74], [50, 70]], 'paper')), ...[-1, 1].flatMap((s) => [0.4, 0.7].map((t) => ({ d: smooth([[50, 54], [50 + s * 22 * t * 1.4, 44 - t * 8], [50 + s * 42 * t, 40]]), ink: 'fine' as const }))), ...pod([[50, 30], [60, 50], [50, 78], [40, 50]], 'straw')],
}

