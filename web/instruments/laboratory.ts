import { simulatedLab, type LabResult } from '@/core/assess/feed/labResult.ts'
import type { MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { say } from '../language/say.ts'

/** Something that a sample is sent to and a result comes back from. */
export interface Laboratory {
  name: string
  simulated: boolean
  analyse: (cut: MixtureFeed) => Promise<LabResult>
}

export const simulatedLaboratory: Laboratory = {
  get name() {
    return say('simulated laboratory')
  },
  simulated: true,
  analyse: async (cut) => simulatedLab(cut, Math.random),
}
