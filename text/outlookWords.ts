import type { OutlookLineId } from '@/core/assess/indicators/outlookReading.ts'
import { say } from './say.ts'

interface OutlookWords {
  title: string
  /** What it means, where it means something. */
  says: string
}

const notHarmless = () => say('That is not the same as harmless.')

const words: Record<OutlookLineId, () => OutlookWords> = {
  sown: () => ({ title: say('Sown'), says: '' }),
  'came-by-itself': () => ({ title: say('Came by itself'), says: '' }),
  bare: () => ({ title: say('Bare ground and litter'), says: '' }),
  'mostly-eaten': () => ({ title: say('Mostly eaten'), says: '' }),
  'eaten-and-can-harm': () => ({
    title: say('Mostly eaten, and can harm'),
    says: say('Whom, and as what, stands with what could harm.'),
  }),
  'mostly-refused': () => ({
    title: say('Mostly refused'),
    says: say('Present is not eaten: hungry stock eat what they would leave.'),
  }),
  'harms-in-hay': () => ({
    title: say('Harmful in hay'),
    says: say('Stock that leave it standing cannot sort it out of hay.'),
  }),
  'may-harm-in-hay': () => ({
    title: say('Can harm in hay: a test tells, looking does not'),
    says: say('Whom, and by what, stands with what could harm.'),
  }),
  'harms-standing': () => ({ title: say('Harmful standing; as hay lessened or not known'), says: notHarmless() }),
  creeps: () => ({
    title: say('Repairs wear and creeps into borders'),
    says: say('By rhizome or runner: a strength in a goal mouth, a fault at an edge.'),
  }),
  'neither-sown-nor-turf': () => ({ title: say('Neither sown nor turf'), says: '' }),
  native: () => ({ title: say('Native plants of the book'), says: '' }),
  'not-native': () => ({
    title: say('Others'),
    says: say('Not all of them are strangers: the book marks as native what is sown as such.'),
  }),
}

export const outlookWords = (id: OutlookLineId): OutlookWords => words[id]()
