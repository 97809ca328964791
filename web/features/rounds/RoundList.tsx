import { useState } from 'react'
import { methodWords } from '@/text/methodWords.ts'
import { inSentence } from '@/text/say.ts'
import type { RoundSummary } from '@/core/records/round.ts'
import { say } from '../../language/say.ts'
import { dayWords } from '../../language/dates.ts'

interface Props {
  title: string
  rounds: RoundSummary[]
  shown: string | undefined
  onChoose: (id: string) => void
  /** Read those that are not here yet, where there may be more. */
  onMore?: (() => void) | undefined
}

/** So many lines at first, and more at a time: an office of ten years has thousands. */
export const LINES = 20

/** Rounds as lines: where, for whom, when, how far. */
export function RoundList({ title, rounds, shown, onChoose, onMore }: Props) {
  const [most, setMost] = useState(LINES)
  if (rounds.length === 0) return null
  const left = rounds.length - most
  return (
    <section className="mt-4">
      <h2 className="text-lg text-ink-soft">{title}</h2>
      <ul>
        {rounds.slice(0, most).map((r) => (
          <li key={r.id}>
            <button
              type="button"
              aria-pressed={r.id === shown}
              onClick={() => onChoose(r.id)}
              className={`flex min-h-16 w-full items-center gap-4 border-b border-rule/70 px-3 py-2 text-left ${r.id === shown ? 'rounded-xl border-transparent bg-culm/12' : 'hover:bg-culm/6'}`}
            >
              <span className="min-w-0 grow">
                <span className="block font-plant text-lg leading-tight font-semibold">{r.paddock}</span>
                <span className="block leading-snug text-ink-soft">
                  {r.holding}: {inSentence(r.title)}
                </span>
              </span>
              <span className="shrink-0 text-right leading-snug">
                <span className="block">{r.source ? say('open data') : dayWords(r.plannedOn)}</span>
                <span className="block text-ink-soft">
                  {say('{{stopsDone}} of {{stops}} {{units}}', {
                    stopsDone: r.stopsDone,
                    stops: r.stops,
                    units: methodWords(r.method).units,
                  })}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {left > 0 || onMore ? (
        <button
          type="button"
          onClick={() => {
            setMost(most + LINES * 5)
            onMore?.()
          }}
          className="mt-2 min-h-12 rounded-xl border-2 border-rule px-5 font-semibold"
        >
          {onMore ? say('Show more') : say('Show more, {{left}} are left', { left })}
        </button>
      ) : null}
    </section>
  )
}
