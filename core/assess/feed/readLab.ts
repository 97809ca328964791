import { coded, type Coded } from '../../coded.ts'
import { labExtras, type LabExtra, type LabResult } from './labResult.ts'

/** Parts per million of NO3-N in one of each salt: molecular weights of NO3 (62.0) and KNO3 (101.1) over that of N (14.0). */
const PER_NITROGEN = { 'NO3-N': 1, NO3: 4.43, KNO3: 7.22 } as const
type Salt = keyof typeof PER_NITROGEN

/** No laboratory reports less of it: a smaller figure was percent, or another unit. Common practice, no source. */
const LEAST_PPM = 20
/** More than a tenth of the dry matter is no nitrate of forage: another unit was meant. Common practice, no source. */
const MOST_PPM = 100_000

type Extra = Exclude<LabExtra, 'dryPct'>
type Key = 'sample' | 'cpPct' | 'adfPct' | 'ndfPct' | 'dryPct' | 'waterPct' | 'nitrate' | Extra
const names: { key: Key; is: RegExp }[] = [
  { key: 'nitrate', is: /nitrate|\bk?no3/ },
  { key: 'sample', is: /^(sample|name|id|lab(oratory)? ?(no|number))$/ },
  { key: 'cpPct', is: /^(cp|crude protein|protein)$/ },
  { key: 'adfPct', is: /^(adf|acid detergent fib(re|er))$/ },
  { key: 'ndfPct', is: /^(andf|andfom|ndf|neutral detergent fib(re|er))$/ },
  { key: 'dryPct', is: /^(dm|dry matter)$/ },
  { key: 'waterPct', is: /^(moisture|water)$/ },
  { key: 'hcnPpm', is: /^(hcn|prussic acid|cyanide|hydrogen cyanide)$/ },
  { key: 'ergovalinePpb', is: /^ergovaline$/ },
  { key: 'ergotAlkaloidPpb', is: /^(total )?ergot alkaloids?$/ },
  { key: 'formononetinPct', is: /^formononetin$/ },
  { key: 'coumestanPpm', is: /^(coumestans?|coumestrol)$/ },
  { key: 'kPct', is: /^(k|potassium)$/ },
  { key: 'caPct', is: /^(ca|calcium)$/ },
  { key: 'mgPct', is: /^(mg|magnesium)$/ },
  { key: 'wscPct', is: /^(wsc|esc|sugars?|water soluble carbohydrates?|water-soluble carbohydrates?)$/ },
  { key: 'starchPct', is: /^starch$/ },
  { key: 'ndfdPct', is: /^(ndfd|ndfd ?48|ndf digestibility|ndfd,? 48 ?h(ours?)?)$/ },
  { key: 'fatPct', is: /^(fat|crude fat|ether extract|ee)$/ },
  { key: 'ashPct', is: /^(ash|crude ash)$/ },
  { key: 'sePpm', is: /^(se|selenium)$/ },
  { key: 'cuPpm', is: /^(cu|copper)$/ },
  { key: 'moPpm', is: /^(mo|molybdenum)$/ },
  { key: 'ph', is: /^ph$/ },
]
const extras = Object.keys(labExtras).filter((k): k is Extra => k !== 'dryPct')
const isExtra = (key: Key): boolean => (extras as readonly string[]).includes(key)

type Unit = '%' | 'ppm' | 'g/kg' | 'ppb'
/** Ppm in one of each unit. */
const PPM_OF: Record<Unit, number> = { '%': 10_000, ppm: 1, 'g/kg': 1000, ppb: 0.001 }

const unitIn = (text: string): Unit | undefined =>
  /ppb|[uµμ]g ?\/ ?kg/.test(text)
    ? 'ppb'
    : /ppm|mg ?\/ ?kg/.test(text)
      ? 'ppm'
      : /g ?\/ ?kg/.test(text)
        ? 'g/kg'
        : /%|\bpct\b|percent/.test(text)
          ? '%'
          : undefined

const saltIn = (text: string): Salt | undefined =>
  /kno3|potassium nitrate/.test(text)
    ? 'KNO3'
    : /no3 ?-? ?n\b|nitrate ?-? ?n\b|nitrate nitrogen|nitrogen as nitrate/.test(text)
      ? 'NO3-N'
      : /no3/.test(text)
        ? 'NO3'
        : undefined

