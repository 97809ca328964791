import { frequencyOf } from './certainty.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { AbundanceWord, Character, Plant, Region, Stage } from '../flora/flora.ts'
import { monthsOfGrowth } from '../flora/seasons.ts'
import { identify } from './identify.ts'
import { isEvidence, type Context, type Observation } from '../records/observation.ts'
import { ABUNDANCE_WEIGHT } from './prior.ts'
import { simulateSpecimen } from './simulateSpecimen.ts'
import { slipped } from './slip.ts'
import { rankedNames } from './verdict.ts'

export interface SimulatedSpecimen {
  plant: string
  /** Names in the order the engine gave them, each the plants it stands for. */
  first: { plants: string[]; probability: number }
  right: boolean
  rightInThree: boolean
  /** Said "named", and how many checks it took. */
  named: boolean
  checks: number
  /** A harmful plant called by a harmless name. */
  missedHarm: boolean
  /** A harmful plant that is no longer on the list of those open. */
  excluded: boolean
}

/** An advisor gives up after so many answers that say something, or so many questions in all. Convention of the simulation. */
const MOST_CHECKS = 14
const MOST_ASKED = 24
/** What six looks are misread together: a slip falls among about so many, on what is easily misread rather than on the kind of plant. */
const MISTAKES_OF_SIX = 0.3

/** A place and a month in which the plant is met: a region by how common it is there, a month of its growth. */
export function whereMet({ regions, months }: Plant, random: () => number): Pick<Context, 'region' | 'month'> {
  const words = Object.entries(regions) as [Region, AbundanceWord][]
  let left = random() * words.reduce((sum, [, word]) => sum + ABUNDANCE_WEIGHT[word], 0)
  const region = words.find(([, word]) => (left -= ABUNDANCE_WEIGHT[word]) <= 0)?.[0]
  const grows = monthsOfGrowth({ months }, region)
  const month = grows[Math.floor(random() * grows.length)]
  return { ...(region ? { region } : {}), ...(month === undefined ? {} : { month }) }
}

export interface SimulatedRun {
  judge: CompiledFlora
  plant: Plant
  context: Context
  /** What an observer says of the specimen. */
  answer: (character: Character) => Observation
  /** Answers that say something, after which the advisor gives up. */
  mostChecks?: number
}

/** One specimen named by a book, the engine choosing the checks until it names it or the advisor gives up. */
export function simulationRun({
  judge,
  plant,
  context,
  answer,
  mostChecks = MOST_CHECKS,
}: SimulatedRun): SimulatedSpecimen {
  const looks: Observation[] = []
  let result = identify(judge, context, looks)
  const goesOn = () => looks.filter(isEvidence).length < mostChecks && looks.length < MOST_ASKED
  while (goesOn() && result.verdict.kind !== 'named' && result.next[0]) {
    const character = judge.flora.characters[judge.characterIndex.get(result.next[0].character)!]!
    looks.push(answer(character))
    result = identify(judge, context, looks)
  }
  const p = new Map(result.candidates.map((c) => [c.plant, c.probability]))
  const names = rankedNames(judge, context.stage ?? 'vegetative', (r) => p.get(judge.plants[r]!.id)!)
  const [first] = names
  const harmless = first!.plants.every((id) => judge.plants[judge.plantIndex.get(id)!]!.role !== 'toxic')
  const named = result.verdict.kind === 'named'
  const isHarmful = plant.role === 'toxic'
  return {
    plant: plant.id,
    first: { plants: first!.plants, probability: first!.probability },
    right: first!.plants.includes(plant.id),
    rightInThree: names.slice(0, 3).some((n) => n.plants.includes(plant.id)),
    named,
    checks: looks.filter(isEvidence).length,
    missedHarm: named && isHarmful && harmless,
    excluded: isHarmful && judge.plantIndex.has(plant.id) && !result.harmfulOpen.some((h) => h.plant === plant.id),
  }
}

/** One specimen drawn from the book that judges it. @param placed region and month are known, as they are to whoever stands in a paddock */
export function nameSimulated(
  compiled: CompiledFlora,
  plantId: string,
  stage: Stage,
  random: () => number,
  pulled: number,
  placed = false,
): SimulatedSpecimen {
  const plant = compiled.plants[compiled.plantIndex.get(plantId)!]!
  const specimen = simulateSpecimen(compiled, plant, stage, random, pulled)
  const context: Context = { stage, ...(placed ? whereMet(plant, random) : {}) }
  return simulationRun({ judge: compiled, plant, context, answer: specimen.answer })
}

/** Under what a specimen is named: docs/simulation-protocol.md. */
export interface SimulationConditions {
  pulled: number
  /** Looks that slip, half of them to a state that is like what is there, the likelier the oftener such a look is misread. */
  slips: number
  /** Region and month are known. */
  placed?: boolean
  mostChecks?: number
}

