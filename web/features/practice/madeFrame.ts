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
  const parts = [0.3 + random(), 0.08 + 0.8 * random() ** 2, 0.05 + 0.5 * random() ** 2]
  const sum = parts.reduce((a, b) => a + b, 0)
  const kinds = ['blade', 'trefoil', 'rosette'] as const
  const plants = parts.map((p, i): FramePlant => ({
    kind: kinds[i]!,
    cover: ((1 - bare) * p) / sum,
    clumped: random(),
  }))
  const of = kind === 'rank' ? 0 : [0, 2, 2, 3, 1][Math.floor(random() * 5)]!
  return {
    asked: { of, words: of === 0 ? say('bare ground') : names()[of - 1]!, names: names() },
    plants,
  }
}
