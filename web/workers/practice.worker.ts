import * as Comlink from 'comlink'
import { randomLcg } from 'd3-random'
import type { PracticeKind } from '@/core/practice/answer.ts'
import { swardFrame, type FramePlant, type SwardFrame } from '@/core/practice/frame.ts'
import { keyPath, type KeyStep } from '@/core/practice/keyPath.ts'
import * as questions from '@/core/practice/question.ts'
import { practiseSpecimen, type PractiseSpecimen } from '@/core/practice/specimen.ts'
import { nearestPlants, plantDistances } from '@/core/naming/compare.ts'
import { compileFlora, type CompiledFlora } from '@/core/naming/compileFlora.ts'
import type { Flora, Stage } from '@/core/naming/flora.ts'

let compiled: CompiledFlora | undefined
const nearest = new Map<Stage, Map<string, string[]>>()

function book(): CompiledFlora {
  if (!compiled) throw new Error('the book was not opened yet')
  return compiled
}

/** How alike plants are is worked out once for each stage. */
function nearestAt(stage: Stage): Map<string, string[]> {
  const known = nearest.get(stage)
  if (known) return known
  const list = [...nearestPlants(book(), plantDistances(book(), stage), 6)]
  const made = new Map(list.map(([id, near]) => [id, near.map((n) => n.plant)]))
  nearest.set(stage, made)
  return made
}

/** Makes what practice asks, off the page's own thread. */
const api = {
  open: (flora: Flora): void => {
    compiled = compileFlora(flora)
    nearest.clear()
  },
  ask: (kind: PracticeKind, about: string, stage: Stage, seed: number): questions.Question | undefined => {
    const making = { compiled: book(), stage, nearest: nearestAt(stage), random: randomLcg(seed) }
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
    return Comlink.transfer(frame, [frame.plant.buffer, frame.shade.buffer])
  },
}

export type PracticeApi = typeof api
Comlink.expose(api)
