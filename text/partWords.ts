import { FENCE } from '../core/records/round.ts'
import { say } from './say.ts'

/** What a part of a paddock is called: its own name, the strip along the fence, or the rest. */
export const partName = (name: string): string =>
  name === FENCE ? say('along the fence') : name === '' ? say('the rest') : name