/** Whether a figure is of the sample as it came, with its water. */
const isAsFed = (text: string): boolean => /as[ -](fed|received|sampled|is\b)|\b(af|ar) basis|fresh/.test(text)

const plain = (header: string): string =>
  header
    .toLowerCase()
    .replace(/as[ -](fed|received|sampled|is)/g, ' ')
    .replace(/\(.*?\)|%|pp[mb]|[uµμm]g ?\/ ?kg|g ?\/ ?kg|pct|percent|,|_/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/ (of )?(dm|dry matter)( basis)?$/, '')

interface Column {
  header: string
  key: Key
  unit: Unit | undefined
  salt: Salt | undefined
  asFed: boolean
}

function columnOf(header: string): Column | undefined {
  const text = header.toLowerCase().replace(/_/g, ' ')
  const key = names.find(({ key: k, is }) => is.test(k === 'nitrate' ? text : plain(header)))?.key
  return key && { header, key, unit: unitIn(text), salt: saltIn(text), asFed: isAsFed(text) }
}

/**
 * A number as laboratories write it: `14,2` and `14.2`, `4,400` and `4 400` for thousands.
 *
 * @returns undefined where it is none, or only a bound as `< 100` is
 */
export function labNumber(cell: string): number | undefined {
  const text = cell
    .toLowerCase()
    .replace(/%|pp[mb]|[uµμm]?g ?\/ ?kg|percent/g, '')
    .trim()
  if (/^\d{1,3}([, \u00a0]\d{3})+(\.\d+)?$/.test(text)) return Number(text.replace(/[, \u00a0]/g, ''))
  return /^\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : undefined
}

export type LabProblem =
  | Coded<
      | 'column-not-used'
      | 'column-twice'
      | 'column-as-fed'
      | 'row-left-out'
      | 'nitrate-salt'
      | 'nitrate-not-read'
      | 'figure-not-read'
    >
  | { code: 'columns-missing'; columns: ('cpPct' | 'adfPct' | 'ndfPct')[] }

export interface LabFile {
  results: LabResult[]
  /** Columns, rows and figures that were not understood: none of them is read by a guess. */
  problems: LabProblem[]
}

/** One column for each figure: that of dry matter before one of the sample as it came, the first before a second. */
function chosen(headers: string[], problems: LabProblem[]): Map<Key, Column> {
  const columns = new Map<Key, Column>()
  for (const header of headers) {
    const column = columnOf(header)
    const before = column && columns.get(column.key)
    if (!column) problems.push(coded('column-not-used', { h: header }))
    else if (!before || (before.asFed && !column.asFed)) {
      columns.set(column.key, column)
      if (before) problems.push(coded('column-not-used', { h: before.header }))
    } else problems.push(coded(column.asFed ? 'column-not-used' : 'column-twice', { h: header }))
  }
  // Without the dry matter nobody can say what a figure of the wet sample is.
  for (const column of [...columns.values()])
    if (column.asFed && column.key !== 'sample' && !columns.has('dryPct') && !columns.has('waterPct')) {
      columns.delete(column.key)
      problems.push(coded('column-as-fed', { h: column.header }))
    }
  const nitrate = columns.get('nitrate')
  if (nitrate && !nitrate.salt) {
    columns.delete('nitrate')
    problems.push(coded('nitrate-salt', { h: nitrate.header }))
  }
  return columns
}

/** NO3-N in ppm of dry matter; undefined where the cell or its unit is not to be read. */
function nitrateOf(column: Column, cell: string, drySharePct: number | undefined): number | undefined {
  const value = labNumber(cell)
  const unit =
    unitIn(cell.toLowerCase()) ?? column.unit ?? (value !== undefined && value >= LEAST_PPM ? 'ppm' : undefined)
  if (value === undefined || unit === undefined || column.salt === undefined) return undefined
  if (column.asFed && drySharePct === undefined) return undefined
  const ofDry = column.asFed ? (value * 100) / drySharePct! : value
  const ppm = (ofDry * PPM_OF[unit]) / PER_NITROGEN[column.salt]
  return ppm >= LEAST_PPM && ppm <= MOST_PPM ? ppm : undefined
}

