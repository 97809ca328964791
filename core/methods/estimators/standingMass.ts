import { tQuantile } from '../../stats/tQuantile.ts'
import type { Round, Stop } from '../../records/round.ts'
import type { Interval } from '../../stats/clusterRatio.ts'
import { doubleSampling, linearCalibration, type Calibration } from '../../stats/linearCalibration.ts'

/** Grams a square metre to kilograms a hectare. */
const KG_PER_HA = 10

export interface ClippedPair {
  seq: number
  reading: number
  kgPerHa: number
}

export interface StandingMass {
  kgPerHa: number
  interval: Interval
  se: number
  /** Fresh where nothing was dried and no dry share is given. */
  of: 'dry matter' | 'fresh matter'
  readings: number
  clipped: ClippedPair[]
  /** The line, and what clipping alone would have given; only for readings. */
  line?: Calibration
}

/** Why there is no mass yet. */
export type MassProblem = 'too-few-clips' | 'one-reading-clipped' | 'one-frame'
export type MassResult = StandingMass | { problem: MassProblem; readings: number; clipped: ClippedPair[] }

const used = (stops: Stop[]) => stops.filter((s) => s.skipped === null)
const allDry = (stops: Stop[]) => stops.every((s) => s.measures.clipDryG !== undefined)

function perHa({ measures }: Stop, frameM2: number, dry: boolean, dryShare: number | undefined): number {
  const grams = dry ? measures.clipDryG! : measures.clipFreshG! * (dryShare ?? 1)
  return (grams / frameM2) * KG_PER_HA
}

/**
 * Mass of a paddock from readings (plate, ruler or score), some of them clipped.
 *
 * Dry matter if every clipped frame was dried or the round has a dry share; fresh otherwise, and said so.
 */
export function massFromReadings(round: Pick<Round, 'stops' | 'settings'>): MassResult {
  const stops = used(round.stops).filter((s) => s.measures.reading !== undefined)
  const cut = stops.filter((s) => s.measures.clipFreshG !== undefined || s.measures.clipDryG !== undefined)
  const { frameM2 = 0.25, dryShare } = round.settings
  const dry = cut.length > 0 && allDry(cut)
  const usable = dry ? cut : cut.filter((s) => s.measures.clipFreshG !== undefined)
  const clipped = usable.map((s) => ({
    seq: s.seq,
    reading: s.measures.reading!,
    kgPerHa: perHa(s, frameM2, dry, dryShare),
  }))
  const short = (problem: MassProblem) => ({ problem, readings: stops.length, clipped })
  if (clipped.length < 3) return short('too-few-clips')
  const [x, y] = [clipped.map((c) => c.reading), clipped.map((c) => c.kgPerHa)]
  if (new Set(x).size < 2) return short('one-reading-clipped')
  const line = linearCalibration(x, y)
  const double = doubleSampling(
    stops.map((s) => s.measures.reading!),
    { heights: x, masses: y },
  )
  return {
    kgPerHa: double.mean,
    interval: double.interval,
    se: double.se,
    of: dry || dryShare !== undefined ? 'dry matter' : 'fresh matter',
    readings: stops.length,
    clipped,
    line,
  }
}

/** Mass of a paddock from hand-sorted clips: the mean over frames, t interval (Cochran 1977, ch. 2). */
export function massFromClips(round: Pick<Round, 'stops' | 'settings'>): MassResult {
  const stops = used(round.stops).filter((s) => s.doneAt !== null)
  const { frameM2 = 0.25, dryShare } = round.settings
  const masses = stops.map(
    (s) => (s.hits.reduce((sum, h) => sum + h.amount, 0) / frameM2) * KG_PER_HA * (dryShare ?? 1),
  )
  const n = masses.length
  if (n < 2) return { problem: 'one-frame', readings: n, clipped: [] }
  const mean = masses.reduce((a, b) => a + b, 0) / n
  const se = Math.sqrt(masses.reduce((s, x) => s + (x - mean) ** 2, 0) / (n - 1) / n)
  const half = tQuantile(0.975, n - 1) * se
  return {
    kgPerHa: mean,
    interval: [Math.max(0, mean - half), mean + half],
    se,
    of: dryShare !== undefined ? 'dry matter' : 'fresh matter',
    readings: n,
    clipped: [],
  }
}
