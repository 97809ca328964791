import { brush, closed, straight, type Drawing, type Point } from './mark.ts'

/** A leaf cut across, lying flat: the hairs stand on its upper side or hang from the lower. */
function slice(hairs: (x: number, i: number) => Drawing, upper: boolean, step: number, from = 4, to = 97): Drawing {
  const [top, bottom] = upper ? [62, 80] : [20, 38]
  const out: Drawing = [
    { d: closed([2, top], [98, top], [98, bottom], [2, bottom]), ink: 'leaf' },
    { d: closed([2, bottom - 5], [98, bottom - 5], [98, bottom], [2, bottom]), ink: 'leafDark' },
    ...[16, 33, 50, 67, 84].map((x) => ({ d: straight([x - 3, (top + bottom) / 2], [x + 3, (top + bottom) / 2]), ink: 'fine' as const })),
    { d: straight([2, top], [98, top]), ink: 'line' },
    { d: straight([2, bottom], [98, bottom]), ink: 'line' },
  ]
  for (let x = from, i = 0; x <= to; x += step, i++) out.push(...hairs(x, i))
  return out
}

function states(upper: boolean): Record<string, () => Drawing> {
  const y = upper ? 62 : 38
  const up = upper ? -1 : 1
  const hair = (long: number, lean: number, widths: [number, number, number]) => (x: number, i: number): Drawing => {
    const l = long * (0.86 + ((i * 5) % 4) * 0.06)
    const points: Point[] = [[x, y], [x + lean * 0.4 + (i % 2) * 0.8, y + up * l * 0.55], [x + lean + ((i * 3) % 5) - 2, y + up * l]]
    return [brush(points, widths)]
  }
  return {
    none: () => slice(() => [], upper, 50),
    sparse: () => slice(hair(27, 4, [3, 2.2, 0.6]), upper, 17, 9),
    'short-dense': () => slice(hair(11, 1, [1.5, 1.1, 0.4]), upper, 4.4),
    velvety: () => slice(hair(19, 0, [1.1, 0.9, 0.5]), upper, 2.4),
    long: () => slice(hair(42, 9, [1.5, 1.1, 0.4]), upper, 7.5),
    stiff: () => slice((x, i) => [...hair(31, 0, [4.4, 2.4, 0.6])(x, i)], upper, 15, 8),
    // Hairs tangled like wool.
    woolly: () => slice((x, i) => [brush([[x, y], [x + 5, y + up * 9], [x - 5, y + up * 16], [x + 6, y + up * 23], [x - 1, y + up * (29 - (i % 3) * 3)]], [1, 1.2, 0.6])], upper, 4.6),
    'tuft-at-base': () => [...slice(hair(36, 6, [1.5, 1.1, 0.4]), upper, 3.4, 6, 24), { d: straight([4, y - up * 30], [4, y + up * 10]), ink: 'line' }],
  }
}

const [above, below] = [states(true), states(false)]
const pick = (from: Record<string, () => Drawing>, ids: string[]): Record<string, () => Drawing> => Object.fromEntries(ids.map((id) => [id, from[id]!]))

export const hairsUpper = pick(above, ['none', 'sparse', 'short-dense', 'velvety', 'long', 'stiff', 'tuft-at-base'])
export const hairsLower = pick(below, ['none', 'sparse', 'short-dense', 'velvety', 'long', 'stiff', 'woolly'])
