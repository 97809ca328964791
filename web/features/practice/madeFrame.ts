import { shuffler } from 'd3-array'
import type { FramePlant } from '@/core/practice/frame.ts'
import { say } from '../../language/say.ts'

/** What is asked of a frame: the share of one plant or of the bare ground, or the order of three. */
export interface FrameAsked {
  /** Number of the plant in the frame; 0 is bare ground. */
  of: number
  words: string
  names: string[]
}

const names = () => [say('grass'), say('clover'), say('plantain')]

/** A frame of three plants with shares by chance, and what is asked of it. */
export function madeFrame(kind: 'cover' | 'rank', random: () => number): { asked: FrameAsked; plants: FramePlant[] } {
  const bare = 0.05 + 0.35 * random()
  const usual = [0.3 + random(), 0.08 + 0.8 * random() ** 2, 0.05 + 0.5 * random() ** 2]
  // Where the order is asked, grass is not the most by habit: whoever knows that need not look.
  const parts = kind === 'rank' ? shuffler(random)(usual) : usual
  const sum = parts.reduce((a, b) => a + b, 0)
  const kinds = ['blade', 'trefoil', 'rosette'] as const
  const plants = parts.map((p, i): FramePlant => ({
    kind: kinds[i]!,
    cover: ((1 - bare) * p) / sum,
    clumped: random(),
    // Grass from bitten down to hay.
    ...(i === 0 ? { highMm: 30 * 10 ** random() } : {}),
  }))
  const of = kind === 'rank' ? 0 : [0, 2, 2, 3, 1][Math.floor(random() * 5)]!
  return {
    asked: { of, words: of === 0 ? say('bare ground') : names()[of - 1]!, names: names() },
    plants: kind === 'rank' ? plants : withCover(plants, of, anyCover(random())),
  }
}

/** Fewest and most of a frame that is asked for: an eye that has only seen the middle is no judge of a field. */
const COVERS = [0.005, 0.95] as const

/** A cover between these, as likely in each step of log odds. @param u 0 to 1 */
function anyCover(u: number): number {
  const [low, high] = COVERS.map((p) => Math.log(p / (1 - p))) as [number, number]
  return 1 / (1 + Math.exp(-(low + u * (high - low))))
}

/** The same frame with a plant, or the bare ground, at a cover; the others share out what is left as they did. */
function withCover(plants: FramePlant[], of: number, cover: number): FramePlant[] {
  const bare = 1 - plants.reduce((sum, p) => sum + p.cover, 0)
  const before = of === 0 ? bare : plants[of - 1]!.cover
  const times = (1 - cover) / (1 - before)
  return plants.map((p, i) => ({ ...p, cover: i === of - 1 ? cover : p.cover * times }))
}
