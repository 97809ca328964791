import {
  cellAt,
  lifeForms,
  type Character,
  type Flora,
  type LifeForm,
  type Plant,
  type PlantGroup,
  type Stage,
} from './flora.ts'
import { stateShares } from './frequency.ts'
import { confusionMatrix, mixesUpMoreAt } from './observerError.ts'
import { sizeKnots, sizeProbability, type SizeKnots } from './sizeDistribution.ts'

const CODED = 0
export const NOT_CODED = 1
export const NO_SUCH_PART = 2

/** Outcomes a measurement is sorted into when its worth is weighed before it is taken. */
const SIZE_BINS = 16

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
  rows: number
  /**
   * Probability of what is truly there, outcome by outcome: that of row r and outcome t is at t * rows + r, so that a sum
   * over the plants runs along the memory. Single precision: a book of thousands must fit a phone.
   */
  truth: Float32Array
  /** outcomes x outcomes: chance of each answer of a careful observer, given what is there. */
  confusion: number[][]
  /** Bits of doubt left in a careful observer's answer when the plant is known, per row. */
  doubt: Float32Array
  status: Uint8Array
  /** Rows of plants that have no such part. */
  without: Int32Array
  /** Size characters: what the coded ranges mean, per plant row. */
  knots: (SizeKnots | undefined)[]
  /** Edges of the size bins in mm, outcomes + 1 of them; none for states. */
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
  /** Group of each plant that is named together with others. */
  groupOf: Map<string, PlantGroup>
  /** Tables of a stage, in the order of the characters; made when first asked for. */
  tablesAt: (stage: Stage) => CharacterTable[]
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

/** Write what is there in one row. */
function setRow({ truth, rows }: CharacterTable, row: number, shares: readonly number[]): void {
  for (let t = 0; t < shares.length; t++) truth[t * rows + row] = shares[t]!
}

const codedRows = ({ status }: CharacterTable, plants: Plant[]): number[] =>
  plants.map((_, i) => i).filter((i) => status[i] === CODED)

function meanOfRows({ outcomes, truth, rows: all }: CharacterTable, rows: number[]): number[] {
  if (rows.length === 0) return Array.from({ length: outcomes }, () => 1 / outcomes)
  return Array.from({ length: outcomes }, (_, t) => rows.reduce((sum, r) => sum + truth[t * all + r]!, 0) / rows.length)
}

/** Mean of the coded rows of the wanted life form; of all coded rows when fewer than three are of that form. */
function meanOfCoded(table: CharacterTable, plants: Plant[], form: LifeForm): number[] {
  const rows = codedRows(table, plants)
  const same = rows.filter((i) => plants[i]!.form === form)
  return meanOfRows(table, same.length >= 3 ? same : rows)
}

const noConfusion = (n: number): number[][] =>
  Array.from({ length: n }, (_, t) => Array.from({ length: n }, (_, s) => (s === t ? 1 : 0)))

function emptyTable(character: Character, plantCount: number, stage: Stage): CharacterTable {
  const outcomes = character.states?.length ?? SIZE_BINS
  const rows = plantCount + lifeForms.length
  return {
    character,
    outcomes,
    rows,
    truth: new Float32Array(rows * outcomes),
    confusion: character.states ? confusionMatrix(character, 'sure', stage) : noConfusion(outcomes),
    doubt: new Float32Array(rows),
    status: new Uint8Array(rows),
    without: new Int32Array(),
    knots: [],
    edges: character.states ? [] : sizeEdges(character),
  }
}

function fillPlants(table: CharacterTable, plants: Plant[], stage: Stage): void {
  const { character, outcomes, status, edges } = table
  const none = noSuchPart(character)
  plants.forEach((plant, row) => {
    const cell = cellAt(plant, character.id, stage)
    if (cell?.kind === 'states') setRow(table, row, stateShares(cell, character.states ?? []))
    else if (cell?.kind === 'range') {
      const knots = sizeKnots(cell)
      table.knots[row] = knots
      const bins = edges.slice(1).map((to, b) => sizeProbability(knots, edges[b]!, to))
      setRow(
        table,
        row,
        bins.map((p) => p * 0.98 + 0.02 / outcomes),
      )
    } else if (!hasPart(plant, character, stage)) {
      status[row] = NO_SUCH_PART
      setRow(table, row, none)
    } else status[row] = NOT_CODED
  })
}

