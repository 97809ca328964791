import { describe, expect, it } from 'vitest'
import { infer } from '@/core/naming/inference.ts'
import { stateShares } from '@/core/flora/frequency.ts'
import { identify } from '@/core/naming/identify.ts'
import { informationGain } from '@/core/naming/informationGain.ts'
import { confusionMatrix } from '@/core/naming/observerError.ts'
import { NOT_IN_BOOK_PRIOR } from '@/core/naming/prior.ts'
import { always, flora, madeBook, madeCharacter, madePlant, madeTable, mostly } from '@/tests/support/book.ts'

/** Two plants, two characters of two states: small enough to do on paper. */
const first = madeCharacter('shoot', ['rolled', 'folded'], { mistake: 0.04 })
const second = madeCharacter('tip', ['boat', 'pointed'], { mistake: 0.04 })
const rolled = madePlant('rolled-one', {
  shoot: always('rolled'),
  tip: mostly({ pointed: 'usually', boat: 'sometimes' }),
})
const folded = madePlant('folded-one', { shoot: always('folded'), tip: always('boat') })
const tiny = madeBook([first, second], [rolled, folded])

describe("Bayes' rule by hand on a book of two plants", () => {
  // always = 0.97 against 0.006 for what is not listed, scaled to sum to 1. A careful look slips once in a hundred, to a state
  // by three quarters of how often it is met and a quarter by lot: of two states met alike, half the slips fall on the other.
  const shown = 0.97 / 0.976
  const slip = 0.01 * (0.75 * 0.5 + 0.25 / 2)
  const seenRight = shown * (1 - slip) + (1 - shown) * slip
  const seenWrong = 1 - seenRight

  it('one sure look turns even odds into the ratio of the likelihoods', () => {
    const { posterior } = infer(tiny, {}, [{ character: 'shoot', states: ['rolled'] }])
    expect(posterior[0]! / posterior[1]!).toBeCloseTo(seenRight / seenWrong, 3)
  })

  it('two looks multiply', () => {
    const { posterior } = infer(tiny, {}, [
      { character: 'shoot', states: ['rolled'] },
      { character: 'tip', states: ['boat'] },
    ])
    // Boats are met in the mean of 0.2 and of what is always there.
    const met = (0.2 + shown) / 2
    const toBoat = 0.01 * (0.75 * met + 0.25 / 2)
    const toPointed = 0.01 * (0.75 * (1 - met) + 0.25 / 2)
    const boatOfRolled = 0.8 * toBoat + 0.2 * (1 - toPointed)
    const boatOfFolded = (1 - shown) * toBoat + shown * (1 - toPointed)
    expect(posterior[0]! / posterior[1]!).toBeCloseTo((seenRight / seenWrong) * (boatOfRolled / boatOfFolded), 2)
  })

  it('a stranger keeps its prior share of what nobody looked at', () => {
    const { posterior, cousins } = infer(tiny, {}, [])
    const strangers = posterior.slice(2).reduce((a, b) => a + b, 0)
    expect(strangers + cousins[0]! + cousins[1]!).toBeCloseTo(NOT_IN_BOOK_PRIOR, 12)
    expect(posterior[0]).toBeCloseTo((1 - NOT_IN_BOOK_PRIOR) / 2, 12)
  })

  it('"either" adds the two answers up: all states together say nothing', () => {
    const all = infer(tiny, {}, [{ character: 'shoot', states: ['rolled', 'folded'] }])
    expect(all.posterior[0]! / all.posterior[1]!).toBeCloseTo(1, 6)
  })

  it('bits of a look are the logarithm of how much likelier it is than on the average of the book', () => {
    const { weighed, prior } = infer(tiny, {}, [{ character: 'shoot', states: ['rolled'] }])
    const w = weighed[0]!
    // A kin of each plant, half of the 5 in 100, looks seven tenths like it and the rest like a strange grass (row 2).
    const kin = (0.05 * 0.5) / 2
    const average = prior.map((p, r) => p + (r < 2 ? 0.7 * kin : r === 2 ? 0.3 * 2 * kin : 0))
    const mean = w.likelihood.reduce((s, l, r) => s + l * average[r]!, 0)
    expect(w.bits[0]).toBeCloseTo(Math.log2(seenRight / mean), 5)
    expect(w.bits[1]).toBeLessThan(0)
  })

  it('a sown plant of two has eight times the odds (convention of this project)', () => {
    const { posterior } = infer(tiny, { sown: ['folded-one'] }, [])
    expect(posterior[1]! / posterior[0]!).toBeCloseTo(8, 9)
  })

  it('a less sure look says less, a guess least, and none turns round', () => {
    const odds = (sureness: 'sure' | 'likely' | 'guess') => {
      const { posterior } = infer(tiny, {}, [{ character: 'shoot', states: ['rolled'], sureness }])
      return posterior[0]! / posterior[1]!
    }
    expect(odds('sure')).toBeGreaterThan(odds('likely'))
    expect(odds('likely')).toBeGreaterThan(odds('guess'))
    expect(odds('guess')).toBeGreaterThan(1)
  })

  it('answers cover every plant, sorted, and sum to 1 with "not in this book"', () => {
    const { candidates, notInBook } = identify(tiny, {}, [{ character: 'tip', states: ['boat'] }])
    expect(candidates.map((c) => c.plant)).toEqual(['folded-one', 'rolled-one'])
    expect(candidates.reduce((s, c) => s + c.probability, notInBook)).toBeCloseTo(1, 12)
  })
})

