import type { SaidId } from '@/core/assess/indicators/siteIndicators.ts'
import type { Site } from '@/core/assess/sowing/sowingAdvice.ts'

/** What the sward says of the ground that a seed has to bear. */
export const siteOf: Partial<Record<SaidId, Site>> = { wet: 'wet', shaded: 'shade', acid: 'acid' }
