import type { MassResult } from '@/core/methods/estimators/standingMass.ts'
import { say } from './say.ts'

type Failed = Extract<MassResult, { problem: unknown }>

/** Why a mass cannot be worked out yet. */
export function massProblemWords({ problem, clipped }: Failed): string {
  if (problem === 'one-reading-clipped')
    return say('All clipped frames have the same reading: clip low and high ones too.')
  if (problem === 'one-frame') return say('One frame tells nothing of the error: clip a second.')
  return say('A line needs three clipped frames or more, over the whole range of heights; there {{what}}.', {
    what: clipped.length === 1 ? say('is one') : say('are {{n}}', { n: clipped.length }),
  })
}
