import { splitPair } from '../naming/nextChecks.ts'
import { decidingChecks, lookalikeOf } from '../naming/lookalikes.ts'
import type { CompiledFlora } from '../naming/compileFlora.ts'
import { cellAt, type Character, type HarmNote, type Plant, type Stage } from '../flora/flora.ts'
import { drawState } from '../drawing/drawState.ts'
import { seedTray, type SeedTray } from './seedTray.ts'
import { practiseSpecimen, type Condition, type PractiseSpecimen } from './specimen.ts'

/** One answer that may be given: an id of what the question asks for, or whether a plant is harmful. */
export interface Choice {
  id: string
  of: 'plant' | 'character' | 'state' | 'harm'
}

/** Why an answer is right: prose of the book, or a code with what it is said of. */
export type Why =
  /** `of`: the plant of whose page it is, where it tells two apart. */
  | { code: 'prose'; text: string; of?: string }
  | { code: 'tells-apart'; character: string }
  | { code: 'plant'; plant: string; harm?: HarmNote; text: string }
  | { code: 'states'; states: string[] }

interface Base {
  /** What is learned: a plant, a pair `a|b`, a character. */
  about: string
  choices: Choice[]
  /** Id of the right choice. */
  right: string
  why: Why
}

/** What tells a plant from another: as the book says it, or the look that tells most. */
export interface Apart {
  why?: string
  /** The plant of whose page that is: it speaks of that one first. */
  of?: string
  check?: string
}

export type Question = Base &
  (
    | { kind: 'name'; specimen: PractiseSpecimen; against: Record<string, Apart> }
    | { kind: 'poison'; specimen: PractiseSpecimen }
    | { kind: 'check'; pair: [PractiseSpecimen, PractiseSpecimen] }
    | { kind: 'read'; character: string; state: string }
    | { kind: 'seed'; seeds: Record<string, string>; size: number; tray: SeedTray }
  )

/** Everything a question is made with. */
export interface Making {
  compiled: CompiledFlora
  stage: Stage
  /** For each plant those most easily taken for it, the nearest first. */
  nearest: ReadonlyMap<string, readonly string[]>
  random: () => number
}

const shuffled = <T>(list: readonly T[], random: () => number): T[] => {
  const out = [...list]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  return out
}

const one = <T>(list: readonly T[], random: () => number): T => list[Math.floor(random() * list.length)]!

const CHOICES = 4
const named = (p: Plant): Choice => ({ id: p.id, of: 'plant' })
const prose = (text: string, of?: string): Why => ({ code: 'prose', text, ...(of === undefined ? {} : { of }) })
/** Of the page of which of two plants it is what the book says of both. */
const pageOf = (a: Plant, b: Plant): string => (a.lookalikes.some((l) => l.plant === b.id) ? a.id : b.id)
/** Conditions in which a plant comes to hand at a stage, whole as often as not. */
const comesAs = (stage: Stage): Condition[] => [
  'whole',
  'whole',
  'whole',
  stage === 'mown' ? 'mown' : 'chewed',
  'no roots',
]

const plantOf = ({ compiled }: Making, id: string): Plant => {
  const row = compiled.plantIndex.get(id)
  if (row === undefined) throw new RangeError(`there is no plant "${id}" in this book`)
  return compiled.plants[row]!
}

/** Those that could be meant: the look-alikes that the book names, then the nearest by their characters. */
function others(making: Making, plant: Plant, count: number, test: (p: Plant) => boolean = () => true): Plant[] {
  const ids = [...plant.lookalikes.map((l) => l.plant), ...(making.nearest.get(plant.id) ?? [])]
  const near = [...new Set(ids)].map((id) => plantOf(making, id)).filter((p) => p.id !== plant.id && test(p))
  const rest = making.compiled.plants.filter(
    (p) => p.form === plant.form && p.id !== plant.id && test(p) && !near.includes(p),
  )
  return [...near, ...shuffled(rest, making.random)].slice(0, count)
}

const whyOf = (plant: Plant, other: Plant | undefined): string => {
  const check = other && lookalikeOf(plant, other)
  return check ? check.why : (plant.lookalikes[0]?.why ?? plant.worth ?? '')
}

function apart(making: Making, plant: Plant, other: Plant): Apart {
  const said = lookalikeOf(plant, other)
  if (said) return { why: said.why, of: pageOf(plant, other) }
  const best = splitPair(making.compiled, plant.id, other.id, making.stage).find((s) => s.character !== 'life.form')
  return best ? { check: best.character } : {}
}

/** A specimen to be named from four names that could be meant. */
export function nameQuestion(making: Making, id: string): Question {
  const plant = plantOf(making, id)
  const wrong = others(making, plant, CHOICES - 1)
  return {
    kind: 'name',
    about: id,
    specimen: practiseSpecimen(
      making.compiled,
      plant,
      making.stage,
      one(comesAs(making.stage), making.random),
      making.random,
    ),
    choices: shuffled([plant, ...wrong].map(named), making.random),
    right: id,
    why: prose(whyOf(plant, wrong[0]), wrong[0] && lookalikeOf(plant, wrong[0]) ? pageOf(plant, wrong[0]) : id),
    against: Object.fromEntries(wrong.map((p) => [p.id, apart(making, plant, p)])),
  }
}

