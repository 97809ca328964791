import { beforeAll, describe, expect, it } from 'vitest'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Determination, RoundSummary } from '@/core/records/round.ts'
import { plantsById } from '@/tests/support/book.ts'
import { emptyPaddock } from '@/tests/support/rounds.ts'
import { timeline, type Kept } from '@/web/features/history/timeline.ts'
import { useUnits } from '@/web/parts/units.ts'
import { useFlora } from '@/web/stores/floraStore.ts'

beforeAll(() => useFlora.setState({ byId: plantsById, plants: [...plantsById.values()] }))

const round = (rest: Partial<RoundSummary> = {}): RoundSummary => ({
  id: 'r',
  paddockId: 'p',
  title: 'Count',
  method: 'step-points',
  purpose: '',
  plannedOn: '2027-05-01',
  pointsPerStop: 20,
  settings: {},
  source: '',
  paddock: 'Croft',
  holding: 'Withy Bank',
  client: '',
  stops: 30,
  stopsDone: 30,
  ...rest,
})
const line = (rest: Partial<PlanLine> = {}): PlanLine => ({
  id: 'l',
  paddockId: 'p',
  roundId: null,
  plant: null,
  text: 'Pull the ragwort',
  owner: '',
  dueOn: '2027-05-10',
  backOn: null,
  lookFor: '',
  doneOn: null,
  outcome: '',
  paddock: 'Croft',
  holding: 'Withy Bank',
  ...rest,
})
const naming = (rest: Partial<Determination> = {}): Determination => ({
  id: 'n',
  roundId: null,
  letter: null,
  plant: 'timothy',
  probability: 0.98,
  context: {},
  observations: [],
  namedAt: '2027-05-03T10:00:00.000Z',
  place: 'by the gate',
  specimens: 1,
  evidence: [],
  ...rest,
})
const event = (rest: Partial<PaddockEvent> = {}): PaddockEvent => ({
  id: 'e',
  paddockId: 'p',
  kind: 'other',
  onDate: '2027-05-02',
  note: '',
  detail: {},
  ...rest,
})
const entriesOf = (kept: Partial<Kept>) =>
  timeline({ rounds: [], plan: [], namings: [], events: [], paddocks: [emptyPaddock], ...kept })

describe('the daybook', () => {
  it('has the latest first, and the same order every time where days are alike', () => {
    const kept = {
      rounds: [round(), round({ id: 'old', plannedOn: '2026-05-01' })],
      plan: [line()],
      namings: [naming()],
      events: [event(), event({ id: 'a' })],
    }
    const order = entriesOf(kept).map((e) => e.id)
    expect(order).toEqual(['l', 'n', 'a', 'e', 'r', 'old'])
    expect(entriesOf({ ...kept, events: kept.events.toReversed() }).map((e) => e.id)).toEqual(order)
  })

  it('a round stands in it once something of it is counted', () => {
    expect(entriesOf({ rounds: [round({ stopsDone: 0 })] })).toEqual([])
    expect(entriesOf({ rounds: [round({ stopsDone: 4 })] })[0]).toMatchObject({
      kind: 'counted',
      text: 'Count: 4 of 30 counted',
      place: 'Croft',
      to: '/rounds/r/weigh-up',
    })
  })

  it('a name stands where its round was walked, or where its finder said', () => {
    const namings = [naming({ id: 'of-round', roundId: 'r' }), naming({ id: 'loose' })]
    const by = new Map(entriesOf({ rounds: [round()], namings }).map((e) => [e.id, e]))
    expect(by.get('of-round')).toMatchObject({ place: 'Croft', paddockId: 'p', text: 'Timothy named' })
    expect(by.get('loose')).toMatchObject({ place: 'by the gate', paddockId: null, to: '/plants/timothy' })
  })

  it('what is to do stands on its day, what was done on the day it was done, with what came of it', () => {
    const [done] = entriesOf({ plan: [line({ doneOn: '2027-05-12', outcome: 'forty plants' })] })
    expect(done).toMatchObject({ kind: 'done', day: '2027-05-12', text: 'Pull the ragwort. Came of it: forty plants' })
    expect(entriesOf({ plan: [line()] })[0]).toMatchObject({
      kind: 'to do',
      day: '2027-05-10',
      text: 'Pull the ragwort',
    })
  })

  it.each([
    [event({ kind: 'cut', detail: { amount: '8 cm' }, note: 'first cut' }), 'Cut: 8 cm. first cut'],
    [event({ kind: 'grazed', detail: { amount: '62 goats for 4 days' } }), 'Grazed: 62 goats for 4 days'],
    [event({ note: 'Harrowed' }), 'Noted. Harrowed'],
    [event({ kind: 'treated' }), 'Treated'],
  ])('writes an event in words', (e, text) => expect(entriesOf({ events: [e] })[0]!.text).toBe(text))

  it('says a sowing by plant and rate, in the units of the device', () => {
    const sown = [{ plant: 'timothy', kgPerHa: 6, pls: 0.9 }] as PaddockEvent['detail']['sown'] & object
    const text = () => entriesOf({ events: [event({ kind: 'sown', detail: { sown } })] })[0]!.text
    expect(text()).toBe('Sown: Timothy 6 kg/ha')
    useUnits.getState().setUnits('us')
    // 6 kg/ha x 0.8922 lb/acre per kg/ha.
    expect(text()).toBe('Sown: Timothy 5.4 lb/acre')
    useUnits.getState().setUnits('metric')
  })

  it('an event of a paddock that is gone keeps its line', () => {
    expect(entriesOf({ events: [event({ paddockId: 'gone' })], paddocks: [] })[0]).toMatchObject({ place: '' })
  })
})
