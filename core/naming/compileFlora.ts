import {
  cellAt,
  lifeForms,
  stages,
  type Character,
  type Flora,
  type LifeForm,
  type Plant,
  type Stage,
} from './flora.ts'
import { stateShares } from './frequency.ts'
import { confusionMatrix } from './observerError.ts'
import { sizeKnots, sizeProbability, type SizeKnots } from './sizeDistribution.ts'

export const CODED = 0
export const NOT_CODED = 1
export const NO_SUCH_PART = 2

/** Outcomes a measurement is sorted into when its worth is weighed before it is taken. */
export const SIZE_BINS = 8

/** States by which an observer says that a part is not there: true of a plant that has no such part. */
const absenceStates = new Set(['none', 'absent', 'plain', 'none-distinct', 'not-found'])
/** Chance that an observer finds something where the plant has no such part at all. */
const SEEN_WHERE_NONE = 0.02
// Answering about a part is itself a sign that the plant has it: the question would seldom come up otherwise.
const ABSENCE_SAID = 0.25

/** One character at one stage, ready for arithmetic. Rows are the plants, then the strangers. */
export interface CharacterTable {
  character: Character
  /** States, or size bins. */
  outcomes: number
  /** rows x outcomes: probability of what is truly there. */
  truth: Float64Array
  /** rows x outcomes: probability of each answer of a careful observer. */
  answers: Float64Array
  status: Uint8Array
  /** Size characters: what the coded ranges mean, per plant row. */
  knots: (SizeKnots | undefined)[]
  /** Edges of the size bins in mm, outcomes + 1 of them. */
  edges: number[]
}

export interface CompiledFlora {
  flora: Flora
  plants: Plant[]
  /** Life form of each stranger row: the hypothesis "a plant of this kind that is not in this book". */
  strangers: LifeForm[]
  rows: number
  characterIndex: Map<string, number>
  plantIndex: Map<string, number>
  tables: Record<Stage, CharacterTable[]>
}

function alwaysShows(plant: Plant, what: { character: string; state: string }, stage: Stage): boolean {
  const cell = cellAt(plant, what.character, stage)
  return cell?.kind === 'states' && cell.words[what.state] === 'always'
}

/** True where a plant of this description has the part that the character asks about. */
export function hasPart(plant: Plant, character: Character, stage: Stage): boolean {
  if (cellAt(plant, character.id, stage) !== undefined) return true
  if (character.noneWhere && alwaysShows(plant, character.noneWhere, stage)) return false
  return character.forms.includes(plant.form) && !character.noneIfLeftOut.includes(plant.form)
}

function noSuchPart(character: Character): number[] {
  const states = character.states
  if (!states) return Array.from({ length: SIZE_BINS }, () => SEEN_WHERE_NONE / SIZE_BINS)
  const absent = states.filter((s) => absenceStates.has(s)).length
  return states.map((s) => (absenceStates.has(s) ? ABSENCE_SAID / absent : SEEN_WHERE_NONE / states.length))
}

function sizeEdges(character: Character): number[] {
  const [low, high] = character.range ?? [0, 1000]
  const from = Math.log(Math.max(low, high / 400))
  const to = Math.log(high)
  const inner = Array.from({ length: SIZE_BINS - 1 }, (_, i) => Math.exp(from + ((to - from) * (i + 1)) / SIZE_BINS))
  return [0, ...inner, high * 10]
}

/** Mean of the coded rows of the wanted life form; of all coded rows when fewer than three are of that form. */
function meanOfCoded(table: CharacterTable, plants: Plant[], form: LifeForm | undefined): number[] {
  const { outcomes, truth, status } = table
  const rows = plants.map((_, i) => i).filter((i) => status[i] === CODED)
  const same = rows.filter((i) => plants[i]!.form === form)
  const use = same.length >= 3 ? same : rows
  if (use.length === 0) return Array.from({ length: outcomes }, () => 1 / outcomes)
  return Array.from({ length: outcomes }, (_, s) => {
    let sum = 0
    for (const r of use) sum += truth[r * outcomes + s]!
    return sum / use.length
  })
}

