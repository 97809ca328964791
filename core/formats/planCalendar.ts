import { createEvents, type DateArray, type EventAttributes } from 'ics'
import { daysAfter } from '../records/days.ts'
import { planDates, type PlanLine } from '../records/planItem.ts'

const parts = (day: string): DateArray => day.split('-').map(Number) as [number, number, number]

/** The dates of a plan as an iCalendar file (RFC 5545): whole days, the same item always the same event. */
export function planCalendar(items: PlanLine[]): string {
  const events = planDates(items).map(({ id, day, kind, item }): EventAttributes => ({
    uid: `${id}@fold-sprig`,
    title: kind === 'do' ? item.text : `Look again: ${item.lookFor || item.text}`,
    description: [item.owner ? `Who: ${item.owner}.` : '', kind === 'do' ? item.lookFor : item.text]
      .filter(Boolean)
      .join(' '),
    location: `${item.paddock}, ${item.holding}`,
    start: parts(day),
    end: parts(daysAfter(day, 1)),
    transp: 'TRANSPARENT',
  }))
  const { error, value } = createEvents(events, { productId: 'Fold Sprig', calName: 'Fold Sprig' })
  if (typeof value !== 'string') throw error ?? new Error('the calendar could not be written')
  return value
}
