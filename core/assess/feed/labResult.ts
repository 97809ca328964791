import { TDN_POINTS, type Estimate, type MixtureFeed } from './mixtureFeed.ts'
import { energyFromTdn } from './energy.ts'
import { relativeFeedValue } from './relativeFeedValue.ts'
import { coded, type Coded } from '../../coded.ts'

/** What a laboratory found in a sample, percent of dry matter. */
export interface LabResult {
  sample: string
  cpPct: number
  adfPct: number
  ndfPct: number
  /** Nitrate as NO3-N, parts per million of dry matter, where it was asked for. */
  nitrateNPpm?: number
  /** True where no laboratory saw it: the stand-in made it up. */
  simulated: boolean
}

/** How far two laboratories lie apart on one sample, points either way 95 times in 100: common practice, no source. */
export const LAB_POINTS = { cpPct: 1, adfPct: 1.5, ndfPct: 2 } as const

/** Molecular weight of NO3 over that of its nitrogen. */
const NO3_OF_N = 4.43

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
}

/**
 * Feed figures of a laboratory result, each with the error of laboratories: of one sample, not of the whole paddock.
 * Relative feed value after Rohweder, Barnes & Jorgensen 1978; TDN taken as digestible dry matter give or take 3 points; ME: NRC 1996.
 */
export function labFigures(lab: LabResult): LabFigures {
  const adf = around(lab.adfPct, LAB_POINTS.adfPct)
  const ndf = around(lab.ndfPct, LAB_POINTS.ndfPct)
  const rfv = (a: number, n: number) => relativeFeedValue({ adfPct: a, ndfPct: n })
  const me = (a: number, off = 0) => energyFromTdn(88.9 - 0.779 * a + off).me
  return {
    cpPct: around(lab.cpPct, LAB_POINTS.cpPct),
    adfPct: adf,
    ndfPct: ndf,
    // More fibre is less value: the ends change places.
    rfv: { middle: rfv(adf.middle, ndf.middle), low: rfv(adf.high, ndf.high), high: rfv(adf.low, ndf.low) },
    meMcalPerKg: { middle: me(adf.middle), low: me(adf.high, -TDN_POINTS), high: me(adf.low, TDN_POINTS) },
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
export const offBy = (estimate: MixtureFeed, lab: LabResult): OffBy[] =>
  (['cpPct', 'adfPct', 'ndfPct'] as const).map((what) => ({
    what,
    points: lab[what] - estimate[what].middle,
    within: lab[what] >= estimate[what].low && lab[what] <= estimate[what].high,
  }))

/** What extension tables say of a level of nitrate, from memory; never that a level is without risk. */
export type NitrateBand = 'mostly-no-trouble' | 'limit' | 'small-part' | 'do-not-feed'

/** @param nitrateNPpm NO3-N, parts per million of dry matter */
export function nitrateBand(nitrateNPpm: number): NitrateBand {
  if (nitrateNPpm < 1000) return 'mostly-no-trouble'
  if (nitrateNPpm <= 2000) return 'limit'
  return nitrateNPpm <= 4000 ? 'small-part' : 'do-not-feed'
}

const columns: {
  key: 'sample' | 'cpPct' | 'adfPct' | 'ndfPct' | 'dryPct' | 'nitrateNPpm' | 'nitratePpm'
  names: RegExp
}[] = [
  { key: 'sample', names: /^(sample|name|id|lab(oratory)? ?(no|number))$/ },
  { key: 'cpPct', names: /^(cp|crude protein|protein)$/ },
  { key: 'adfPct', names: /^(adf|acid detergent fib(re|er))$/ },
  { key: 'ndfPct', names: /^(andf|ndf|neutral detergent fib(re|er))$/ },
  { key: 'dryPct', names: /^(dm|dry matter)$/ },
  { key: 'nitrateNPpm', names: /^(no3-?n|nitrate ?n|nitrate nitrogen)$/ },
  { key: 'nitratePpm', names: /^(no3|nitrate)$/ },
]

const plain = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)|%|ppm|,|_/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/ (of )?dm( basis)?$/, '')

export type LabProblem =
  Coded<'column-not-used' | 'row-left-out'> | { code: 'columns-missing'; columns: ('cpPct' | 'adfPct' | 'ndfPct')[] }

export interface LabFile {
  results: LabResult[]
  /** Columns and rows that were not understood. */
  problems: LabProblem[]
}

/**
 * Results from the rows of a spreadsheet, headers as laboratories write them.
 *
 * @param rows one object per row, header to cell
 */
export function readLabRows(rows: Record<string, string>[]): LabFile {
  const out: LabFile = { results: [], problems: [] }
  const headers = Object.keys(rows[0] ?? {})
  const meant = new Map(headers.map((h) => [h, columns.find((c) => c.names.test(plain(h)))?.key]))
  for (const h of headers) if (meant.get(h) === undefined) out.problems.push(coded('column-not-used', { h }))
  const missing = (['cpPct', 'adfPct', 'ndfPct'] as const).filter((k) => ![...meant.values()].includes(k))
  if (missing.length > 0) {
    out.problems.push({ code: 'columns-missing', columns: missing })
    return out
  }
  rows.forEach((row, i) => {
    const cells = Object.fromEntries(
      [...meant].flatMap(([h, key]) => (key === undefined ? [] : [[key, (row[h] ?? '').trim()]])),
    ) as Partial<Record<(typeof columns)[number]['key'], string>>
    const number = (key: (typeof columns)[number]['key']) =>
      Number((cells[key] ?? '').replace('%', '').replace(',', '.'))
    const values = { cpPct: number('cpPct'), adfPct: number('adfPct'), ndfPct: number('ndfPct') }
    const bad = Object.values(values).some((v) => !(v > 0 && v < 100)) || values.adfPct > values.ndfPct
    if (bad) {
      out.problems.push(coded('row-left-out', { i: i + 1 }))
      return
    }
    const nitrate = cells.nitrateNPpm
      ? number('nitrateNPpm')
      : cells.nitratePpm
        ? number('nitratePpm') / NO3_OF_N
        : undefined
    out.results.push({
      sample: cells.sample ?? `#${i + 1}`,
      ...values,
      ...(nitrate !== undefined && nitrate >= 0 ? { nitrateNPpm: nitrate } : {}),
      simulated: false,
    })
  })
  return out
}

/** A made-up result: one sample drawn from what the plants promise, with the error of laboratories. */
export function simulatedLab(estimate: MixtureFeed, random: () => number): LabResult {
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
