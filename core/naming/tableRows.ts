import { cellAt, lifeForms, type Character, type LifeForm, type Plant, type Stage } from '../flora/flora.ts'
import { stateShares } from '../flora/frequency.ts'
import { answerChance, CODED, lacks, LEFT_AWAY, NOT_CODED, NOT_OF_KIND, type CharacterTable } from './characterTable.ts'
import { sizeKnots, sizeProbability } from './sizeDistribution.ts'
import { cellOfStage } from './youngCell.ts'

/** Outcomes a measurement is sorted into when its worth is weighed before it is taken. */
const SIZE_BINS = 16

/** States by which an observer says that a part is not there: true of a plant that has no such part. */
const absenceStates = new Set([
  'none',
  'absent',
  'plain',
  'none-distinct',
  'not-found',
  'one-blade',
  'thin-inconspicuous',
])
/** Chance that an observer finds something where the plant has no such part at all. */
const SEEN_WHERE_NONE = 0.02
// Answering about a part is itself a sign that the plant has it: the question would seldom come up otherwise.
const ABSENCE_SAID = 0.25
/** A plant on which nobody thought a character worth coding shows its plain state, mostly. Convention of this project. */
const QUIET = 0.9
/** Where there is no plain state: the question would hardly have come up with such a plant. Convention of this project. */
const HARDLY_ASKED = 0.15

/** What a row is filled from: a plant, or a neighbour that is known by sight. */
export type Described = Pick<Plant, 'form' | 'characters' | 'stages'>

function alwaysShows(plant: Described, what: { character: string; state: string }, stage: Stage): boolean {
  const cell = cellAt(plant, what.character, stage)
  return cell?.kind === 'states' && cell.words[what.state] === 'always'
}

/**
 * Why a plant of this description lacks the part that a character asks about: it is of another kind (`form`), or another
 * character says so. Undefined where it has the part, or nobody said. Absence is coded, or it says nothing.
 */
export function lacksPart(plant: Described, character: Character, stage: Stage): string | undefined {
  if (cellAt(plant, character.id, stage) !== undefined) return undefined
  if (character.noneWhere && alwaysShows(plant, character.noneWhere, stage)) return character.noneWhere.character
  return character.forms.includes(plant.form) ? undefined : 'form'
}

/** True where a plant of this description has the part that the character asks about. */
export const hasPart = (plant: Described, character: Character, stage: Stage): boolean =>
  lacksPart(plant, character, stage) === undefined

/** What has been left uncoded looks like, before the rest of its kind is reckoned in; it need not sum to 1. */
function quiet(character: Character): number[] {
  const states = character.states
  if (!states) return Array.from({ length: SIZE_BINS }, () => 1 / SIZE_BINS)
  const plain = character.plain ?? states.find((s) => absenceStates.has(s))
  if (plain === undefined) return states.map(() => HARDLY_ASKED / states.length)
  return states.map((s) => (s === plain ? QUIET : (1 - QUIET) / (states.length - 1)))
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

/** Rows of plants that somebody coded. */
export const codedRows = ({ status }: CharacterTable, plants: Plant[]): number[] =>
  plants.map((_, i) => i).filter((i) => status[i] === CODED)

/** Mean of what some rows show; anything where there are none. */
export function meanOfRows({ outcomes, truth, rows: all }: CharacterTable, rows: number[]): number[] {
  if (rows.length === 0) return Array.from({ length: outcomes }, () => 1 / outcomes)
  return Array.from({ length: outcomes }, (_, t) => rows.reduce((sum, r) => sum + truth[t * all + r]!, 0) / rows.length)
}

/** Coded rows of each life form, and the share of its plants that are coded. */
export function codedByForm(table: CharacterTable, plants: Plant[]): CharacterTable['coded'] {
  const rows = codedRows(table, plants)
  return new Map(
    lifeForms.map((form) => {
      const coded = rows.filter((r) => plants[r]!.form === form)
      const all = plants.filter((p, r) => p.form === form && !lacks(table, r)).length
      return [form, { rows: coded, share: all === 0 ? 0 : coded.length / all }]
    }),
  )
}

/**
 * What a plant of a life form shows where nobody coded it. Cells are coded where they are striking: as likely as others of
 * its kind are coded it shows what they show, else it is plain. Never borrowed from another life form.
 */
function uncoded(table: CharacterTable, form: LifeForm): number[] {
  const { rows, share } = table.coded.get(form)!
  const plain = quiet(table.character)
  if (rows.length === 0) return plain
  return meanOfRows(table, rows).map((p, t) => share * p + (1 - share) * plain[t]!)
}

/** A table of a character with nothing in it yet. */
export function emptyTable(character: Character, rows: number): CharacterTable {
  const outcomes = character.states?.length ?? SIZE_BINS
  return {
    character,
    outcomes,
    rows,
    truth: new Float32Array(rows * outcomes),
    met: [],
    confusion: [],
    tells: 0,
    entropy: new Float32Array(rows),
    status: new Uint8Array(rows),
    coded: new Map(),
    without: new Int32Array(),
    knots: [],
    edges: character.states ? [] : sizeEdges(character),
  }
}

/** Write what is coded of each plant, from a row on. */
export function fillCoded(table: CharacterTable, plants: readonly Described[], from: number, stage: Stage): void {
  const { character, outcomes, status, edges } = table
  const none = noSuchPart(character)
  plants.forEach((plant, i) => {
    const row = from + i
    const cell = cellOfStage(plant, character, stage)
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
    } else {
      const by = lacksPart(plant, character, stage)
      status[row] = by === undefined ? NOT_CODED : by === 'form' ? NOT_OF_KIND : LEFT_AWAY
      if (by !== undefined) setRow(table, row, none)
    }
  })
}

/** Write what is likely of each plant that nobody coded, of strangers and of neighbours. */
export function fillUncoded(table: CharacterTable, plants: Plant[], neighbours: readonly Described[]): void {
  const { character, outcomes, status } = table
  const means = new Map(lifeForms.map((form) => [form, uncoded(table, form)]))
  // Half what its kind in the book looks like, half anything: a stranger may be odd.
  const anything = (form: LifeForm) => means.get(form)!.map((p) => 0.5 * p + 0.5 / outcomes)
  plants.forEach((plant, row) => {
    if (status[row] === NOT_CODED) setRow(table, row, means.get(plant.form)!)
  })
  lifeForms.forEach((form, i) => {
    const row = plants.length + i
    if (!character.forms.includes(form)) {
      status[row] = NOT_OF_KIND
      setRow(table, row, noSuchPart(character))
    } else if (character.id === 'life.form') {
      setRow(
        table,
        row,
        (character.states ?? []).map((s) => (s === form ? 0.95 : 0.01)),
      )
    } else {
      setRow(table, row, anything(form))
    }
  })
  neighbours.forEach(({ form }, i) => {
    const row = plants.length + lifeForms.length + i
    if (status[row] === NOT_CODED) setRow(table, row, anything(form))
  })
}

/** Write how little one answer settles of each row, bits. */
export function fillDoubt(table: CharacterTable): void {
  for (let r = 0; r < table.rows; r++) {
    let bits = 0
    for (let s = 0; s < table.outcomes; s++) {
      const p = answerChance(table, r, s)
      if (p > 0) bits -= p * Math.log2(p)
    }
    table.entropy[r] = bits
  }
}