/**
 * One specimen of a book written by another hand, seen without fault but for so many slips, judged by the book as it is.
 *
 * @param from the perturbed book the specimen is drawn from
 */
export function simulatePerturbed(
  judge: CompiledFlora,
  from: CompiledFlora,
  plant: Plant,
  stage: Stage,
  random: () => number,
  { pulled, slips, placed = true, mostChecks = MOST_CHECKS }: SimulationConditions,
): SimulatedSpecimen {
  const drawn = from.plants[from.plantIndex.get(plant.id)!]!
  const specimen = simulateSpecimen(from, drawn, stage, random, pulled, 'faultless')
  let left = slips
  let until = random() * MISTAKES_OF_SIX
  const answer = (character: Character): Observation => {
    const seen = specimen.answer(character)
    until -= character.mistake
    if (left === 0 || until > 0 || !isEvidence(seen)) return seen
    left--
    until = random() * MISTAKES_OF_SIX
    const table = judge.tablesAt(stage)[judge.characterIndex.get(character.id)!]!
    return slipped(seen, table, stage, random)
  }
  const context: Context = { stage, ...(placed ? whereMet(plant, random) : {}) }
  return simulationRun({ judge, plant, context, answer, mostChecks })
}

export interface SimulationSummary {
  specimens: number
  firstRight: number
  threeRight: number
  named: number
  medianChecks: number
  /** When it said "19 in 20": how often it was right. */
  saidNineteen: { times: number; right: number }
  reliability: { from: number; to: number; times: number; said: number; right: number }[]
  brier: number
  logScoreBits: number
  harmfulSpecimens: number
  missedHarm: number
  excluded: number
  confusions: { plant: string; taken: string; times: number }[]
  /** Plants named right least often. */
  weakest: { plant: string; right: number }[]
}

const share = (list: SimulatedSpecimen[], is: (s: SimulatedSpecimen) => boolean) => list.filter(is).length / list.length

function reliabilityOf(all: SimulatedSpecimen[]): SimulationSummary['reliability'] {
  const edges = [0, 0.2, 0.4, 0.6, 0.8, 0.9, 0.95, 0.98, 0.995, 1.0001]
  return edges.slice(1).flatMap((to, i) => {
    const here = all.filter((s) => s.first.probability >= edges[i]! && s.first.probability < to)
    if (here.length === 0) return []
    const said = here.reduce((sum, s) => sum + s.first.probability, 0) / here.length
    return [{ from: edges[i]!, to: Math.min(1, to), times: here.length, said, right: share(here, (s) => s.right) }]
  })
}

function confusionsOf(all: SimulatedSpecimen[]): SimulationSummary['confusions'] {
  const counts = new Map<string, number>()
  for (const s of all)
    if (!s.right)
      counts.set(`${s.plant} ${s.first.plants[0]!}`, (counts.get(`${s.plant} ${s.first.plants[0]!}`) ?? 0) + 1)
  return [...counts]
    .map(([pair, times]) => ({ plant: pair.split(' ')[0]!, taken: pair.split(' ')[1]!, times }))
    .sort((a, b) => b.times - a.times)
}

/** Sum up simulated specimens: accuracy, calibration, harm, and what is taken for what. */
export function summarise(compiled: CompiledFlora, all: SimulatedSpecimen[]): SimulationSummary {
  const said = all.filter((s) => frequencyOf(s.first.probability)?.times === 19)
  const harmful = all.filter((s) => compiled.plants[compiled.plantIndex.get(s.plant)!]!.role === 'toxic')
  const named = all.filter((s) => s.named)
  const checks = named.map((s) => s.checks).sort((a, b) => a - b)
  const byPlant = new Map<string, SimulatedSpecimen[]>()
  for (const s of all) byPlant.set(s.plant, [...(byPlant.get(s.plant) ?? []), s])
  return {
    specimens: all.length,
    firstRight: share(all, (s) => s.right),
    threeRight: share(all, (s) => s.rightInThree),
    named: named.length / all.length,
    medianChecks: checks[Math.floor(checks.length / 2)] ?? MOST_CHECKS,
    saidNineteen: { times: said.length, right: said.length > 0 ? share(said, (s) => s.right) : 0 },
    reliability: reliabilityOf(all),
    brier: all.reduce((sum, s) => sum + (s.first.probability - (s.right ? 1 : 0)) ** 2, 0) / all.length,
    logScoreBits:
      all.reduce(
        (sum, s) => sum - Math.log2(Math.max(1e-9, s.right ? s.first.probability : 1 - s.first.probability)),
        0,
      ) / all.length,
    harmfulSpecimens: harmful.length,
    missedHarm: harmful.filter((s) => s.missedHarm).length,
    excluded: harmful.filter((s) => s.excluded || s.missedHarm).length,
    confusions: confusionsOf(all),
    weakest: [...byPlant]
      .map(([plant, list]) => ({ plant, right: share(list, (s) => s.right) }))
      .sort((a, b) => a.right - b.right),
  }
}