describe('expected information (Lindley 1956) by hand', () => {
  /** Worth of one look at two equally likely plants that show a state with these chances. */
  const worth = (ofFirst: number, ofSecond: number): number => {
    const table = madeTable([
      [ofFirst, 1 - ofFirst],
      [ofSecond, 1 - ofSecond],
    ])
    return informationGain(table, Int32Array.of(0, 1), new Float64Array([0.5, 0.5]))
  }

  it('a look that always tells two equal plants apart is worth one bit', () => expect(worth(1, 0)).toBeCloseTo(1, 6))
  it('a look on which both agree is worth nothing', () => expect(worth(0.7, 0.7)).toBeCloseTo(0, 6))
  it('a look that errs once in ten is worth 1 - H(0.1) = 0.531 bits', () =>
    expect(worth(0.9, 0.1)).toBeCloseTo(0.531, 3))
})

describe('frequency words', () => {
  it('become shares that sum to 1 with no state quite impossible', () => {
    const shares = stateShares({ kind: 'states', words: { a: 'usually', b: 'sometimes' } }, ['a', 'b', 'c'])
    expect(shares.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 12)
    expect(shares[0]! / shares[1]!).toBeCloseTo(4, 12)
    expect(shares[2]).toBeGreaterThan(0)
    expect(shares[2]).toBeLessThan(0.01)
  })

  it('keep their order: always, usually, often, sometimes, rarely, never', () => {
    const words = ['always', 'usually', 'often', 'sometimes', 'rarely', 'never'] as const
    const against = words.map((w) => stateShares({ kind: 'states', words: { a: w, b: 'often' } }, ['a', 'b'])[0]!)
    for (let i = 1; i < against.length; i++) expect(against[i]!).toBeLessThan(against[i - 1]!)
  })
})

describe('observer error', () => {
  const ofBook = (id: string) => flora.characters.find((c) => c.id === id)!
  const ligule = ofBook('ligule.type')

  it.each(['sure', 'likely', 'guess'] as const)('each row of answers sums to 1 when %s', (sureness) => {
    for (const row of confusionMatrix(ligule, sureness, 'vegetative'))
      expect(row.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12)
  })

  it('a membrane is taken for a fringed one more often than for none at all (common practice, no source)', () => {
    const [membrane] = confusionMatrix(ligule, 'sure', 'vegetative')
    expect(membrane![1]!).toBeGreaterThan(2 * membrane![3]!)
  })

  it('rolled and folded are mixed up more on seedlings than on grown shoots (common practice, no source)', () => {
    const vernation = ofBook('vernation')
    const wrong = (stage: 'seedling' | 'vegetative') => confusionMatrix(vernation, 'sure', stage)[0]![1]!
    expect(wrong('seedling')).toBeGreaterThan(3 * wrong('vegetative'))
  })

  it('even a guess is right at least as often as an answer drawn by lot', () => {
    const bad = madeCharacter('colour', ['a', 'b', 'c'], { mistake: 0.45 })
    confusionMatrix(bad, 'guess', 'vegetative').forEach((row, i) =>
      expect(row[i]!).toBeGreaterThanOrEqual(1 / 3 - 1e-9),
    )
  })
})
