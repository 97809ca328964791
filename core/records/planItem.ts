import { addDays } from 'date-fns/addDays'
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays'
import { formatISO } from 'date-fns/formatISO'
import { parseISO } from 'date-fns/parseISO'

/** One thing to do in a paddock, with who, when, and what to look for on return. */
export interface PlanItem {
  id: string
  paddockId: string
  /** The round it follows from. */
  roundId: string | null
  /** Plant id, where it is about one. */
  plant: string | null
  text: string
  owner: string
  /** ISO day. */
  dueOn: string
  /** ISO day on which somebody looks again. */
  backOn: string | null
  lookFor: string
  /** ISO day on which it was done. */
  doneOn: string | null
  /** What came of it. */
  outcome: string
}

/** A thing to do, with where. */
export interface PlanLine extends PlanItem {
  paddock: string
  holding: string
}

/** Dates to keep of a plan: what is to do, and when to look again. */
export interface PlanDate {
  id: string
  day: string
  kind: 'do' | 'look'
  item: PlanLine
}

/**
 * What is still ahead or overdue, the earliest first.
 *
 * A thing that was done leaves its day of looking again; that one goes when the outcome is written.
 */
export function planDates(items: PlanLine[]): PlanDate[] {
  return items
    .flatMap((item): PlanDate[] => {
      if (item.doneOn === null) return [{ id: `${item.id}-do`, day: item.dueOn, kind: 'do', item }]
      if (item.backOn !== null && item.outcome === '')
        return [{ id: `${item.id}-look`, day: item.backOn, kind: 'look', item }]
      return []
    })
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
}

/**
 * A thing to do, moved to another day. Nobody looks again before it is done: where it is moved past the day of looking
 * again, that one moves with it, as long after as before; and that one cannot be moved before the day it is due.
 *
 * @param kind which of its days is moved
 * @param day ISO day
 */
export function movedTo<T extends PlanItem>(item: T, kind: PlanDate['kind'], day: string): T {
  const { dueOn, backOn } = item
  if (kind === 'look') return { ...item, backOn: day < dueOn ? dueOn : day }
  if (backOn === null || backOn >= day) return { ...item, dueOn: day }
  const after = differenceInCalendarDays(parseISO(backOn), parseISO(dueOn))
  return { ...item, dueOn: day, backOn: formatISO(addDays(parseISO(day), after), { representation: 'date' }) }
}
