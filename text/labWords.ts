import type { LabExtra, NitrateStep } from '@/core/assess/feed/labResult.ts'
import type { LabProblem } from '@/core/assess/feed/readLab.ts'
import { say } from './say.ts'

const steps: Record<NitrateStep['code'], () => string> = {
  'lowest-mark': () =>
    say('under the lowest mark of the tables; get stock used to it slowly, none of it to hungry stock'),
  'half-to-pregnant': () => say('at most half of the ration to pregnant stock'),
  'half-to-all': () => say('at most half of the ration'),
  'third-none-to-pregnant': () => say('at most a third of the ration, none to pregnant stock'),
  'quarter-none-to-pregnant': () => say('at most a quarter of the ration, none to pregnant stock'),
  'do-not-feed': () => say('do not feed'),
}

/** What the tables say of a level of nitrate. */
export const nitrateWords = ({ code }: NitrateStep): string => steps[code]()

const extras: Record<LabExtra, () => string> = {
  hcnPpm: () => say('Prussic acid, ppm'),
  ergovalinePpb: () => say('Ergovaline, ppb'),
  ergotAlkaloidPpb: () => say('Ergot alkaloids, ppb'),
  formononetinPct: () => say('Formononetin, %'),
  coumestanPpm: () => say('Coumestans, ppm'),
  kPct: () => say('Potassium, %'),
  caPct: () => say('Calcium, %'),
  mgPct: () => say('Magnesium, %'),
  wscPct: () => say('Water-soluble sugar, %'),
  starchPct: () => say('Starch, %'),
  sePpm: () => say('Selenium, ppm'),
  cuPpm: () => say('Copper, ppm'),
  moPpm: () => say('Molybdenum, ppm'),
  ph: () => 'pH',
  ndfdPct: () => say('Digested NDF in 48 hours, % of NDF'),
  fatPct: () => say('Fat, %'),
  ashPct: () => say('Ash, %'),
  dryPct: () => say('Dry matter of the sample, %'),
}
/** A figure that a danger is worked out from, with its unit; of dry matter but for the last two. */
export const labExtraWords = (extra: LabExtra): string => extras[extra]()

/** What of a laboratory's file was not understood. */
export function labProblemWords(problem: LabProblem): string {
  if (problem.code === 'columns-missing') {
    const names = { cpPct: say('crude protein'), adfPct: 'ADF', ndfPct: 'NDF' }
    return say('There is no column for {{missing}}.', { missing: problem.columns.map((k) => names[k]).join(', ') })
  }
  if (problem.code === 'column-not-used') return say('The column "{{h}}" was not used.', problem.values)
  if (problem.code === 'column-twice')
    return say('The column "{{h}}" says again what another one says: only the first was read.', problem.values)
  if (problem.code === 'column-as-fed')
    return say('The column "{{h}}" is of the sample as it came, and no column says its dry matter: it was not read.', problem.values) // prettier-ignore
  if (problem.code === 'nitrate-salt')
    return say('The column "{{h}}" does not say whether it is NO3, NO3-N or KNO3: the nitrate was not read.', problem.values) // prettier-ignore
  if (problem.code === 'nitrate-not-read')
    return say('Row {{i}}: the nitrate "{{cell}}" was not read. Type it in ppm NO3-N, or ask the laboratory.', problem.values) // prettier-ignore
  if (problem.code === 'figure-not-read')
    return say('Row {{i}}: "{{cell}}" under "{{h}}" was not read: its unit is not said, or no forage holds so much.', problem.values) // prettier-ignore
  return say(
    'Row {{i}} was left out: protein, ADF and NDF must be percent of dry matter, ADF not above NDF.',
    problem.values,
  )
}
