import { taxonName } from '@/text/taxonNames.ts'
import { useEffect, useRef, useState } from 'react'
import { type Taxon } from '@/core/records/taxon.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import type { ValueChoice } from './valueChoices.ts'
import { say } from '../../../language/say.ts'

interface Props {
  chosen: Taxon | null
  choices: ValueChoice[]
  /** Unit of a typed number. */
  unit: string
  given: number | undefined
  onValue: (taxon: Taxon, amount: number | null) => void
  onCancel: () => void
  /** Reads the number from an instrument, where there is one. */
  onRead?: (() => Promise<number>) | undefined
  readLabel?: string
}

function TypedValue({
  unit,
  given,
  onTake,
  onCancel,
  onRead,
  readLabel,
}: Omit<Props, 'chosen' | 'choices' | 'onValue'> & { onTake: (n: number) => void }) {
  const [text, setText] = useState(given === undefined ? '' : String(given))
  const [problem, setProblem] = useState('')
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => input.current?.focus(), [])
  const take = () => {
    const n = Number(text.replace(',', '.'))
    if (text.trim() === '' || !Number.isFinite(n) || n <= 0)
      return setProblem(say('A number of {{unit}} above 0 is needed.', { unit }))
    onTake(n)
  }
  return (
    <form
      className="mt-2 flex flex-wrap items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault()
        take()
      }}
      onKeyDown={(e) => e.key === 'Escape' && onCancel()}
    >
      <input
        ref={input}
        value={text}
        inputMode="decimal"
        aria-label={say('Weight in {{unit}}', { unit })}
        onChange={(e) => setText(e.target.value)}
        className="min-h-12 w-28 rounded-xl border-2 border-culm bg-sheet px-3 text-xl"
      />
      <span>{unit}</span>
      <button type="submit" className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
        {say('Take it')}
      </button>
      {onRead ? (
        <button
          type="button"
          className="min-h-12 rounded-xl border border-rule px-4"
          onClick={() => void onRead().then((n) => setText(String(n)))}
        >
          {readLabel}
        </button>
      ) : null}
      <span role="alert" className="text-harm">
        {problem}
      </span>
    </form>
  )
}

/** What the plant in hand is given: a class, a rank, a nest, or a weight. */
export function ValuesEntry({ chosen, choices, unit, given, onValue, onCancel, onRead, readLabel }: Props) {
  const byId = useFlora((s) => s.byId)
  if (!chosen)
    return (
      <p className="mt-3 flex min-h-24 items-center rounded-2xl border-2 border-dashed border-rule px-4 text-ink-soft">
        {say('Press the key of a plant, then {{what}}.', {
          what:
            choices.length > 0
              ? say('its value ({{choices}})', { choices: choices.map((c) => c.key).join(' ') })
              : say('type its weight'),
        })}
      </p>
    )
  return (
    <div
      className="sticky top-1 z-10 mt-3 min-h-24 rounded-2xl border-2 border-culm bg-sheet px-4 py-2"
      role="group"
      aria-label={say('Value')}
    >
      <p className="flex items-center justify-between gap-3">
        <b className="font-plant text-lg">{taxonName(chosen, byId)}</b>
        {given !== undefined ? (
          <button type="button" className="min-h-11 underline" onClick={() => onValue(chosen, null)}>
            {say('Take it out (0)')}
          </button>
        ) : null}
      </p>
      {choices.length === 0 ? (
        <TypedValue
          key={chosen}
          unit={unit}
          given={given}
          onTake={(n) => onValue(chosen, n)}
          onCancel={onCancel}
          onRead={onRead}
          {...(readLabel ? { readLabel } : {})}
        />
      ) : (
        <ul className="mt-1 flex flex-wrap gap-1.5">
          {choices.map((c) => (
            <li key={c.key}>
              <button
                type="button"
                aria-pressed={given === c.amount}
                onClick={() => onValue(chosen, c.amount)}
                className="min-h-14 min-w-16 rounded-xl border border-rule px-2 leading-tight hover:border-culm aria-pressed:border-culm aria-pressed:bg-culm/12"
              >
                <b className="block text-xl">{c.label}</b>
                <span className="text-sm">{c.says}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
