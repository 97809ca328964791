import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { useState } from 'react'
import type { Round } from '@/core/records/round.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { PlanLines } from '../../entities/plan/PlanLines.tsx'
import { usePlanLines } from '../../entities/plan/usePlanLines.ts'
import { unwanted } from './unwanted.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { today } from '../../language/dates.ts'

import { ActsForPlant } from './ActsForPlant.tsx'

/** What can be done about the plants that are not wanted here, with and without herbicide, and the plan made of it. */
export function ActPanel({ round, weighed }: { round: Round; weighed: WeighUp }) {
  const { byId } = useFlora()
  const { lines, put, drop, problem, again } = usePlanLines(round.paddockId)
  const plants = unwanted(round, weighed, byId)
  return (
    <section className="mt-6" aria-labelledby="act">
      <h2 id="act" className="text-xl">
        {say('What to do')}
      </h2>
      <ReadProblem of={say('The plan')} problem={problem} again={again} />
      {plants.length === 0 ? (
        <p className="mt-1">
          {say('No harmful plant and no weed of this book was met; the plan can still hold other work.')}
        </p>
      ) : (
        plants.map((p) => <ActsForPlant key={p.id} plant={p} round={round} lines={lines} onPut={put} />)
      )}
      <section aria-labelledby="plan" className="mt-4">
        <h3 id="plan" className="text-lg font-semibold">
          {say('The plan for {{name}}', { name: round.paddock.name })}
        </h3>
        {lines.length === 0 ? <p className="text-ink-soft">{say('Nothing is planned yet.')}</p> : null}
        <PlanLines lines={lines} onPut={put} onDrop={drop} />
        <OwnLine
          onAdd={(text, dueOn) =>
            put({
              id: crypto.randomUUID(),
              paddockId: round.paddockId,
              roundId: round.id,
              plant: null,
              text,
              owner: '',
              dueOn,
              backOn: null,
              lookFor: '',
              doneOn: null,
              outcome: '',
              paddock: round.paddock.name,
              holding: round.holding,
            })
          }
        />
      </section>
    </section>
  )
}

function OwnLine({ onAdd }: { onAdd: (text: string, dueOn: string) => void }) {
  const [text, setText] = useState('')
  const [dueOn, setDueOn] = useState(today())
  return (
    <form
      className="mt-3 grid items-end gap-3 sm:grid-cols-[1fr_auto_auto]"
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