function compileCharacter(character: Character, plants: Plant[], stage: Stage): CharacterTable {
  const outcomes = character.states?.length ?? SIZE_BINS
  const rows = plants.length + lifeForms.length
  const table: CharacterTable = {
    character,
    outcomes,
    truth: new Float64Array(rows * outcomes),
    answers: new Float64Array(rows * outcomes),
    status: new Uint8Array(rows),
    knots: plants.map(() => undefined),
    edges: character.states ? [] : sizeEdges(character),
  }
  const none = noSuchPart(character)
  plants.forEach((plant, row) => {
    const cell = cellAt(plant, character.id, stage)
    if (cell?.kind === 'states') table.truth.set(stateShares(cell, character.states ?? []), row * outcomes)
    else if (cell?.kind === 'range') {
      const knots = sizeKnots(cell)
      table.knots[row] = knots
      const bins = table.edges.slice(1).map((to, b) => sizeProbability(knots, table.edges[b]!, to))
      table.truth.set(
        bins.map((p) => p * 0.98 + 0.02 / outcomes),
        row * outcomes,
      )
    } else if (!hasPart(plant, character, stage)) {
      table.status[row] = NO_SUCH_PART
      table.truth.set(none, row * outcomes)
    } else table.status[row] = NOT_CODED
  })
  const means = new Map(lifeForms.map((form) => [form, meanOfCoded(table, plants, form)]))
  plants.forEach((plant, row) => {
    if (table.status[row] === NOT_CODED) table.truth.set(means.get(plant.form)!, row * outcomes)
  })
  lifeForms.forEach((form, i) => {
    const row = plants.length + i
    if (!character.forms.includes(form)) {
      table.status[row] = NO_SUCH_PART
      table.truth.set(none, row * outcomes)
    } else if (character.id === 'life.form') {
      table.truth.set(
        (character.states ?? []).map((s) => (s === form ? 0.95 : 0.01)),
        row * outcomes,
      )
    } else {
      // Half what its kind in the book looks like, half anything: a stranger may be odd.
      table.truth.set(
        means.get(form)!.map((p) => 0.5 * p + 0.5 / outcomes),
        row * outcomes,
      )
    }
  })
  table.answers = character.states ? carefulAnswers(table, stage) : table.truth
  return table
}

function carefulAnswers({ character, outcomes: n, truth, status }: CharacterTable, stage: Stage): Float64Array {
  const confusion = confusionMatrix(character, 'sure', stage)
  const answers = new Float64Array(truth.length)
  for (let r = 0; r < status.length; r++)
    for (let t = 0; t < n; t++)
      for (let s = 0; s < n; s++) answers[r * n + s] = answers[r * n + s]! + truth[r * n + t]! * confusion[t]![s]!
  return answers
}

/**
 * Turn the flora into typed arrays, a table per stage and character.
 *
 * Cost grows with plants x characters x states. Rows after the plants are "not in this book", one per life form.
 */
export function compileFlora(flora: Flora): CompiledFlora {
  const { characters, plants } = flora
  const described = withLifeForm(plants)
  const tables = Object.fromEntries(
    stages.map((stage) => [stage, characters.map((c) => compileCharacter(c, described, stage))]),
  ) as Record<Stage, CharacterTable[]>
  return {
    flora,
    plants,
    strangers: [...lifeForms],
    rows: plants.length + lifeForms.length,
    characterIndex: new Map(characters.map((c, i) => [c.id, i])),
    plantIndex: new Map(plants.map((p, i) => [p.id, i])),
    tables,
  }
}

/** The life form stands once in each file; as a character it is what the plant always is. */
function withLifeForm(plants: Plant[]): Plant[] {
  return plants.map((p) => ({
    ...p,
    characters: { ...p.characters, 'life.form': { kind: 'states', words: { [p.form]: 'always' } } },
  }))
}
