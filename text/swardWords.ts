import type { SaidBeside, SaidId } from '@/core/assess/indicators/siteIndicators.ts'
import { say } from './say.ts'

interface SaidWords {
  title: string
  /** What would speak against it, to be looked at. */
  against: string
}

const words: Record<SaidId, () => SaidWords> = {
  'nitrogen-short': () => ({
    title: say('Short of nitrogen'),
    against: say('Grass that is dark and strong beside the clover; clover sown thick a year ago; a soil test.'),
  }),
  'grazed-hard': () => ({
    title: say('Grazed or mown too hard'),
    against: say('Bluegrass that was sown for turf; a sward left tall; taller grasses thriving between.'),
  }),
  compacted: () => ({
    title: say('Compacted or trodden'),
    against: say('A spade that goes in easily; plantain only at the gate or along a path.'),
  }),
  wet: () => ({
    title: say('Wet ground'),
    against: say('Dry-ground plants at the same stops; reed canarygrass that was sown.'),
  }),
  shaded: () => ({ title: say('Shaded and moist'), against: say('Full sun through the day.') }),
  acid: () => ({
    title: say('Sour ground'),
    against: say('A soil test with a pH of 6 or more; seed that brought them; lime spread within two years.'),
  }),
  hungry: () => ({
    title: say('Hungry ground'),
    against: say('A soil test; a sward kept poor on purpose; a dry bank or a path.'),
  }),
  disturbed: () => ({
    title: say('Disturbed ground'),
    against: say('Thistles that creep (they keep themselves); a seed lot that brought them.'),
  }),
  thin: () => ({
    title: say('Thin and stressed'),
    against: say('Bare ground from moles, a new drilling or a dunging place.'),
  }),
  'sown-going': () => ({
    title: say('What was sown is going'),
    against: say(
      'A stand in its first months, where it is too early to judge; sown plants that are seen only in another season.',
    ),
  }),
}

/** What a composition says of ground and past management. */
export const saidWords = (id: SaidId): SaidWords => words[id]()

export function besideWords(beside: SaidBeside): string {
  if (beside.code === 'mean-height')
    return say('mean height {{mean}} cm at {{n}} stops', { mean: beside.cm.toFixed(0), n: beside.stops })
  return say('grazed hard at {{hard}} of {{n}} stops', { hard: beside.hard, n: beside.stops })
}

export const commonPractice = () => say('common practice, no source')
