import { addDays } from 'date-fns/addDays'
import { parseISO } from 'date-fns/parseISO'
import { planDates } from '@/core/records/planItem.ts'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { PlanLines } from './PlanLines.tsx'
import { usePlanLines } from './usePlanLines.ts'
import { say } from '../../language/say.ts'
import { dayWords, isoDay, today } from '../../language/dates.ts'

const AHEAD_DAYS = 14

/** What is due or overdue in any paddock, on the first screen. */
export function DueList() {
  const { lines, put, problem, again } = usePlanLines()
  const dates = planDates(lines)
  // What was ticked off today stays, so that a slip can be taken back.
  const now = today()
  const until = isoDay(addDays(parseISO(now), AHEAD_DAYS))
  const due = lines.filter((l) => l.doneOn === now || dates.some((d) => d.item.id === l.id && d.day <= until))
  if (problem) return <ReadProblem of={say('The plan')} problem={problem} again={again} />
  if (lines.length === 0) return null
  return (
    <section className="mt-4" aria-labelledby="due">
      <div className="flex items-baseline justify-between">
        <h2 id="due" className="text-lg text-ink-soft">
          {say('To do within two weeks')}
        </h2>
        <a href="/api/plan.ics" download className="min-h-11 content-center text-culm underline">
          {say('calendar file')}
        </a>
      </div>
      {due.length === 0 ? (
        <p>
          {dates[0]
            ? say('Nothing until {{dayWords}}.', { dayWords: dayWords(dates[0].day) })
            : say('Nothing is left to do.')}
        </p>
      ) : (
        <PlanLines lines={due} where onPut={put} />
      )}
    </section>
  )
}