const FEED = ['cpPct', 'adfPct', 'ndfPct'] as const

/** The unit that the name of a figure ends in. */
const unitOfKey = (key: Extra): Unit | undefined =>
  key.endsWith('Pct') ? '%' : key.endsWith('Ppm') ? 'ppm' : key.endsWith('Ppb') ? 'ppb' : undefined

/** A further figure in the unit of its name; undefined where its unit is not said or it is more than forage holds. */
function extraOf(key: Extra, column: Column, cell: string, drySharePct: number | undefined): number | undefined {
  const value = labNumber(cell)
  if (value === undefined) return undefined
  const wanted = unitOfKey(key)
  const unit = unitIn(cell.toLowerCase()) ?? column.unit
  if (wanted !== undefined && unit === undefined) return undefined
  if (column.asFed && wanted !== undefined && drySharePct === undefined) return undefined
  const ofDry = column.asFed && wanted !== undefined ? (value * 100) / drySharePct! : value
  const inUnit = wanted === undefined ? ofDry : (ofDry * PPM_OF[unit!]) / PPM_OF[wanted]
  return inUnit <= labExtras[key] ? inUnit : undefined
}

/**
 * Results from the rows of a spreadsheet, headers as laboratories write them. What could mean two things is not read and is
 * said: a nitrate that is taken for another salt or unit is wrong by four or by ten thousand.
 *
 * @param rows one object per row, header to cell
 */
export function readLabRows(rows: Record<string, string>[]): LabFile {
  const out: LabFile = { results: [], problems: [] }
  const columns = chosen(Object.keys(rows[0] ?? {}), out.problems)
  const missing = FEED.filter((k) => !columns.has(k))
  // A sample can have been sent for nitrate or minerals alone; a part of the feed figures is a slip.
  const hasDanger = [...columns.keys()].some((k) => k === 'nitrate' || isExtra(k))
  if (missing.length > 0 && !(missing.length === FEED.length && hasDanger)) {
    out.problems.push({ code: 'columns-missing', columns: missing })
    return out
  }
  rows.forEach((row, i) => {
    const cell = (key: Key) => (row[columns.get(key)?.header ?? ''] ?? '').trim()
    const water = labNumber(cell('waterPct'))
    const dry = labNumber(cell('dryPct')) ?? (water === undefined ? undefined : 100 - water)
    const drySharePct = dry !== undefined && dry > 0 && dry <= 100 ? dry : undefined
    const percent = (key: 'cpPct' | 'adfPct' | 'ndfPct'): number => {
      const { asFed, unit } = columns.get(key)!
      const value = (labNumber(cell(key)) ?? NaN) / (unit === 'g/kg' ? 10 : 1)
      return asFed ? (value * 100) / (drySharePct ?? NaN) : value
    }
    const blank = FEED.every((k) => !columns.has(k) || cell(k) === '') && hasDanger
    const feed = blank ? undefined : { cpPct: percent('cpPct'), adfPct: percent('adfPct'), ndfPct: percent('ndfPct') }
    if (feed && (Object.values(feed).some((v) => !(v > 0 && v < 100)) || feed.adfPct > feed.ndfPct)) {
      out.problems.push(coded('row-left-out', { i: i + 1 }))
      return
    }
    const column = columns.get('nitrate')
    const nitrate = column && cell('nitrate') !== '' ? nitrateOf(column, cell('nitrate'), drySharePct) : undefined
    if (column && cell('nitrate') !== '' && nitrate === undefined)
      out.problems.push(coded('nitrate-not-read', { i: i + 1, cell: cell('nitrate') }))
    const further: Partial<Record<LabExtra, number>> = {}
    for (const key of extras) {
      const of = columns.get(key)
      if (!of || cell(key) === '') continue
      const value = extraOf(key, of, cell(key), drySharePct)
      if (value === undefined) out.problems.push(coded('figure-not-read', { i: i + 1, h: of.header, cell: cell(key) }))
      else further[key] = value
    }
    if (drySharePct !== undefined) further.dryPct = drySharePct
    out.results.push({
      sample: cell('sample') || `#${i + 1}`,
      ...feed,
      ...further,
      ...(nitrate === undefined ? {} : { nitrateNPpm: nitrate }),
      simulated: false,
    })
  })
  return out
}
