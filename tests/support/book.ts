import type { CharacterTable } from '@/core/naming/characterTable.ts'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import type { Cell, Character, FrequencyWord, Plant } from '@/core/flora/flora.ts'
import { identify, type Identification } from '@/core/naming/identify.ts'
import type { Context, Observation } from '@/core/records/observation.ts'
import { loadFlora } from '@/server/flora/loadFlora.ts'

/** The shipped book, compiled once per test file. */
export const flora = loadFlora()
export const book = compileFlora(flora)
export const plantsById = new Map(flora.plants.map((p) => [p.id, p]))

export type Look = [character: string, seen: string | string[] | number, sureness?: 'sure' | 'likely' | 'guess']

export const observe = (looks: Look[]): Observation[] =>
  looks.map(([character, seen, sureness = 'sure']) =>
    typeof seen === 'number'
      ? { character, value: seen, unit: 'mm', sureness }
      : { character, states: Array.isArray(seen) ? seen : [seen], sureness },
  )

export const name = (looks: Look[], context: Context = {}): Identification => identify(book, context, observe(looks))

export const probabilityOf = (result: Identification, plant: string): number =>
  result.candidates.find((c) => c.plant === plant)!.probability

export const always = (state: string): Cell => ({ kind: 'states', words: { [state]: 'always' } })
export const mostly = (words: Record<string, FrequencyWord>): Cell => ({ kind: 'states', words })

export function madeCharacter(id: string, states: string[], rest: Partial<Character> = {}): Character {
  return {
    id,
    part: 'made',
    title: id,
    asks: id,
    forms: ['grass'],
    effort: 'hand',
    states,
    mistake: 0.04,
    lacksAt: [],
    takenFor: [],
    how: [],
    ...rest,
  }
}

export function madePlant(id: string, characters: Record<string, Cell>, rest: Partial<Plant> = {}): Plant {
  return {
    id,
    commonName: id,
    scientificName: id,
    author: '',
    family: 'Poaceae',
    alsoCalled: [],
    form: 'grass',
    cycle: 'perennial',
    season: 'cool',
    role: 'forage',
    regions: {},
    months: [],
    ground: [],
    characters,
    stages: {},
    lookalikes: [],
    harm: [],
    control: [],
    sources: [],
    speciesDefault: false,
    ...rest,
  }
}

export const madeBook = (characters: Character[], plants: Plant[]) =>
  compileFlora({ characters, plants, groups: [], hazards: [] })

/** A table of answers that are never mistaken: a row per plant, a share per state. */
export function madeTable(shares: number[][]): CharacterTable {
  const n = shares[0]!.length
  const doubt = shares.map((row) => row.reduce((h, p) => (p > 0 ? h - p * Math.log2(p) : h), 0))
  return {
    character: madeCharacter(
      'made',
      Array.from({ length: n }, (_, i) => `s${i}`),
    ),
    outcomes: n,
    rows: shares.length,
    truth: new Float32Array(Array.from({ length: n }, (_, t) => shares.map((row) => row[t]!)).flat()),
    met: shares[0]!.map((_, t) => shares.reduce((sum, row) => sum + row[t]!, 0) / shares.length),
    coded: new Map(),
    confusion: shares[0]!.map((_, t) => shares[0]!.map((_x, s) => (s === t ? 1 : 0))),
    tells: 0,
    entropy: new Float32Array(doubt),
    status: new Uint8Array(shares.length),
    without: new Int32Array(),
    knots: [],
    edges: [],
  }
}
