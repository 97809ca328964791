import { tdnErrorOfMixture, tdnOfMixture, type ClassShares } from './forageClass.ts'
import type { Estimate, MixtureFeed } from './mixtureFeed.ts'
import { energyFromTdn, grassQuality, legumeQuality, type ForageQuality } from './energy.ts'
import { relativeFeedValue } from './relativeFeedValue.ts'

/** What a laboratory found in a sample, percent of dry matter. A sample can have been sent for one danger alone. */
export interface LabResult {
  sample: string
  /** The three feed figures: all of them or none. */
  cpPct?: number
  adfPct?: number
  ndfPct?: number
  /** Nitrate as NO3-N, parts per million of dry matter, where it was asked for. */
  nitrateNPpm?: number
  /** Further figures, by their key in `labExtras`. */
  hcnPpm?: number
  ergovalinePpb?: number
  ergotAlkaloidPpb?: number
  formononetinPct?: number
  coumestanPpm?: number
  kPct?: number
  caPct?: number
  mgPct?: number
  wscPct?: number
  starchPct?: number
  sePpm?: number
  cuPpm?: number
  moPpm?: number
  ph?: number
  /** Digestibility of NDF in 48 hours, % of NDF; fat (ether extract) and ash, % of dry matter. */
  ndfdPct?: number
  fatPct?: number
  ashPct?: number
  /** Dry matter, % of the feed as it came. */
  dryPct?: number
  /** True where no laboratory saw it: the stand-in made it up. */
  simulated: boolean
}

/** A result with the feed figures. */
export type FeedResult = LabResult & Required<Pick<LabResult, 'cpPct' | 'adfPct' | 'ndfPct'>>

export const hasFeed = (lab: LabResult | undefined): lab is FeedResult =>
  lab?.cpPct !== undefined && lab.adfPct !== undefined && lab.ndfPct !== undefined

/** Figures that a danger is worked out from, each with the highest that any forage was told to hold: more is another unit. From memory. */
export const labExtras = {
  hcnPpm: 5000,
  ergovalinePpb: 20_000,
  ergotAlkaloidPpb: 100_000,
  formononetinPct: 5,
  coumestanPpm: 2000,
  kPct: 12,
  caPct: 5,
  mgPct: 2,
  wscPct: 45,
  starchPct: 45,
  sePpm: 1000,
  cuPpm: 500,
  moPpm: 300,
  ph: 9,
  ndfdPct: 95,
  fatPct: 20,
  ashPct: 40,
  dryPct: 100,
} as const
export type LabExtra = keyof typeof labExtras

/** How far two laboratories lie apart on one sample, points either way 95 times in 100: common practice, no source. */
export const LAB_POINTS = { cpPct: 1, adfPct: 1.5, ndfPct: 2 } as const

const around = (middle: number, points: number): Estimate => ({
  middle,
  low: Math.max(0, middle - points),
  high: middle + points,
})

export interface LabFigures {
  cpPct: Estimate
  adfPct: Estimate
  ndfPct: Estimate
  rfv: Estimate
  meMcalPerKg: Estimate
  /** Where digestibility of fibre, fat and ash were analysed too. */
  quality: ForageQuality | undefined
}

/** From this share of legumes on a sample goes by the relation of legumes: common practice, no source. */
const LEGUME_FORAGE = 0.5

/** Relative forage quality and the TDN it stands on, where all that it takes was analysed (Moore & Undersander 2002, from memory). */
export function forageQuality(lab: LabResult, classes: ClassShares): ForageQuality | undefined {
  const { ndfdPct, fatPct, ashPct } = lab
  if (!hasFeed(lab) || ndfdPct === undefined || fatPct === undefined || ashPct === undefined) return undefined
  const values = { cpPct: lab.cpPct, adfPct: lab.adfPct, ndfPct: lab.ndfPct, ndfdPct, eePct: fatPct, ashPct }
  return (classes.legume ?? 0) >= LEGUME_FORAGE ? legumeQuality(values) : grassQuality(values)
}

/**
 * Feed figures of a laboratory result, each with the error of laboratories: of one sample, not of the whole paddock.
 * Relative feed value after Rohweder, Barnes & Jorgensen 1978; TDN by class of forage with its error (`forageClass.ts`); ME: NRC 1996.
 *
 * @param classes shares of each class of forage in what was sent, as the round counted them
 */
