import {
  frequencyWords,
  type Cell,
  type Character,
  type Flora,
  type FrequencyWord,
  type RangeCell,
  type StateCell,
} from '../flora/flora.ts'
import { nearShare } from './observerError.ts'

/** One cell in so many is dropped or widened. Convention of the simulation. */
const ODD_ONE_IN = 12
/** Sizes are scaled by at most so much, up or down. */
const SIZES_BY = 1.3
/** Young plants are smaller still: their sizes are scaled by a share between these. */
const YOUNG: [number, number] = [0.5, 1]

/** A word a step more or less often, within the list. */
function moved(word: FrequencyWord, random: () => number): FrequencyWord {
  const at = frequencyWords.indexOf(word) + (random() < 0.5 ? -1 : 1)
  return frequencyWords[Math.min(frequencyWords.length - 2, Math.max(0, at))]!
}

/** A state the cell does not list: the one most like those it does, where the character says which are alike. */
export function statesNear(character: Character, listed: readonly string[]): string | undefined {
  const others = (character.states ?? []).filter((s) => !listed.includes(s))
  const like = (s: string) => Math.max(...listed.map((l) => nearShare(character, l, s, 'vegetative')))
  return others.reduce<string | undefined>((a, b) => (a === undefined || like(b) > like(a) ? b : a), undefined)
}

function movedStates(cell: StateCell, character: Character, random: () => number): StateCell {
  const words = Object.fromEntries(Object.entries(cell.words).map(([s, w]) => [s, moved(w, random)]))
  const listed = Object.keys(cell.words)
  // A state that was always there and no longer is leaves room for the one like it.
  const beside = listed.length === 1 && words[listed[0]!] !== 'always' ? statesNear(character, listed) : undefined
  return { kind: 'states', words: beside === undefined ? words : { ...words, [beside]: 'rarely' } }
}

function widened(cell: StateCell, character: Character, random: () => number): StateCell {
  const listed = Object.keys(cell.words)
  const others = (character.states ?? []).filter((s) => !listed.includes(s))
  const near = statesNear(character, listed)
  const added = random() < 0.75 ? near : others[Math.floor(random() * others.length)]
  return added === undefined ? cell : { kind: 'states', words: { ...cell.words, [added]: 'sometimes' } }
}

function scaled(cell: RangeCell, [low, high]: [number, number], times: number): RangeCell {
  const by = (mm: number) => Math.min(high, Math.max(low, mm * times))
  const pair = ([a, b]: [number, number]): [number, number] => [by(a), by(b)]
  return { kind: 'range', typical: pair(cell.typical), extreme: pair(cell.extreme) }
}

/**
 * The book as another hand might have written it: every word moved by a step, one cell in twelve dropped or widened, sizes
 * scaled, those of seedlings downward. Specimens drawn from it and judged by the book as it is can go wrong where the book
 * is wrong; specimens drawn from the book itself cannot.
 *
 * @param random uniform 0 to 1, seeded
 */
export function perturbBook(flora: Flora, random: () => number): Flora {
  const characters = new Map(flora.characters.map((c) => [c.id, c]))
  const cells = (given: Record<string, Cell>, young: boolean): Record<string, Cell> =>
    Object.fromEntries(
      Object.entries(given).flatMap(([id, cell]): [string, Cell][] => {
        const character = characters.get(id)!
        if (cell.kind === 'range') {
          const times = SIZES_BY ** (2 * random() - 1) * (young ? YOUNG[0] + (YOUNG[1] - YOUNG[0]) * random() : 1)
          return [[id, scaled(cell, character.range ?? [0, 1000], times)]]
        }
        const odd = random() * ODD_ONE_IN
        if (odd < 0.5) return []
        if (odd < 1) return [[id, widened(cell, character, random)]]
        return [[id, movedStates(cell, character, random)]]
      }),
    )
  return {
    ...flora,
    plants: flora.plants.map((plant) => ({
      ...plant,
      characters: cells(plant.characters, false),
      stages: Object.fromEntries(
        Object.entries(plant.stages).map(([stage, block]) => [stage, cells(block, stage === 'seedling')]),
      ),
    })),
  }
}
