import type { LabProblem, NitrateBand } from '@/core/assess/feed/labResult.ts'
import { say } from './say.ts'

const bands: Record<NitrateBand, () => string> = {
  'mostly-no-trouble': () => say('generally without trouble'),
  limit: () => say('limit it: mix with other feed, not for pregnant stock alone'),
  'small-part': () => say('a small part of the ration only, and ask a veterinarian'),
  'do-not-feed': () => say('do not feed'),
}

export const nitrateWords = (band: NitrateBand): string => bands[band]()

/** What of a laboratory's file was not understood. */
export function labProblemWords(problem: LabProblem): string {
  if (problem.code === 'columns-missing') {
    const names = { cpPct: say('crude protein'), adfPct: 'ADF', ndfPct: 'NDF' }
    return say('There is no column for {{missing}}.', { missing: problem.columns.map((k) => names[k]).join(', ') })
  }
  if (problem.code === 'column-not-used') return say('The column "{{h}}" was not used.', problem.values)
  return say(
    'Row {{i}} was left out: protein, ADF and NDF must be percent of dry matter, ADF not above NDF.',
    problem.values,
  )
}
