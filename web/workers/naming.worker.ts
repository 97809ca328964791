import * as Comlink from 'comlink'
import { compileFlora, type CompiledFlora } from '@/core/naming/compileFlora.ts'
import type { Flora, Stage } from '@/core/naming/flora.ts'
import { identify, type Identification } from '@/core/naming/identify.ts'
import { splitPair, type NextCheck } from '@/core/naming/nextChecks.ts'
import type { Context, Observation } from '@/core/naming/observation.ts'

let compiled: CompiledFlora | undefined

function book(): CompiledFlora {
  if (!compiled) throw new Error('the book was not opened yet')
  return compiled
}

/** The naming engine off the page's own thread. */
const api = {
  open: (flora: Flora): void => void (compiled = compileFlora(flora)),
  identify: (context: Context, observations: Observation[]): Identification => identify(book(), context, observations),
  split: (a: string, b: string, stage: Stage): NextCheck[] => splitPair(book(), a, b, stage),
}

export type NamingApi = typeof api
Comlink.expose(api)
