import { ReadProblem } from '../../../ui/ReadProblem.tsx'
import { useState } from 'react'
import { monthsOfGrowth } from '@/core/flora/seasons.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { PlanLines } from '../../../entities/plan/PlanLines.tsx'
import { lineOf } from '../../../entities/plan/lineOf.ts'
import { usePlanLines } from '../../../entities/plan/usePlanLines.ts'
import { unwanted } from './unwanted.ts'
import { monthRuns } from '../../../parts/words.ts'
import type { Flag } from '../../../ui/charts/DayFlag.tsx'
import { MonthStrip } from '../../../ui/charts/MonthStrip.tsx'
import type { ChapterProps } from '../chapter.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import { dayWords, today } from '../../../language/dates.ts'
import { ActsForPlant } from './ActsForPlant.tsx'

/** What can be done about the plants that are not wanted here, with and without herbicide. */
export function Acts({ round, weighed }: ChapterProps) {
  const { byId } = useFlora()
  const { lines, put } = usePlanLines(round.paddockId)
  const plants = unwanted(round, weighed, byId)
  return (
    <section aria-labelledby="act">
      <h2 id="act" className="text-[1.65rem]">
        {say('What to do')}
      </h2>
      {plants.length === 0 ? (
        <p className="mt-1">
          {say('No harmful plant and no weed of this book was met; the plan can still hold other work.')}
        </p>
      ) : (
        plants.map((p, i) => (
          <ActsForPlant key={p.id} plant={p} round={round} lines={lines} onPut={put} opened={i === 0} />
        ))
      )}
    </section>
  )
}

/** The year of this work: when each unwanted plant stands in leaf, and what is due; below it the plan itself. */
export function Plan({ round, weighed }: ChapterProps) {
  const { byId } = useFlora()
  const { lines, put, drop, move, problem, again } = usePlanLines(round.paddockId)
  const flags = flagsWith(move)
  const open = lines.filter((l) => l.doneOn === null)
  const rows = unwanted(round, weighed, byId).map((p) => ({
    id: p.id,
    name: p.commonName.replace(/ \(.*\)/, ''),
    months: monthsOfGrowth(p, round.paddock.region).map((m) => m - 1),
    harmful: p.role === 'toxic',
    due: open.filter((l) => l.plant === p.id).flatMap(flags),
  }))
  const others = open.filter((l) => !rows.some((r) => r.id === l.plant))
  if (others.length > 0)
    rows.push({ id: '', name: say('Other work'), months: [], harmful: false, due: others.flatMap(flags) })
  return (
    <>
      <ReadProblem of={say('The plan')} problem={problem} again={again} />
      {rows.length > 0 ? (
        <>
          <p className="text-ink-soft">
            {say(
              'In leaf where it is hatched; a flag is due work, a hollow one a day to look again, the line is today. A flag can be dragged to another day, or moved by arrow keys.',
            )}
          </p>
          <MonthStrip
            rows={rows}
            day={today()}
            shows="ahead"
            label={say('Year of the work: {{rows}}', {
              rows: rows
                .map((r) =>
                  [r.name, monthRuns(r.months), ...r.due.map((d) => `${d.says}, ${dayWords(d.day)}`)]
                    .filter(Boolean)
                    .join(', '),
                )
                .join('; '),
            })}
          />
        </>
      ) : null}
      <section aria-labelledby="plan" className="mt-4">
        <h2 id="plan" className="text-xl">
          {say('The plan for {{name}}', { name: round.paddock.name })}
        </h2>
        {lines.length === 0 ? <p className="text-ink-soft">{say('Nothing is planned yet.')}</p> : null}
        <PlanLines lines={lines} onPut={put} onDrop={drop} />
        <OwnLine onAdd={(text, dueOn) => put(lineOf(round, { text, dueOn }))} />
      </section>
    </>
  )
}

/** When a line of the plan is due, and when to look again; both can be moved. */
const flagsWith =
  (move: ReturnType<typeof usePlanLines>['move']) =>
  (l: PlanLine): Flag[] => [
    { id: `${l.id}-do`, day: l.dueOn, says: l.text, onMove: (day) => move(l, 'do', day) },
    ...(l.backOn === null
      ? []
      : [
          {
            id: `${l.id}-look`,
            day: l.backOn,
            says: say('Look again: {{text}}', { text: l.text }),
            hollow: true,
            earliest: l.dueOn,
            onMove: (day: string) => move(l, 'look', day),
          },
        ]),
  ]

function OwnLine({ onAdd }: { onAdd: (text: string, dueOn: string) => void }) {
  const [text, setText] = useState('')
  const [dueOn, setDueOn] = useState(today())
  return (
    <form
      className="mt-3 grid items-end gap-3 @md:grid-cols-[1fr_auto_auto]"
      onSubmit={(e) => {
        e.preventDefault()
        if (!text.trim() || !dueOn) return
        onAdd(text.trim(), dueOn)
        setText('')
      }}
    >
      <Labelled label={say('Something else to do')}>
        {(id) => (
          <input
            id={id}
            maxLength={1000}
            value={text}
            onChange={(e) => setText(e.target.value)}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label={say('By')}>
        {(id) => (
          <input id={id} type="date" value={dueOn} onChange={(e) => setDueOn(e.target.value)} className={inputClass} />
        )}
      </Labelled>
      <button type="submit" className="min-h-12 rounded-xl border-2 border-culm px-4 font-semibold text-culm">
        {say('Add it')}
      </button>
    </form>
  )
}
