import type { PictureClass } from '../core/picture/classes.ts'
import { say } from './say.ts'

const words: Record<PictureClass, () => string> = {
  green: () => say('leaf'),
  legume: () => say('leaf of a legume'),
  bare: () => say('bare ground'),
  litter: () => say('litter'),
}
/** What a map of a picture tells apart. */
export const pictureClassWords = (c: PictureClass): string => words[c]()
