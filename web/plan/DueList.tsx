import { format } from 'date-fns/format'
import { addDays } from 'date-fns/addDays'
import { planDates, type PlanLine } from '@/core/records/planItem.ts'
import { PlanLines } from './PlanLines.tsx'
import { usePlanLines } from './usePlanLines.ts'

const AHEAD_DAYS = 14

/** What is due or overdue in any paddock, on the first screen. */
export function DueList({ first }: { first: PlanLine[] }) {
  const { lines, put } = usePlanLines(undefined, first)
  const until = format(addDays(new Date(), AHEAD_DAYS), 'yyyy-MM-dd')
  const dates = planDates(lines)
  const due = dates.filter((d) => d.day <= until)
  if (dates.length === 0) return null
  return (
    <section className="mt-4" aria-labelledby="due">
      <div className="flex items-baseline justify-between">
        <h2 id="due" className="text-lg text-ink-soft">
          To do within two weeks
        </h2>
        <a href="/api/plan.ics" download className="min-h-11 content-center text-culm underline">
          calendar file
        </a>
      </div>
      {due.length === 0 ? (
        <p>Nothing until {format(new Date(dates[0]!.day), 'd MMMM')}.</p>
      ) : (
        <PlanLines lines={due.map((d) => d.item)} where onPut={put} />
      )}
    </section>
  )
}
