import { leaf, oval, type LeafForm } from './leafShape.ts'
import { brush, straight, type Drawing, type Point } from './mark.ts'

const GROUND = 94
const AT: Point = [50, 46]
const soil = (): Drawing => [{ d: straight([2, GROUND], [98, GROUND]), ink: 'line' }, ...[10, 30, 66, 86].map((x) => ({ d: straight([x, GROUND + 4], [x + 7, GROUND + 4]), ink: 'soil' as const }))]
const shoot = (): Drawing => [brush([[50, GROUND], [49, 70], AT], [4, 3.4, 2.6]), ...leaf({ length: 15, width: 8, profile: oval(0.5) }, AT, -106), ...leaf({ length: 13, width: 7, profile: oval(0.5) }, AT, -72)]

/** A seedling with its two seed leaves spread, on stalks of a given length. */
function pair(form: LeafForm, stalk = 0, over: (end: Point, side: -1 | 1) => Drawing = () => []): Drawing {
  return [
    ...soil(),
    ...shoot(),
    ...([-1, 1] as const).flatMap((s) => {
      const foot: Point = [AT[0] + s * stalk, AT[1] - stalk * 0.12]
      return [...(stalk > 0 ? [brush([AT, [AT[0] + s * stalk * 0.5, AT[1] - stalk * 0.1], foot], [2.4, 2.2, 2])] : []), ...leaf(form, foot, s > 0 ? -6 : -174, { veins: 0 }), ...over(foot, s)]
    }),
  ]
}

export const seedleafShape: Record<string, () => Drawing> = {
  strap: () => pair({ length: 47, width: 9, profile: (t) => Math.sin(Math.PI * Math.min(1, Math.max(0, t))) ** 0.3 }),
  lance: () => pair({ length: 46, width: 17, profile: oval(0.4) }),
  egg: () => pair({ length: 40, width: 26, profile: oval(0.4) }, 4),
  round: () => pair({ length: 34, width: 34, profile: oval(0.5) }, 8),
  spoon: () => pair({ length: 44, width: 27, profile: (t) => (0.14 + 0.86 * Math.max(0, Math.sin(Math.PI * t ** 2.4)) ** 0.8) * (t > 0.9 ? Math.sqrt(Math.max(0, 1 - ((t - 0.9) / 0.1) ** 2)) : 1) }),
  'heart-or-kidney': () => pair({ length: 32, width: 42, profile: oval(0.62), notch: 0.22 }, 9),
}

export const seedleafStalk: Record<string, () => Drawing> = {
  none: () => pair({ length: 44, width: 20, profile: oval(0.42) }),
  shorter: () => pair({ length: 33, width: 22, profile: oval(0.45) }, 12),
  'as-long': () => pair({ length: 23, width: 19, profile: oval(0.45) }, 24),
}

const fringe = ([x, y]: Point, s: -1 | 1): Drawing =>
  Array.from({ length: 9 }, (_, i) => i).flatMap((i) => {
    const t = (i + 0.6) / 9.4
    const half = 13 * oval(0.42)(t)
    return [-1, 1].map((up) => brush([[x + s * 42 * t, y + up * half - 4 * t], [x + s * (42 * t + 2), y + up * (half + 6) - 4 * t], [x + s * (42 * t + 4), y + up * (half + 11) - 4 * t]], [1.5, 1.1, 0.4]))
  })

export const seedleafHairs: Record<string, () => Drawing> = {
  none: () => pair({ length: 42, width: 26, profile: oval(0.42) }, 4),
  hairy: () => pair({ length: 42, width: 26, profile: oval(0.42) }, 4, fringe),
}
