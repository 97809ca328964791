import type { Hit } from '../../records/hit.ts'
import { methods, type Method } from '../../records/method.ts'
import { coded } from '../../coded.ts'
import type { FilePlace, LeftOut } from '../fileProblem.ts'
import type { Plant } from '../../flora/flora.ts'
import { openStop, type Paddock, type Round, type Stop } from '../../records/round.ts'
import { letterOf } from '../../records/taxon.ts'
import { countingMethods, isComposition, tellsParts } from '../../methods/index.ts'
import { noteLeftOut, type NotUnderstood, type ReadFinds, type ReadStop } from './finds.ts'
import { nameFinder, type NameFound } from './nameFinder.ts'

/** Ways of counting whose stops are wholly told by names and amounts. */
const plainMethods = methods.filter((m) => isComposition(m) && !tellsParts(m))
/** Those that need to know the pin or cell as well. */
const partMethods = methods.filter(tellsParts)

/** Methods that a file of finds can be taken in as. */
export const methodsFor = (finds: ReadFinds): Method[] => {
  const all = finds.stops.flatMap((s) => s.finds)
  return all.length > 0 && all.every((f) => f.part !== undefined) ? [...plainMethods, ...partMethods] : plainMethods
}

/** The method that a file means by its protocol, or by the kind of its amounts. */
export function methodMeant(finds: ReadFinds): Method {
  const can = methodsFor(finds)
  const named = methods.find((m) => countingMethods[m].protocol === finds.protocol)
  if (named && can.includes(named)) return named
  const amounts = finds.stops.flatMap((s) => s.finds.map((f) => f.amount))
  return amounts.every((a) => Number.isInteger(a) && a <= 50) ? 'step-points' : 'cover-classes'
}

export interface Chosen {
  id: string
  paddock: Paddock
  holding: string
  client: string
  title: string
  purpose: string
  method: Method
  /** ISO day on which it was counted. */
  day: string
  source: string
  /** Plants chosen for names that were not understood. */
  given?: Readonly<Record<string, string>>
  /** Makes an id for each stop. */
  newId: () => string
}

export interface RoundRead {
  round: Round
  /** Names that became a plant, ground or a letter, and those kept as they stand, with how often. */
  names: { name: string; found: NameFound; times: number }[]
  /** Names nobody knows: nothing of them is in the round. */
  strangers: string[]
  /** Everything that is not in the round. */
  notUnderstood: NotUnderstood[]
}

/** Points are hits of one each; other amounts stand as they are. */
function hitsOf(stop: ReadStop, method: Method, taxonOf: (name: string) => string | undefined): Hit[] {
  const points = countingMethods[method].entry === 'points'
  return stop.finds.flatMap((f): Hit[] => {
    const taxon = taxonOf(f.name)
    if (!taxon) return []
    const part = f.part !== undefined && partMethods.includes(method) ? { part: f.part } : {}
    if (!points) return [{ taxon, amount: f.amount, ...part }]
    return Array.from({ length: f.amount }, () => ({ taxon, amount: 1, ...part }))
  })
}

/** Most that the record of one stop holds. */
const MOST_HITS = 1000
const whole = (n: number) => Number.isInteger(n) && n <= 500

/** A counted round made of the finds of a file, with everything that was left out said. */
export function roundOfFinds(finds: ReadFinds, chosen: Chosen, plants: readonly Plant[]): RoundRead {
  const { id, paddock, method, day } = chosen
  const find = nameFinder(plants, chosen.given)
  const names = new Map<string, RoundRead['names'][number]>()
  const strangers = new Set<string>()
  const left = new Map(finds.notUnderstood.map((n) => [JSON.stringify(n.what), { ...n }]))
  const leave = (what: LeftOut, first: FilePlace) => noteLeftOut(left, what, first)
  const points = countingMethods[method].entry === 'points'
  const readable = finds.stops.map((stop) => ({
    ...stop,
    finds: stop.finds.filter((f) => {
      const found = names.get(f.name)?.found ?? find(f.name)
      if (!found) {
        strangers.add(f.name)
        leave(coded('unknown-name', { name: f.name }), coded('at-stop', { key: stop.key }))
      } else if (points && !whole(f.amount))
        leave(coded('points-not-whole', { amount: f.amount }), coded('at-stop', { key: stop.key }))
      else if (f.amount < 0.001 || f.amount > 10_000)
        leave(coded('amount-out-of-bounds', { amount: f.amount }), coded('at-stop', { key: stop.key }))
      else {
        const known = names.get(f.name)
        if (known) known.times++
        else names.set(f.name, { name: f.name, found, times: 1 })
        return true
      }
      return false
    }),
  }))
  const stops = readable.map((stop, i): Stop => {
    let hits = hitsOf(stop, method, (n) => names.get(n)?.found.taxon)
    if (hits.length > MOST_HITS) {
      leave(coded('too-many-points-at-a-stop', { MOSTHITS: MOST_HITS }), coded('at-stop', { key: stop.key }))
      hits = []
    }
    const doneAt = hits.length > 0 ? `${day}T12:00:00.000Z` : null
    return { ...openStop(chosen.newId(), i + 1, stop.position, stop.stratum), hits, doneAt }
  })
  const letters = new Set(
    [...names.values()].filter((n) => n.found.how === 'letter').map((n) => letterOf(n.found.taxon)!),
  )
  const counted = stops.filter((s) => s.hits.length > 0)
  const round: Round = {
    id,
    paddockId: paddock.id,
    paddock,
    holding: chosen.holding,
    client: chosen.client,
    title: chosen.title,
    method,
    purpose: chosen.purpose,
    plannedOn: day,
    pointsPerStop: points ? Math.min(500, Math.max(1, ...counted.map((s) => s.hits.length))) : 1,
    settings: {},
    source: chosen.source,
    route: null,
    stops,
    unknowns: [...letters].sort().map((letter) => ({ letter, namedAs: null })),
  }
  return { round, names: [...names.values()], strangers: [...strangers], notUnderstood: [...left.values()] }
}