export function labFigures(lab: FeedResult, classes: ClassShares): LabFigures {
  const adf = around(lab.adfPct, LAB_POINTS.adfPct)
  const ndf = around(lab.ndfPct, LAB_POINTS.ndfPct)
  const rfv = (a: number, n: number) => relativeFeedValue({ adfPct: a, ndfPct: n })
  const off = tdnErrorOfMixture(classes)
  const me = (a: number, points: number) =>
    energyFromTdn(tdnOfMixture(classes, { cp: lab.cpPct, adf: a, ndf: lab.ndfPct }) + points).me
  return {
    cpPct: around(lab.cpPct, LAB_POINTS.cpPct),
    adfPct: adf,
    ndfPct: ndf,
    // More fibre is less value: the ends change places.
    rfv: { middle: rfv(adf.middle, ndf.middle), low: rfv(adf.high, ndf.high), high: rfv(adf.low, ndf.low) },
    quality: forageQuality(lab, classes),
    meMcalPerKg: { middle: me(adf.middle, 0), low: me(adf.high, -off), high: me(adf.low, off) },
  }
}

export interface OffBy {
  what: 'cpPct' | 'adfPct' | 'ndfPct'
  /** Laboratory less estimate, points. */
  points: number
  /** True where the laboratory lies within the range that was estimated. */
  within: boolean
}

/** How far off the estimate from the plants was. */
export const offBy = (estimate: MixtureFeed, lab: FeedResult): OffBy[] =>
  (['cpPct', 'adfPct', 'ndfPct'] as const).map((what) => ({
    what,
    points: lab[what] - estimate[what].middle,
    within: lab[what] >= estimate[what].low && lab[what] <= estimate[what].high,
  }))

/** A step of the tables of nitrate, by its lower end; never that a level is without risk. */
export interface NitrateStep {
  code: 'lowest-mark' | 'half-to-pregnant' | 'half-to-all' | 'third-none-to-pregnant' | 'quarter-none-to-pregnant' | 'do-not-feed' // prettier-ignore
  /** NO3-N, ppm of dry matter, from here on. */
  fromPpm: number
  /** Most of the dry matter of a day's ration, 0 to 1; undefined where the tables name none. */
  mostOfRation: number | undefined
  /** The same for stock that is pregnant. */
  mostToPregnant: number | undefined
}

/** Extension tables for cattle, NO3-N in the dry matter of the whole ration, from memory; nitrate in the water comes on top. */
export const nitrateSteps: readonly NitrateStep[] = [
  { code: 'lowest-mark', fromPpm: 0, mostOfRation: undefined, mostToPregnant: undefined },
  { code: 'half-to-pregnant', fromPpm: 1000, mostOfRation: undefined, mostToPregnant: 0.5 },
  { code: 'half-to-all', fromPpm: 1500, mostOfRation: 0.5, mostToPregnant: 0.5 },
  { code: 'third-none-to-pregnant', fromPpm: 2000, mostOfRation: 0.35, mostToPregnant: 0 },
  { code: 'quarter-none-to-pregnant', fromPpm: 3500, mostOfRation: 0.25, mostToPregnant: 0 },
  { code: 'do-not-feed', fromPpm: 4000, mostOfRation: 0, mostToPregnant: 0 },
]

/**
 * The step in which a sample lies; one at the end of a step belongs to the worse one.
 *
 * @param nitrateNPpm NO3-N, parts per million of dry matter, not below 0
 */
export const nitrateStep = (nitrateNPpm: number): NitrateStep =>
  nitrateSteps.findLast((s) => nitrateNPpm >= s.fromPpm) ?? nitrateSteps[0]!

/** A made-up result: one sample drawn from what the plants promise, with the error of laboratories. */
export function simulatedLab(estimate: MixtureFeed, random: () => number): FeedResult {
  const one = (e: Estimate, points: number) => {
    const within = e.low + random() * (e.high - e.low)
    return Math.round((within + (random() * 2 - 1) * points) * 10) / 10
  }
  const adfPct = one(estimate.adfPct, LAB_POINTS.adfPct)
  return {
    sample: 'simulated',
    cpPct: one(estimate.cpPct, LAB_POINTS.cpPct),
    adfPct,
    ndfPct: Math.max(adfPct + 1, one(estimate.ndfPct, LAB_POINTS.ndfPct)),
    nitrateNPpm: Math.round(200 + random() * 900),
    simulated: true,
  }
}
