import { frequencyWords, type Cell, type Character, type FrequencyWord } from '@/core/flora/flora.ts'
import { nearest } from './problem.ts'

type Say = (path: string[], message: string) => void

const isPair = (x: unknown): x is [number, number] =>
  Array.isArray(x) && x.length === 2 && x.every((n) => typeof n === 'number' && Number.isFinite(n))

function readRange(value: unknown, character: Character, path: string[], say: Say): Cell | undefined {
  const given = (value ?? {}) as Record<string, unknown>
  const { typical, extreme } = given
  const [low, high] = character.range ?? [0, Infinity]
  if (!isPair(typical) || !isPair(extreme)) {
    say(path, `${character.id} is measured in mm: write {typical: [low, high], extreme: [low, high]}`)
    return undefined
  }
  const inOrder = extreme[0] <= typical[0] && typical[0] <= typical[1] && typical[1] <= extreme[1]
  if (!inOrder || extreme[0] < low || extreme[1] > high) {
    say(
      path,
      `${character.id}: the typical range must lie inside the extreme one, and both between ${low} and ${high} mm`,
    )
    return undefined
  }
  return { kind: 'range', typical, extreme }
}

function readStates(value: unknown, character: Character, path: string[], say: Say): Cell | undefined {
  const states = character.states ?? []
  const given: Record<string, unknown> =
    typeof value === 'string' ? { [value]: 'always' } : ((value ?? {}) as Record<string, unknown>)
  const words: Record<string, FrequencyWord> = {}
  if (typeof given !== 'object' || Object.keys(given).length === 0) say(path, `${character.id}: no state is given`)
  for (const [state, word] of Object.entries(given)) {
    if (!states.includes(state))
      say(
        [...path, state],
        `${character.id} has no state "${state}"; allowed: ${states.join(', ')} (nearest: ${nearest(state, states, 1)[0]})`,
      )
    else if (!frequencyWords.includes(word as FrequencyWord))
      say([...path, state], `"${String(word)}" is not a frequency word; allowed: ${frequencyWords.join(', ')}`)
    else words[state] = word as FrequencyWord
  }
  return { kind: 'states', words }
}

/** Cells of one block of a plant file; what is wrong is said with its path, and left out. */
export function readCells(
  block: Record<string, unknown>,
  characters: Character[],
  path: string[],
  say: Say,
): Record<string, Cell> {
  const known = new Map(characters.map((c) => [c.id, c]))
  const cells: Record<string, Cell> = {}
  for (const [id, value] of Object.entries(block)) {
    const character = known.get(id)
    if (!character) {
      say([...path, id], `there is no character "${id}"; nearest: ${nearest(id, [...known.keys()]).join(', ')}`)
      continue
    }
    const read = character.states ? readStates : readRange
    const cell = read(value, character, [...path, id], say)
    if (cell) cells[id] = cell
  }
  return cells
}
