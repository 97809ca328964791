import { brush, circle, smooth, smoothClosed, straight, type Drawing, type Ink, type Point } from '../mark.ts'
import { GROUND, type Piece, type Traits } from './portrait.ts'

const ground = (): Drawing => [{ d: smooth([[1, GROUND], [30, GROUND + 0.4], [62, GROUND - 0.3], [99, GROUND]]), ink: 'line' }, ...[5, 22, 67, 88].map((x, i) => ({ d: straight([x, GROUND + 6 + (i % 2) * 8], [x + 5, GROUND + 6 + (i % 2) * 8]), ink: 'soil' as const }))]

const fibres = (x: number, deep: number, random: () => number, count = 6): Drawing =>
  Array.from({ length: count }, (_, i) => {
    const s = (i / (count - 1)) * 2 - 1
    const d = deep * (0.75 + 0.35 * random())
    return brush([[x + s * 1.2, GROUND], [x + s * 4 + (random() - 0.5) * 3, GROUND + d * 0.5], [x + s * 8 + (random() - 0.5) * 4, GROUND + d]], [0.9, 0.7, 0.2])
  })

const rootInk = (traits: Traits): Ink => ({ reddish: 'rust', black: 'brush', yellow: 'yellow', pale: 'paper' }) [traits.states['root.colour'] ?? 'pale'] as Ink

function tap(x: number, grown: number, traits: Traits, random: () => number): Drawing {
  const wide = traits.young ? grown * 0.4 : grown
  const outline = smoothClosed([[x - wide, GROUND], [x - wide * 0.8, GROUND + 9], [x - wide * 0.3, GROUND + 20], [x + 0.5, 118], [x + wide * 0.3, GROUND + 20], [x + wide * 0.8, GROUND + 9], [x + wide, GROUND]])
  const side = [6, 11, 17, 22].map((dy, i) => {
    const s = i % 2 ? 1 : -1
    return brush([[x + s * wide * 0.5, GROUND + dy], [x + s * (7 + random() * 3), GROUND + dy + 3], [x + s * (13 + random() * 5), GROUND + dy + 4 + random() * 4]], [0.9, 0.6, 0.2])
  })
  return [...side, { d: outline, ink: rootInk(traits) }, { d: outline, ink: 'line' }]
}

/** An underground stem with scales at its joints, from one shoot to another. */
function rhizome(from: number, to: number, deep: number): Drawing {
  const s = Math.sign(to - from)
  const path: Point[] = [[from, GROUND], [from + s * 6, GROUND + deep], [to - s * 8, GROUND + deep + 1], [to, GROUND]]
  const joints = Array.from({ length: Math.max(2, Math.round(Math.abs(to - from) / 8)) }, (_, i) => from + s * (9 + i * 8)).filter((x) => Math.abs(x - from) < Math.abs(to - from) - 6)
  return [
    brush(path, [1.8, 2.6, 1.8]),
    ...joints.flatMap((x) => [brush([[x, GROUND + deep - 2.2], [x + s * 2, GROUND + deep], [x, GROUND + deep + 2.4]], [0.5, 0.9, 0.3]), brush([[x, GROUND + deep + 1], [x + 1, GROUND + deep + 5], [x - 1, GROUND + deep + 9]], [0.7, 0.5, 0.2])]),
  ]
}

/** Where the shoots of a plant stand, by how it spreads: the mother and the daughters. */
export function shootPlaces(habit: string | undefined, young = false): { x: number; size: number }[] {
  if (young) return [{ x: 46, size: 0.6 }]
  if (habit === 'rhizome') return [{ x: 34, size: 1 }, { x: 78, size: 0.62 }]
  if (habit === 'stolon') return [{ x: 30, size: 1 }, { x: 60, size: 0.55 }, { x: 82, size: 0.42 }]
  if (habit === 'rhizome-and-stolon') return [{ x: 46, size: 1 }, { x: 82, size: 0.5 }, { x: 14, size: 0.42 }]
  return [{ x: 46, size: 1 }]
}

