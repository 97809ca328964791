import { describe, expect, test } from 'vitest'
import { movedTo, planDates, type PlanLine } from '@/core/records/planItem.ts'

const line = (more: Partial<PlanLine> = {}): PlanLine => ({
  id: 'l',
  paddockId: 'p',
  roundId: null,
  plant: null,
  text: 'Lift the crowns',
  owner: '',
  dueOn: '2027-03-20',
  backOn: '2027-05-01',
  lookFor: '',
  doneOn: null,
  outcome: '',
  paddock: 'Pond Paddock',
  holding: 'Candle Lane Livery',
  ...more,
})
const days = ({ dueOn, backOn }: PlanLine) => [dueOn, backOn]

// What an advisor expects of a plan that is put off; common practice, no source. Days counted on a calendar by hand.
describe('work that is moved to another day', () => {
  test('the day of looking again stays where it still comes after it', () => {
    expect(days(movedTo(line(), 'do', '2027-04-10'))).toEqual(['2027-04-10', '2027-05-01'])
    expect(days(movedTo(line(), 'do', '2027-03-01'))).toEqual(['2027-03-01', '2027-05-01'])
  })

  test('moved past it, it is looked at again as long after as before: 42 days, over a change of the clocks and of the year', () => {
    expect(days(movedTo(line(), 'do', '2027-05-02'))).toEqual(['2027-05-02', '2027-06-13'])
    expect(days(movedTo(line(), 'do', '2027-12-01'))).toEqual(['2027-12-01', '2028-01-12'])
  })

  test('the day of looking again is never before the day it is due, and moves nothing else', () => {
    expect(days(movedTo(line(), 'look', '2027-06-30'))).toEqual(['2027-03-20', '2027-06-30'])
    expect(days(movedTo(line(), 'look', '2027-01-01'))).toEqual(['2027-03-20', '2027-03-20'])
  })

  test('where nobody looks again nobody does after it was moved', () => {
    expect(days(movedTo(line({ backOn: null }), 'do', '2027-06-01'))).toEqual(['2027-06-01', null])
  })

  test('the dates to keep follow it', () => {
    const other = line({ id: 'other', dueOn: '2027-04-01' })
    const ids = (lines: PlanLine[]) => planDates(lines).map((d) => d.id)
    expect(ids([line(), other])).toEqual(['l-do', 'other-do'])
    expect(ids([movedTo(line(), 'do', '2027-04-02'), other])).toEqual(['other-do', 'l-do'])
  })
})
