import type { Plant } from '@/core/flora/flora.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { Round } from '@/core/records/round.ts'
import { lookFor } from '@/core/survey/planStops.ts'
import { ownMark } from '../../stores/device.ts'
import { BARE, LITTER, letterOf, letterParts, markedLetter, unknownTaxon, type Taxon } from '@/core/records/taxon.ts'

export interface CountKey {
  taxon: Taxon
  key: string
}

/** Letters under the strong fingers first; b, v, u, x, z and n have a meaning of their own. */
const POOL = [...'asdfghjklqwertyiopmc']
const EXPECTED = 11

/** Grasses, legumes and herbs in turn, so that a short list holds some of each. */
function inTurn(plants: Plant[]): Taxon[] {
  const kinds = ['grass', 'legume', 'forb'].map((form) => plants.filter((p) => p.form === form).map((p) => p.id))
  const longest = Math.max(...kinds.map((k) => k.length))
  return Array.from({ length: longest }, (_, i) => kinds.flatMap((k) => k.slice(i, i + 1))).flat()
}

/** Plants a reader would look for here: what was sown, what was met, then the common ones of the region. */
export function expectedPlants(round: Round, plants: Plant[], added: Taxon[]): Taxon[] {
  const counts = new Map<Taxon, number>()
  for (const stop of round.stops) for (const h of stop.hits) counts.set(h.taxon, (counts.get(h.taxon) ?? 0) + 1)
  const known = new Set(plants.map((p) => p.id))
  const met = [...counts]
    .filter(([t]) => known.has(t))
    .sort((a, b) => b[1] - a[1])
    .map(([t]) => t)
  const common = inTurn(plants.filter((p) => p.regions[round.paddock.region] === 'common' && p.role !== 'toxic'))
  const first = [...new Set([...round.paddock.sown, ...met, ...added])]
  const rest = common.filter((id) => !first.includes(id)).slice(0, Math.max(0, EXPECTED - first.length))
  return [...first, ...rest].slice(0, POOL.length)
}

/** Plants that get a key from the start: on a search walk the harmful ones, else what grows here. */
export function keyedPlants(round: Round, plants: Plant[]): Taxon[] {
  const targets = round.settings.targets ?? []
  if (!countingMethods[round.method].forHarm) return expectedPlants(round, plants, targets)
  const harmful = lookFor(plants, round.paddock.region).map((p) => p.id)
  return [...new Set([...targets, ...harmful])].slice(0, EXPECTED)
}

/** Letters used in a round, and the next free one, under the mark of this device. */
export function letters(
  round: Pick<Round, 'stops' | 'unknowns'>,
  mark = ownMark(),
): {
  used: string[]
  free: string | undefined
} {
  const used = new Set(round.unknowns.map((u) => u.letter))
  for (const stop of round.stops)
    for (const h of stop.hits) {
      const letter = letterOf(h.taxon)
      if (letter) used.add(letter)
    }
  const taken = new Set([...used].map((l) => letterParts(l).letter))
  const free = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((l) => !taken.has(l))
  return { used: [...used].sort(), free: free && markedLetter(free, mark) }
}

/** A key per species, then bare ground and litter where they count, and the unknown in hand. */
export function assignKeys(plants: Taxon[], unknown: string, ground = true): CountKey[] {
  return [
    ...plants.map((taxon, i) => ({ taxon, key: POOL[i]! })),
    ...(ground
      ? [
          { taxon: BARE, key: 'b' },
          { taxon: LITTER, key: 'v' },
        ]
      : []),
    { taxon: unknownTaxon(unknown), key: 'u' },
  ]
}
