import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import type { PracticeKind } from '@/core/practice/answer.ts'
import { swardFrame, type FramePlant, type SwardFrame } from '@/core/practice/frame.ts'
import { keyPath, type KeyStep } from '@/core/practice/keyPath.ts'
import * as questions from '@/core/practice/question.ts'
import { practiseSpecimen, type PractiseSpecimen } from '@/core/practice/specimen.ts'
import { nearestPlants, plantDistances } from '@/core/naming/compare.ts'
import { compileFlora, type CompiledFlora } from '@/core/naming/compileFlora.ts'
import type { Stage } from '@/core/flora/flora.ts'
import { bookTaker } from './bookTaker.ts'

let compiled: CompiledFlora | undefined
let nearest: Map<string, string[]> | undefined

function book(): CompiledFlora {
  if (!compiled) throw new Error('the book was not opened yet')
  return compiled
}

/** How alike plants are is worked out once, before the first question: it takes as long as a hundred of them. */
function nearestOnes(): Map<string, string[]> {
  nearest ??= new Map(
    [...nearestPlants(book(), plantDistances(book(), 'vegetative'), 6)].map(([id, near]) => [
      id,
      near.map((n) => n.plant),
    ]),
  )
  return nearest
}

/** Makes what practice asks, off the page's own thread. */
const api = {
  ...bookTaker((flora) => {
    compiled = compileFlora(flora)
    nearest = undefined
  }),
  /** Work out what the first question would wait for. */
  warm: (): void => void nearestOnes(),
  ask: (kind: PracticeKind, about: string, stage: Stage, seed: number): questions.Question | undefined => {
    const making = { compiled: book(), stage, nearest: nearestOnes(), random: randomLcg(seed) }
    if (kind === 'poison') return questions.poisonQuestion(making, about)
    if (kind === 'seed') return questions.seedQuestion(making, about)
    if (kind === 'check') return questions.checkQuestion(making, about.split('|')[0]!, about.split('|')[1]!)
    if (kind === 'read') {
      const character = book().flora.characters.find((c) => c.id === about)
      return character && questions.readQuestion(making, character)
    }
    return questions.nameQuestion(making, about)
  },
  specimen: (about: string, stage: Stage, seed: number): PractiseSpecimen =>
    practiseSpecimen(book(), book().plants[book().plantIndex.get(about)!]!, stage, 'whole', randomLcg(seed)),
  keyPath: (specimen: PractiseSpecimen): KeyStep[] => keyPath(book(), specimen),
  frame: (plants: FramePlant[], side: number, seed: number): SwardFrame => {
    const frame = swardFrame(plants, side, randomLcg(seed))
    return Comlink.transfer(frame, [frame.plant.buffer, frame.rgba.buffer])
  },
}

export type PracticeApi = typeof api
Comlink.expose(api)
