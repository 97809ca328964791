import * as Comlink from 'comlink'
import {
  comparePlants,
  nearestPlants,
  plantDistances,
  type ComparedLook,
  type Neighbour,
} from '@/core/naming/compare.ts'
import { compileFlora, type CompiledFlora } from '@/core/naming/compileFlora.ts'
import type { Stage } from '@/core/flora/flora.ts'
import { identify, type Identification } from '@/core/naming/identify.ts'
import { splitPair, type NextCheck } from '@/core/naming/nextChecks.ts'
import type { Verdict } from '@/core/naming/verdict.ts'
import type { Context, Observation } from '@/core/records/observation.ts'
import { bookTaker } from './bookTaker.ts'

export interface HistoryStep {
  first: string
  probability: number
  verdict: Verdict
}

const CANDIDATES = 24

let compiled: CompiledFlora | undefined

function book(): CompiledFlora {
  if (!compiled) throw new Error('the book was not opened yet')
  return compiled
}

/** The naming engine off the page's own thread. */
const api = {
  ...bookTaker((flora) => void (compiled = compileFlora(flora))),
  /** The likeliest only: the whole book would take longer to hand over than to work out. */
  identify: (context: Context, observations: Observation[]): Identification => {
    const all = identify(book(), context, observations)
    return { ...all, candidates: all.candidates.slice(0, CANDIDATES) }
  },
  split: (a: string, b: string, stage: Stage): NextCheck[] => splitPair(book(), a, b, stage),
  compare: (ids: string[], stage: Stage): ComparedLook[] => comparePlants(book(), ids, stage),
  nearest: (stage: Stage, count: number): Map<string, Neighbour[]> =>
    nearestPlants(book(), plantDistances(book(), stage), count),
  /** The verdict after each answer in turn. */
  history: (context: Context, observations: Observation[]): HistoryStep[] =>
    observations.map((_, i) => {
      const { candidates, verdict } = identify(book(), context, observations.slice(0, i + 1))
      return { first: candidates[0]!.plant, probability: candidates[0]!.probability, verdict }
    }),
}

export type NamingApi = typeof api
Comlink.expose(api)