/** Is it harmful? A harmful plant, or one that is taken for a harmful one: to miss a poison is the mistake that counts. */
export function poisonQuestion(making: Making, id: string): Question {
  const plant = plantOf(making, id)
  const harmful = plant.role === 'toxic'
  const other = others(making, plant, 1, (p) => (p.role === 'toxic') !== harmful)[0]
  return {
    kind: 'poison',
    about: id,
    specimen: practiseSpecimen(making.compiled, plant, making.stage, 'whole', making.random),
    choices: [
      { id: 'harmful', of: 'harm' },
      { id: 'other', of: 'harm' },
    ],
    right: harmful ? 'harmful' : 'other',
    why: {
      code: 'plant',
      plant: id,
      ...(harmful && plant.harm[0] ? { harm: plant.harm[0] } : {}),
      text: whyOf(plant, other),
    },
  }
}

/** Plants that a poison round asks about: the harmful ones, and those that the book says are taken for them. */
export function poisonPlants(plants: readonly Plant[]): string[] {
  const toxic = new Set(plants.filter((p) => p.role === 'toxic').map((p) => p.id))
  const alike = plants.filter((p) => !toxic.has(p.id) && p.lookalikes.some((l) => toxic.has(l.plant)))
  return [...toxic, ...alike.map((p) => p.id)]
}

/**
 * Which of four looks tells two plants apart? The others answer alike for both, or nearly.
 *
 * @returns undefined where the book says that none does, or where its own cells do not bear out the one it names
 */
export function checkQuestion(making: Making, a: string, b: string): Question | undefined {
  const [first, second] = [plantOf(making, a), plantOf(making, b)]
  const split = splitPair(making.compiled, a, b, making.stage)
  const said = lookalikeOf(first, second)
  const [deciding] = decidingChecks(making.compiled, first, second, making.stage)
  const best = said ? split.find((s) => s.character === deciding) : split[0]
  if (!best) return undefined
  const bits = new Map(split.map((s) => [s.character, s.bits]))
  const seen = (c: Character) => cellAt(first, c.id, making.stage) && cellAt(second, c.id, making.stage)
  // A wrong choice is a look that can be made on both and tells next to nothing of them.
  const useless = making.compiled.flora.characters.filter(
    (c) => c.id !== best.character && seen(c) && c.part !== 'when-lucky' && (bits.get(c.id) ?? 0) < best.bits / 4,
  )
  if (useless.length < CHOICES - 1) return undefined
  const wrong = shuffled(useless, making.random).slice(0, CHOICES - 1)
  const specimen = (p: Plant) => practiseSpecimen(making.compiled, p, making.stage, 'whole', making.random)
  return {
    kind: 'check',
    about: [a, b].sort().join('|'),
    pair: [specimen(first), specimen(second)],
    choices: shuffled(
      [best.character, ...wrong.map((c) => c.id)].map((id) => ({ id, of: 'character' as const })),
      making.random,
    ),
    right: best.character,
    why:
      said?.check === best.character
        ? prose(said.why, pageOf(first, second))
        : { code: 'tells-apart', character: best.character },
  }
}

/** A drawn part, to be called by its word. */
export function readQuestion(making: Making, character: Character): Question | undefined {
  const drawn = (character.states ?? []).filter((s) => drawState(character.id, s))
  if (drawn.length < 3) return undefined
  const state = one(drawn, making.random)
  const wrong = shuffled(
    drawn.filter((s) => s !== state),
    making.random,
  ).slice(0, CHOICES - 1)
  return {
    kind: 'read',
    about: character.id,
    character: character.id,
    state,
    choices: shuffled([state, ...wrong], making.random).map((id) => ({ id, of: 'state' as const })),
    right: state,
    why: prose(character.how[0] ?? ''),
  }
}

const SEED = ['seed.shape', 'seed.colour']
/** Pixels of an edge of the tray: enough for a lens. */
const TRAY_SIDE = 1100

/** Plants whose seed is coded. */
export const seedPlants = (plants: readonly Plant[]): string[] =>
  plants.filter((p) => p.form === 'legume' && p.characters['seed.shape'] && p.characters['seed.size']).map((p) => p.id)

/** A pinch of seed, to be named. */
export function seedQuestion(making: Making, id: string): Question {
  const plant = plantOf(making, id)
  const all = seedPlants(making.compiled.plants).filter((p) => p !== id)
  const states = Object.fromEntries(
    SEED.flatMap((c) => {
      const cell = plant.characters[c]
      if (cell?.kind !== 'states') return []
      const [state] = Object.entries(cell.words).sort((x, y) => rank(x[1]) - rank(y[1]))[0]!
      return [[c, state]]
    }),
  )
  const size = plant.characters['seed.size']
  const wrong = shuffled(all, making.random).slice(0, CHOICES - 1)
  return {
    kind: 'seed',
    about: id,
    seeds: states,
    size: size?.kind === 'range' ? (size.typical[0] + size.typical[1]) / 2 : 2,
    tray: seedTray(plant, TRAY_SIDE, making.random),
    choices: shuffled([id, ...wrong], making.random).map((p) => named(plantOf(making, p))),
    right: id,
    why: { code: 'states', states: Object.values(states) },
  }
}

const ORDER = ['always', 'usually', 'often', 'sometimes', 'rarely', 'never']
const rank = (word: string) => ORDER.indexOf(word)
