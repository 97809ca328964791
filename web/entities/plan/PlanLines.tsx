import { useState } from 'react'
import { movedTo, type PlanLine } from '@/core/records/planItem.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { say } from '../../language/say.ts'
import { dayWords, today } from '../../language/dates.ts'

interface Props {
  lines: PlanLine[]
  /** Say where, too: in a list over all paddocks. */
  where?: boolean
  onPut: (line: PlanLine) => void
  onDrop?: (line: PlanLine) => void
}

function Line({ line, where, onPut, onDrop }: Omit<Props, 'lines'> & { line: PlanLine }) {
  const [outcome, setOutcome] = useState('')
  const done = line.doneOn !== null
  const late = !done && line.dueOn < today()
  return (
    <li className="border-b border-rule/60 py-2">
      <div className="flex items-start gap-3">
        <input
          type="checkbox"
          checked={done}
          aria-label={say('Done: {{text}}', { text: line.text })}
          onChange={(e) => onPut({ ...line, doneOn: e.target.checked ? today() : null, outcome: '' })}
          className="mt-2 size-7 shrink-0 accent-culm"
        />
        <div className="min-w-0 grow">
          {where ? (
            <p className="text-ink-soft">
              {line.paddock}, {line.holding}
            </p>
          ) : null}
          <p className={done ? 'text-ink-soft line-through' : 'font-semibold'}>{line.text}</p>
          <p className={late ? 'font-semibold text-harm' : 'text-ink-soft'}>
            {done
              ? say('Done {{dayWords}}', { dayWords: dayWords(line.doneOn!) })
              : `${late ? say('Overdue since') : say('By')} ${dayWords(line.dueOn)}`}
            {line.owner ? `, ${line.owner}` : ''}
            {line.backOn ? say('; look again {{dayWords}}', { dayWords: dayWords(line.backOn) }) : ''}
          </p>
          {line.lookFor && !where ? (
            <p className="text-ink-soft">{say('Look for: {{lookFor}}.', { lookFor: line.lookFor })}</p>
          ) : null}
          {line.outcome ? <p>{say('What came of it: {{outcome}}', { outcome: line.outcome })}</p> : null}
        </div>
        {onDrop ? (
          <button
            type="button"
            aria-label={say('Take out: {{text}}', { text: line.text })}
            className="min-h-11 min-w-11"
            onClick={() => onDrop(line)}
          >
            ×
          </button>
        ) : null}
      </div>
      <details className="pl-10">
        <summary className="min-h-11 py-2 text-ink-soft">{say('Who, when, what came of it')}</summary>
        {line.lookFor && where ? (
          <p className="mb-2">{say('Look for: {{lookFor}}.', { lookFor: line.lookFor })}</p>
        ) : null}
        <div className="grid gap-3 @md:grid-cols-3">
          <Labelled label={say('Who')}>
            {(id) => (
              <input
                id={id}
                maxLength={200}
                defaultValue={line.owner}
                onBlur={(e) => e.target.value !== line.owner && onPut({ ...line, owner: e.target.value })}
                className={inputClass}
              />
            )}
          </Labelled>
          <Labelled label={say('By')}>
            {(id) => (
              <input
                id={id}
                type="date"
                value={line.dueOn}
                onChange={(e) => {
                  if (e.target.value) onPut(movedTo(line, 'do', e.target.value))
                }}
                className={inputClass}
              />
            )}
          </Labelled>
          <Labelled label={say('Look again')}>
            {(id) => (
              <input
                id={id}
                type="date"
                min={line.dueOn}
                value={line.backOn ?? ''}
                onChange={(e) => {
                  const backOn = e.target.value || null
                  if (backOn === null || backOn >= line.dueOn) onPut({ ...line, backOn })
                }}
                className={inputClass}
              />
            )}
          </Labelled>
        </div>
        {done ? (
          <form
            className="mt-2 flex items-end gap-2"
            onSubmit={(e) => {
              e.preventDefault()
              if (outcome.trim()) onPut({ ...line, outcome: outcome.trim() })
            }}
          >
            <div className="grow">
              <Labelled label={say('What came of it')}>
                {(id) => (
                  <input
                    id={id}
                    maxLength={2000}
                    value={outcome}
                    onChange={(e) => setOutcome(e.target.value)}
                    className={inputClass}
                  />
                )}
              </Labelled>
            </div>
            <button type="submit" className="min-h-12 rounded-xl bg-culm px-4 font-semibold text-on-culm">
              {say('Write it down')}
            </button>
          </form>
        ) : null}
      </details>
    </li>
  )
}

/** Things to do as lines, each to tick off, with who, when, and what came of it. */
export function PlanLines({ lines, ...rest }: Props) {
  return (
    <ul>
      {lines.map((line) => (
        <Line key={line.id} line={line} {...rest} />
      ))}
    </ul>
  )
}
