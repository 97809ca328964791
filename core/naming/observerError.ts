import type { Character, Stage } from './flora.ts'

export const surenesses = ['sure', 'likely', 'guess'] as const
export type Sureness = (typeof surenesses)[number]

/** How many times likelier than a careful look a less sure one is to be wrong. Convention of this project. */
const MISTAKES_TIMES: Record<Sureness, number> = { sure: 1, likely: 2.5, guess: 6 }
/** Least share of wrong answers: even where a careful look hardly errs, a guess may. Convention of this project. */
const LEAST_WRONG: Record<Sureness, number> = { sure: 0, likely: 0.1, guess: 0.3 }

interface Mixed {
  states: [string, string]
  /** Share of careful looks that take one of the two for the other. */
  share: number
  stage?: Stage
}

/** States that trained people take for one another, beyond the character's general mistakes. Common practice, no source. */
const mixedUp: Record<string, Mixed[]> = {
  'life.form': [
    { states: ['grass', 'sedge'], share: 0.06 },
    { states: ['sedge', 'rush'], share: 0.06 },
    { states: ['legume', 'forb'], share: 0.06 },
  ],
  vernation: [{ states: ['rolled', 'folded'], share: 0.12, stage: 'seedling' }],
  'ligule.type': [
    { states: ['membrane', 'fringed-membrane'], share: 0.06 },
    { states: ['fringed-membrane', 'hairs'], share: 0.06 },
  ],
  'leaflet.margin': [{ states: ['entire', 'fine-all-round'], share: 0.06 }],
  'stem.hairs': [{ states: ['none', 'sparse'], share: 0.05 }],
  'hairs.upper': [{ states: ['none', 'sparse'], share: 0.05 }],
  'hairs.lower': [{ states: ['none', 'sparse'], share: 0.05 }],
  'stem.section': [
    { states: ['round', 'oval'], share: 0.08 },
    { states: ['oval', 'flat'], share: 0.08 },
    { states: ['flat', 'wafer-flat'], share: 0.08 },
  ],
  'leaf.outline': [
    { states: ['feathery', 'fern-like'], share: 0.1 },
    { states: ['lobed', 'pinnate-cut'], share: 0.08 },
  ],
  'blade.ribs': [{ states: ['fine-veins', 'deep-ribs'], share: 0.06 }],
}

/** True where a character is mixed up more at one stage than at others. */
export const mixesUpMoreAt = (character: string, stage: Stage): boolean =>
  (mixedUp[character] ?? []).some((m) => m.stage === stage)

/**
 * Probability of each answer given what is truly there.
 *
 * @returns a row per true state, a column per answered state, each row summing to 1
 */
export function confusionMatrix(character: Character, sureness: Sureness, stage: Stage): number[][] {
  const states = character.states ?? []
  const n = states.length
  const times = MISTAKES_TIMES[sureness]
  const pairs = (mixedUp[character.id] ?? []).filter((m) => m.stage === undefined || m.stage === stage)
  return states.map((truth) => {
    const row: number[] = states.map(() => character.mistake / Math.max(1, n - 1))
    for (const { states: pair, share } of pairs) {
      if (!pair.includes(truth)) continue
      const other = pair[0] === truth ? pair[1] : pair[0]
      row[states.indexOf(other)] = (row[states.indexOf(other)] ?? 0) + share
    }
    const here = states.indexOf(truth)
    row[here] = 0
    const wrong = row.reduce((a, b) => a + b, 0)
    // Even a pure guess keeps a little worth: never wrong more often than an answer drawn by lot.
    const share = Math.min(Math.max(times * wrong, LEAST_WRONG[sureness]), 1 - 1 / n)
    // What is mixed up by one who looked is not all that is mixed up by one who did not: half falls anywhere.
    const anywhere = sureness === 'sure' ? 0 : 0.5
    const scaled = row.map((x, s) =>
      s === here || n === 1 ? 0 : share * (anywhere / (n - 1) + (wrong === 0 ? 0 : ((1 - anywhere) * x) / wrong)),
    )
    scaled[here] = 1 - scaled.reduce((a, b) => a + b, 0)
    return scaled
  })
}

/** How far a measured size spreads beyond the plant's own range, and how often it is read off quite wrongly. */
export function measuringError(sureness: Sureness): { widen: number; blunder: number } {
  if (sureness === 'sure') return { widen: 0.95, blunder: 0.01 }
  if (sureness === 'likely') return { widen: 0.85, blunder: 0.05 }
  return { widen: 0.65, blunder: 0.2 }
}