function spread(habit: string | undefined, random: () => number): Drawing {
  const places = shootPlaces(habit)
  const [mother, ...rest] = places
  const runner = (to: number): Drawing => [
    brush([[mother!.x, GROUND - 1.5], [(mother!.x + to) / 2, GROUND - 4], [to, GROUND - 1.5]], [1.6, 2, 1.6]),
    ...[0.5, 1].flatMap((t) => [-1.5, 1.5].map((dx) => brush([[mother!.x + (to - mother!.x) * t, GROUND - 2], [mother!.x + (to - mother!.x) * t + dx, GROUND + 4], [mother!.x + (to - mother!.x) * t + dx * 2, GROUND + 9 + random() * 3]], [0.8, 0.6, 0.2]))),
  ]
  if (habit === 'rhizome') return rest.flatMap((p) => rhizome(mother!.x, p.x, 13))
  if (habit === 'stolon') return rest.flatMap((p) => runner(p.x))
  if (habit === 'rhizome-and-stolon') return [...rhizome(mother!.x, rest[0]!.x, 13), ...runner(rest[1]!.x)]
  return []
}

/** Ground, runners and roots of a grass, sedge or rush. */
export function grassBelow(traits: Traits, random: () => number): Piece {
  const habit = traits.states['habit'] ?? (traits.states['rhizome.length'] === 'long' ? 'rhizome' : undefined)
  const marks: Drawing = [...(traits.young ? [] : spread(habit, random)), ...shootPlaces(habit, traits.young).flatMap((p) => fibres(p.x, 22 * p.size + 6, random, p.size === 1 ? 8 : 5))]
  if (traits.states['root.kind'] === 'tubers')
    for (const [x, y] of [[28, 106], [46, 110], [62, 105]] as const) marks.push(brush([[46, GROUND + 4], [(46 + x) / 2, (GROUND + y) / 2], [x, y - 3]], [0.8, 0.7, 0.6]), { d: circle([x, y], 4.2, 3.6), ink: 'straw' }, { d: circle([x, y], 4.2, 3.6), ink: 'line' })
  return { part: 'below ground', shows: ['habit', 'rhizome.length', 'root.kind', 'root.colour'], marks: [...ground(), ...marks] }
}

/** Ground and root of a broad-leaved plant. */
export function herbBelow(traits: Traits, random: () => number, x = 46): Piece {
  const kind = traits.states['root.kind']
  const marks: Drawing = [...ground()]
  if (kind === 'creeping-root' || (kind === undefined && traits.states['habit'] === 'rhizome')) {
    marks.push(brush([[2, GROUND + 15], [30, GROUND + 12], [66, GROUND + 15], [98, GROUND + 12]], [2, 2.6, 1.8]), brush([[x, GROUND + 13], [x + 0.6, GROUND + 6], [x, GROUND]], [2, 2, 2.2]))
    for (const fx of [16, 34, 62, 82]) marks.push(brush([[fx, GROUND + 14], [fx + 1, GROUND + 20], [fx - 1, GROUND + 25 + random() * 3]], [0.8, 0.6, 0.2]))
    marks.push(brush([[84, GROUND + 13], [83, GROUND + 5], [84, GROUND - 4]], [1.6, 1.4, 0.6]))
  } else if (kind === 'taproot' || (kind === undefined && traits.states['habit'] === 'single-crown')) {
    if (traits.states['habit'] === 'rhizome') marks.push(...rhizome(x, 84, 11), ...rhizome(x, 12, 12))
    marks.push(...tap(x, 4.2, traits, random))
  }
  else if (kind === 'tubers')
    for (const dx of [-13, -5, 4, 12]) {
      const outline = circle([x + dx, GROUND + 15 - Math.abs(dx) * 0.2], 3.6, 7.5)
      marks.push(brush([[x, GROUND], [x + dx * 0.6, GROUND + 4], [x + dx, GROUND + 8]], [1.2, 1, 1]), { d: outline, ink: rootInk(traits) }, { d: outline, ink: 'line' })
    }
  else if (kind === 'bulb') {
    const bulb = smoothClosed([[x, GROUND - 1], [x + 7, GROUND + 6], [x + 7, GROUND + 14], [x, GROUND + 19], [x - 7, GROUND + 14], [x - 7, GROUND + 6]])
    marks.push({ d: bulb, ink: 'paper' }, { d: bulb, ink: 'line' }, ...[-3, 3].map((dx) => ({ d: smooth([[x + dx * 0.2, GROUND + 1], [x + dx * 1.4, GROUND + 9], [x + dx * 0.3, GROUND + 18]]), ink: 'fine' as const })), ...[-4, 0, 4].map((dx) => brush([[x + dx * 0.5, GROUND + 18], [x + dx, GROUND + 23], [x + dx * 1.6, GROUND + 28]], [0.7, 0.5, 0.2])))
  } else marks.push(...fibres(x, 24, random, 9))
  return { part: 'below ground', shows: ['root.kind', 'habit', 'root.colour', 'rhizome.length'], marks }
}

