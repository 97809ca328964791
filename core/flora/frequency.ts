import type { FrequencyWord, StateCell } from './flora.ts'

/**
 * Share of plants that show a state, for each frequency word; shares of one cell are then scaled to sum to 1.
 * The one table of its kind. Convention of this project: words as a field botanist uses them, no published source.
 */
export const shareOfWord: Record<FrequencyWord, number> = {
  always: 0.97,
  usually: 0.8,
  often: 0.5,
  sometimes: 0.2,
  rarely: 0.04,
  never: 0.001,
}

/** What all unlisted states keep together: "nothing is fixed in nature", so no state is ever quite impossible. */
const UNLISTED_TOGETHER = 0.006

/**
 * Shares of each state of a character in a plant.
 *
 * @param cell the coded words
 * @param states the character's states, in order
 * @returns one share per state, in the same order, above 0, summing to 1
 */
export function stateShares(cell: StateCell, states: readonly string[]): number[] {
  const unlisted = states.filter((s) => cell.words[s] === undefined).length
  const raw = states.map((s) => {
    const word = cell.words[s]
    return word === undefined ? UNLISTED_TOGETHER / unlisted : shareOfWord[word]
  })
  const total = raw.reduce((a, b) => a + b, 0)
  return raw.map((x) => x / total)
}
