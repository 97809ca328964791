import {
  lifeForms,
  type Character,
  type Flora,
  type LifeForm,
  type Neighbour,
  type Plant,
  type PlantGroup,
  type Stage,
} from '../flora/flora.ts'
import { confusionOf, lacks, type CharacterTable } from './characterTable.ts'
import { informationGain } from './informationGain.ts'
import { mixesUpMoreAt } from './observerError.ts'
import {
  codedByForm,
  codedRows,
  emptyTable,
  fillCoded,
  fillDoubt,
  fillUncoded,
  meanOfRows,
  type Described,
} from './tableRows.ts'

export interface CompiledFlora {
  flora: Flora
  plants: Plant[]
  /** Life form of each stranger row: the hypothesis "a plant of this kind that is not in this book". */
  strangers: LifeForm[]
  /** Row of the stranger of the same life form, per plant. */
  strangerOf: Int32Array
  /** Plants outside the book that are known by sight; their rows come last. */
  neighbours: Neighbour[]
  rows: number
  characterIndex: Map<string, number>
  plantIndex: Map<string, number>
  /** Group of each plant that is named together with others. */
  groupOf: Map<string, PlantGroup>
  /** Tables of a stage, in the order of the characters; made when first asked for. */
  tablesAt: (stage: Stage) => CharacterTable[]
}

function compileCharacter(
  character: Character,
  plants: Plant[],
  neighbours: readonly Described[],
  stage: Stage,
): CharacterTable {
  const table = emptyTable(character, plants.length + lifeForms.length + neighbours.length)
  fillCoded(table, plants, 0, stage)
  fillCoded(table, neighbours, plants.length + lifeForms.length, stage)
  table.coded = codedByForm(table, plants)
  table.met = meanOfRows(table, codedRows(table, plants))
  table.confusion = confusionOf(table, 'sure', stage, 'near')
  fillUncoded(table, plants, neighbours)
  fillDoubt(table)
  const rows = Int32Array.from(table.status.keys())
  table.tells = informationGain(table, rows, new Float64Array(rows.length).fill(1 / rows.length))
  table.without = Int32Array.from([...table.status.keys()].filter((r) => lacks(table, r)))
  return table
}

/** The life form stands once in each file; as a character it is what the plant always is, unless the file says what else it is taken for. */
function withLifeForm<P extends Described>(plants: readonly P[]): P[] {
  return plants.map((p) => ({
    ...p,
    characters: {
      ...p.characters,
      'life.form': p.characters['life.form'] ?? { kind: 'states', words: { [p.form]: 'always' } },
    },
  }))
}

/** True where some plant is coded apart for the stage, or eyes err more at it. */
function differsAt(character: Character, plants: readonly Described[], stage: Stage): boolean {
  if (stage === 'seedling' && character.young) return true
  const ids = [character.id, ...(character.noneWhere ? [character.noneWhere.character] : [])]
  return mixesUpMoreAt(character, stage) || plants.some((p) => ids.some((id) => p.stages[stage]?.[id] !== undefined))
}

/**
 * Turn the flora into typed arrays, a table per character, shared between the stages at which nothing differs.
 *
 * Cost and memory grow with plants x characters x states. Rows after the plants are "not in this book", one per life form.
 */
export function compileFlora(flora: Flora): CompiledFlora {
  const { characters, plants } = flora
  const described = withLifeForm(plants)
  const neighbours = withLifeForm(flora.neighbours ?? [])
  const all = [...described, ...neighbours]
  const made = new Map<Stage, CharacterTable[]>()
  const general = characters.map((c) => compileCharacter(c, described, neighbours, 'vegetative'))
  made.set('vegetative', general)
  const tablesAt = (stage: Stage): CharacterTable[] => {
    const known = made.get(stage)
    if (known) return known
    const different = (c: Character) => differsAt(c, all, stage) || differsAt(c, all, 'vegetative')
    const tables = characters.map((c, i) =>
      different(c) ? compileCharacter(c, described, neighbours, stage) : general[i]!,
    )
    made.set(stage, tables)
    return tables
  }
  return {
    flora,
    plants,
    strangers: [...lifeForms],
    strangerOf: Int32Array.from(plants, (p) => plants.length + lifeForms.indexOf(p.form)),
    neighbours,
    rows: plants.length + lifeForms.length + neighbours.length,
    characterIndex: new Map(characters.map((c, i) => [c.id, i])),
    plantIndex: new Map(plants.map((p, i) => [p.id, i])),
    groupOf: new Map(flora.groups.flatMap((g) => g.plants.map((p) => [p, g] as const))),
    tablesAt,
  }
}