function fillStrangers(table: CharacterTable, plants: Plant[]): void {
  const { character, outcomes, status } = table
  const means = new Map(lifeForms.map((form) => [form, meanOfCoded(table, plants, form)]))
  plants.forEach((plant, row) => {
    if (status[row] === NOT_CODED) setRow(table, row, means.get(plant.form)!)
  })
  lifeForms.forEach((form, i) => {
    const row = plants.length + i
    if (!character.forms.includes(form)) {
      status[row] = NO_SUCH_PART
      setRow(table, row, noSuchPart(character))
    } else if (character.id === 'life.form') {
      setRow(
        table,
        row,
        (character.states ?? []).map((s) => (s === form ? 0.95 : 0.01)),
      )
    } else {
      // Half what its kind in the book looks like, half anything: a stranger may be odd.
      setRow(
        table,
        row,
        means.get(form)!.map((p) => 0.5 * p + 0.5 / outcomes),
      )
    }
  })
}

/** Chance of an answer of a careful observer at a row. */
export function answerChance(
  { outcomes, rows, truth, confusion }: CharacterTable,
  row: number,
  answer: number,
): number {
  let p = 0
  for (let t = 0; t < outcomes; t++) p += truth[t * rows + row]! * confusion[t]![answer]!
  return p
}

function fillDoubt(table: CharacterTable): void {
  for (let r = 0; r < table.rows; r++) {
    let bits = 0
    for (let s = 0; s < table.outcomes; s++) {
      const p = answerChance(table, r, s)
      if (p > 0) bits -= p * Math.log2(p)
    }
    table.doubt[r] = bits
  }
}

function compileCharacter(character: Character, plants: Plant[], stage: Stage): CharacterTable {
  const table = emptyTable(character, plants.length, stage)
  fillPlants(table, plants, stage)
  fillStrangers(table, plants)
  fillDoubt(table)
  table.without = Int32Array.from([...table.status.keys()].filter((r) => table.status[r] === NO_SUCH_PART))
  return table
}

/** The life form stands once in each file; as a character it is what the plant always is. */
function withLifeForm(plants: Plant[]): Plant[] {
  return plants.map((p) => ({
    ...p,
    characters: { ...p.characters, 'life.form': { kind: 'states', words: { [p.form]: 'always' } } },
  }))
}

/** True where some plant is coded apart for the stage, or eyes err more at it. */
function differsAt(character: Character, plants: Plant[], stage: Stage): boolean {
  const ids = [character.id, ...(character.noneWhere ? [character.noneWhere.character] : [])]
  return mixesUpMoreAt(character.id, stage) || plants.some((p) => ids.some((id) => p.stages[stage]?.[id] !== undefined))
}

/**
 * Turn the flora into typed arrays, a table per character, shared between the stages at which nothing differs.
 *
 * Cost and memory grow with plants x characters x states. Rows after the plants are "not in this book", one per life form.
 */
export function compileFlora(flora: Flora): CompiledFlora {
  const { characters, plants } = flora
  const described = withLifeForm(plants)
  const made = new Map<Stage, CharacterTable[]>()
  const general = characters.map((c) => compileCharacter(c, described, 'vegetative'))
  made.set('vegetative', general)
  const tablesAt = (stage: Stage): CharacterTable[] => {
    const known = made.get(stage)
    if (known) return known
    const different = (c: Character) => differsAt(c, described, stage) || differsAt(c, described, 'vegetative')
    const tables = characters.map((c, i) => (different(c) ? compileCharacter(c, described, stage) : general[i]!))
    made.set(stage, tables)
    return tables
  }
  return {
    flora,
    plants,
    strangers: [...lifeForms],
    rows: plants.length + lifeForms.length,
    characterIndex: new Map(characters.map((c, i) => [c.id, i])),
    plantIndex: new Map(plants.map((p, i) => [p.id, i])),
    groupOf: new Map(flora.groups.flatMap((g) => g.plants.map((p) => [p, g] as const))),
    tablesAt,
  }
}
