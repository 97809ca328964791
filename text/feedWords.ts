import type { FeedBasis } from '@/core/assess/feed/walkedFeed.ts'
import { say } from './say.ts'

const bases: Record<FeedBasis, () => string> = {
  laboratory: () => say('the sample of the laboratory'),
  leafy: () => say('the sward while leafy'),
  stemmy: () => say('the sward gone to stem'),
}
/** What a feed stands on. */
export const feedBasisWords = (basis: FeedBasis): string => bases[basis]()
