import type { CompiledFlora } from './compileFlora.ts'
import type { Plant, PlantGroup, Stage } from '../flora/flora.ts'
import type { Observation } from '../records/observation.ts'

/** A name that can be given: a plant, or plants that no vegetative eye can split and their group. */
export interface GivenName {
  plants: string[]
  group?: string
}

/** What can be said, as a code with what it is said of. */
export type Verdict =
  | { kind: 'open'; code: 'not-in-book'; probability: number; neighbour?: string }
  | { kind: 'open'; code: 'empty-book' }
  /** So many names would have to be set aside. */
  | { kind: 'open'; code: 'many-left'; count: number }
  /** The check against a harmful look-alike comes first. */
  | { kind: 'narrowed'; code: 'check-first'; name: GivenName; against: string }
  /** Poisons are among its kin, and too little was looked at. */
  | { kind: 'narrowed'; code: 'look-once-more'; name: GivenName }
  /** Harmful plants stand in the way of the name. */
  | { kind: 'narrowed'; code: 'harm-open'; name: GivenName; open: string[] }
  | { kind: 'narrowed'; code: 'few'; names: (GivenName & { probability: number })[] }
  /** A harmful plant is named while others of its kind are open. */
  | { kind: 'named'; code: 'named'; name: GivenName; probability: number; open: string[] }

/** A name is written when it would be right about 19 times in 20. */
export const NAMED_FROM = 0.95
/** Looks that must speak before a harmless herb or legume is named: its kin can be poisons, and three looks can all be odd. */
const LEAST_LOOKS = 4
/** Together with "not in this book", the few still standing hold at least this much. */
const FEW_HOLD = 0.9
const FEW = 4

/** A name that can be given: one plant, or a group that no vegetative eye can split. */
export interface Standing {
  name: string
  probability: number
  plants: string[]
  group?: PlantGroup
}

const stageOrder: Stage[] = ['seedling', 'vegetative', 'mown', 'rosette', 'bolting', 'flowering']

/** Whether somebody saw a character in just this state. */
export type Saw = (character: string, state: string) => boolean

export const sawIn =
  (observations: readonly Observation[]): Saw =>
  (character, state) =>
    observations.some(
      (o) => o.character === character && 'states' in o && o.states.length === 1 && o.states[0] === state,
    )

/** True where the stage has come at which the members of a group can be told apart. */
export const isStageOf = (group: PlantGroup, stage: Stage): boolean =>
  group.until !== undefined && stageOrder.indexOf(stage) >= stageOrder.indexOf(group.until)

/** True where the members of a group can be told apart at this stage, by what was seen. */
const canSplit = (group: PlantGroup, stage: Stage, saw: Saw): boolean =>
  isStageOf(group, stage) && (group.once === undefined || saw(group.once.character, group.once.state))

/** Candidates as names, members of a group that cannot be split at this stage taken together; the likeliest first. */
export function rankedNames(
  compiled: CompiledFlora,
  stage: Stage,
  probabilityOf: (row: number) => number,
  saw: Saw = () => false,
): Standing[] {
  const names: Standing[] = []
  const ofGroup = new Map<PlantGroup, Standing>()
  compiled.plants.forEach((plant, row) => {
    const group = compiled.groupOf.get(plant.id)
    const probability = probabilityOf(row)
    if (!group || canSplit(group, stage, saw)) {
      names.push({ name: plant.commonName, probability, plants: [plant.id] })
      return
    }
    const known = ofGroup.get(group)
    if (known) {
      known.probability += probability
      known.plants.push(plant.id)
    } else {
      const together = { name: group.name, probability, plants: [plant.id], group }
      ofGroup.set(group, together)
      names.push(together)
    }
  })
  return names.sort((a, b) => b.probability - a.probability || (a.name < b.name ? -1 : 1))
}

const given = ({ plants, group }: Standing): GivenName => ({ plants, ...(group ? { group: group.id } : {}) })

export interface Grounds {
  names: Standing[]
  /** What the even observer makes of plants together: a name must hold under both. */
  evenly: (plants: readonly string[]) => number
  notInBook: number
  /** Id of a plant outside the book that it looks like, where one does. */
  neighbour: string | undefined
  /** Harmful plants not yet excluded. */
  open: Plant[]
  /** Harmful look-alikes of the leading plant whose check was not met yet. */
  unmet: Plant[]
  lead: Plant
  /** Answers that carry evidence. */
  looks: number
}

/** What can be said. A harmless name is not given while a harmful plant is open or its check not met, whatever the figures. */
export function verdictOf({ names, evenly, notInBook, neighbour, open, unmet, lead, looks }: Grounds): Verdict {
  const leadIsHarmful = lead.role === 'toxic'
  const [first] = names
  if (notInBook >= 0.5)
    return {
      kind: 'open',
      code: 'not-in-book',
      probability: notInBook,
      ...(neighbour === undefined ? {} : { neighbour }),
    }
  if (!first) return { kind: 'open', code: 'empty-book' }
  const name = given(first)
  const others = open.filter((h) => !first.plants.includes(h.id)).map((h) => h.id)
  const byBoth = Math.min(first.probability, evenly(first.plants))
  const kinOfPoisons = lead.form === 'forb' || lead.form === 'legume'
  const harmlessAndFree = byBoth >= NAMED_FROM && !leadIsHarmful && others.length === 0
  if (harmlessAndFree && unmet.length > 0) return { kind: 'narrowed', code: 'check-first', name, against: unmet[0]!.id }
  if (harmlessAndFree && kinOfPoisons && looks < LEAST_LOOKS) return { kind: 'narrowed', code: 'look-once-more', name }
  if (byBoth >= NAMED_FROM && (leadIsHarmful || others.length === 0))
    return { kind: 'named', code: 'named', name, probability: first.probability, open: others }
  if (first.probability >= NAMED_FROM && !leadIsHarmful && others.length > 0)
    return { kind: 'narrowed', code: 'harm-open', name, open: others }
  let sum = 0
  const few = names.filter((n) => {
    const needed = sum < FEW_HOLD * (1 - notInBook)
    sum += n.probability
    return needed
  })
  if (few.length > FEW) return { kind: 'open', code: 'many-left', count: few.length }
  return { kind: 'narrowed', code: 'few', names: few.map((n) => ({ ...given(n), probability: n.probability })) }
}
