import type { Method } from '@/core/records/method.ts'
import { openStop, type Paddock, type Round, type Stop } from '@/core/records/round.ts'

export const emptyPaddock: Paddock = {
  id: 'p',
  holdingId: 'h',
  name: 'Croft',
  boundary: null,
  region: 'cool-humid',
  outlook: 'grazing',
  sown: [],
  strata: [],
  note: '',
}

/** A stop that is counted, with what differs. */
export const countedStop = (seq: number, rest: Partial<Stop>): Stop => ({
  ...openStop(`s${seq}`, seq, null),
  doneAt: '2027-04-02T09:00:00.000Z',
  ...rest,
})

/** A round of a method, with what differs. */
export const roundOf = (method: Method, stops: Stop[], rest: Partial<Round> = {}): Round => ({
  id: 'r',
  paddockId: 'p',
  holding: 'Withy Bank',
  client: '',
  title: 'Count',
  method,
  purpose: '',
  plannedOn: '2027-04-02',
  pointsPerStop: 10,
  settings: {},
  source: '',
  route: null,
  paddock: emptyPaddock,
  stops,
  unknowns: [],
  ...rest,
})

/** Hits of one each, so many of a plant. */
export const hitsOf = (counts: Record<string, number>) =>
  Object.entries(counts).flatMap(([taxon, n]) => Array.from({ length: n }, () => ({ taxon, amount: 1 })))
