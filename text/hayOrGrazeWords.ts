import type { ReasonId } from '@/core/assess/feed/hayOrGraze.ts'
import { say } from './say.ts'

interface ReasonWords {
  title: string
  says: string
}

const words: Record<ReasonId, () => ReasonWords> = {
  'stands-close-grazing': () => ({
    title: say('Stands close grazing'),
    says: say('Low growers that a mower mostly passes over.'),
  }),
  'needs-rest': () => ({
    title: say('Goes out when grazed close'),
    says: say('Needs rest after each use, and a stubble of a hand.'),
  }),
  bloats: () => ({
    title: say('Legumes that bloat'),
    says: say('From about a third of the sward: turn in full stock, late in the morning, a strip at a time.'),
  }),
  'mown-whole': () => ({
    title: say('Tall plants that a mower takes whole'),
    says: say('Cut grasses when heads show, clovers in bud.'),
  }),
  'harms-in-hay': () => ({
    title: say('Harms in hay, and cannot be sorted out'),
    says: say('Take it out before the mower comes.'),
  }),
  'harms-standing': () => ({
    title: say('Harmful standing; as hay lessened or not known'),
    says: say('That is not the same as harmless.'),
  }),
  'dries-slowly': () => ({
    title: say('Dries slowly'),
    says: say('A day or more longer than the grass: bales go mouldy round it.'),
  }),
  'leaf-shatters': () => ({
    title: say('Leaf that shatters'),
    says: say('Turn while dew is on it; the leaf is where the protein is.'),
  }),
  'moulds-to-bleeding': () => ({
    title: say('Sweetclover, which thins the blood when it moulds'),
    says: say('Only bone dry, and never from a mouldy bale.'),
  }),
}

export const reasonWords = (id: ReasonId): ReasonWords => words[id]()
