import type { Plant } from '../../flora/flora.ts'
import type { GrazingSystem } from '../../records/management.ts'

/** Kinds of sward by how they are grazed: what is left, and how much of the growth may be taken, goes by them. */
export const swardKinds = ['cool-pasture', 'warm-pasture', 'tall-native', 'mixed-native', 'short-native'] as const
export type SwardKind = (typeof swardKinds)[number]

/** Dry matter left standing, kg a hectare, by kind of sward (range and pasture handbooks, from memory). */
export const residualKgPerHa: Record<SwardKind, readonly [number, number]> = {
  'cool-pasture': [1200, 1600],
  'warm-pasture': [1000, 1400],
  'tall-native': [1100, 1500],
  'mixed-native': [600, 900],
  'short-native': [300, 500],
}

/** Heights left, cm, from which a native sward is called tall, and under which short. */
const TALL_CM = 15
const SHORT_CM = 8

interface Share {
  taxon: string
  estimate: number
}

/** What kind of sward it is, by the shares of what is native, of the warm season, and how high it is left. */
export function swardKindOf(shares: readonly Share[], plants: ReadonlyMap<string, Plant>): SwardKind {
  let [native, warm, other, height, known] = [0, 0, 0, 0, 0]
  for (const { taxon, estimate } of shares) {
    const p = plants.get(taxon)
    if (!p) continue
    if (p.role === 'native') native += estimate
    else if (p.season === 'warm' && p.form === 'grass') warm += estimate
    else other += estimate
    if (p.role === 'native' && p.regrowth) {
      height += (estimate * (p.regrowth.outCm[0] + p.regrowth.outCm[1])) / 2
      known += estimate
    }
  }
  if (native > warm + other) {
    const left = known > 0 ? height / known : SHORT_CM
    return left >= TALL_CM ? 'tall-native' : left < SHORT_CM ? 'short-native' : 'mixed-native'
  }
  return warm > other ? 'warm-pasture' : 'cool-pasture'
}

/** Share of all growth that is eaten, 0 to 1, by how stock are moved (range and pasture handbooks, from memory). */
export const useShare: Record<GrazingSystem, readonly [number, number]> = {
  'range-season-long': [0.2, 0.3],
  continuous: [0.3, 0.4],
  'moved-in-a-week': [0.5, 0.6],
  'moved-daily': [0.6, 0.75],
}

export interface Rest {
  /** Days of rest in full growth. */
  days: readonly [number, number]
  /** Height at which stock go in and come out, cm. */
  inCm: readonly [number, number]
  outCm: readonly [number, number]
  /** The plant that asks for the longest rest, of those with a tenth of the sward or more. */
  slowest: string
  /** Leaves of the plant that is most of the sward, where they are counted. */
  leaves: { of: string; count: readonly [number, number] } | undefined
  /** Share of the sward it stands on, 0 to 1. */
  known: number
}

const WORTH_A_WORD = 0.1

/** Rest and heights of a sward, by what its plants need, each by its share. Undefined where no plant has them on file. */
export function restOf(shares: readonly Share[], plants: ReadonlyMap<string, Plant>): Rest | undefined {
  const with_ = shares.flatMap(({ taxon, estimate }) => {
    const regrowth = plants.get(taxon)?.regrowth
    return regrowth && estimate > 0 ? [{ taxon, estimate, regrowth }] : []
  })
  const total = with_.reduce((sum, s) => sum + s.estimate, 0)
  if (!(total > 0)) return undefined
  const mean = (of: (r: NonNullable<Plant['regrowth']>) => readonly [number, number]): [number, number] => {
    const end = (i: 0 | 1) => with_.reduce((sum, s) => sum + (s.estimate / total) * of(s.regrowth)[i], 0)
    return [end(0), end(1)]
  }
  const main = with_.filter((s) => s.estimate >= WORTH_A_WORD)
  const slow = (main.length > 0 ? main : with_).toSorted((a, b) => b.regrowth.days[1] - a.regrowth.days[1])[0]!
  const most = with_.toSorted((a, b) => b.estimate - a.estimate)[0]!
  return {
    days: mean((r) => r.days),
    inCm: mean((r) => r.inCm),
    outCm: mean((r) => r.outCm),
    slowest: slow.taxon,
    leaves: most.regrowth.leaves && { of: most.taxon, count: most.regrowth.leaves },
    known: total / shares.reduce((sum, s) => sum + s.estimate, 0),
  }
}

/** Paddocks that a rest and a stay ask for: rest / stay + 1, rounded up (Voisin). */
export function paddocksFor(restDays: number, stayDays: number): number {
  if (!(restDays > 0 && stayDays > 0)) throw new RangeError('a rest and a stay have days')
  return Math.ceil(restDays / stayDays) + 1
}

/**
 * Dry matter that must stand when stock go in, kg a hectare, so that it lasts until they come back: what they eat in a round over
 * the ground they have, and what is left (the upper end of a feed wedge).
 */
export function wantedOnEntry(eatenKgPerDay: number, roundDays: number, areaHa: number, residual: number): number {
  if (!(areaHa > 0)) throw new RangeError('ground has an area')
  return (eatenKgPerDay * roundDays) / areaHa + residual
}

/** Metabolic weight of an animal against that of a 454 kg (1,000 lb) cow: animal units. */
export const animalUnits = (bodyKg: number, count = 1): number => count * (bodyKg / 454) ** 0.75

/** Days after which a measured mass no longer speaks for what stands, while it grows. Common practice, no source. */
export const MASS_HOLDS_DAYS = 10
const DAY_MS = 86_400_000

/** Whether a mass measured on one day speaks for another; both ISO days. */
export const massHolds = (measuredOn: string, on: string): boolean =>
  Math.abs(Date.parse(on) - Date.parse(measuredOn)) <= MASS_HOLDS_DAYS * DAY_MS
