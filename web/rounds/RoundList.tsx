import { parseISO } from 'date-fns/parseISO'
import type { RoundSummary } from '@/core/records/round.ts'
import { methodInfo } from '@/core/survey/methods.ts'

let made: Intl.DateTimeFormat | undefined
/** The texts are English: of the reader's languages the first English one says how a date is written. */
const dayFormat = () =>
  (made ??= new Intl.DateTimeFormat(globalThis.navigator?.languages?.find((l) => l.startsWith('en')) ?? 'en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  }))

interface Props {
  title: string
  rounds: RoundSummary[]
  shown: string | undefined
  onChoose: (id: string) => void
}

/** A day as the reader's own language orders it, with the month in words. */
export const dayWords = (iso: string): string => dayFormat().format(parseISO(iso))

/** Rounds as lines: where, for whom, when, how far. */
export function RoundList({ title, rounds, shown, onChoose }: Props) {
  if (rounds.length === 0) return null
  return (
    <section className="mt-4">
      <h2 className="text-lg text-ink-soft">{title}</h2>
      <ul>
        {rounds.map((r) => (
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
                  {r.holding}: {r.title.charAt(0).toLowerCase() + r.title.slice(1)}
                </span>
              </span>
              <span className="shrink-0 text-right leading-snug">
                <span className="block">{r.source ? 'open data' : dayWords(r.plannedOn)}</span>
                <span className="block text-ink-soft">
                  {r.stopsDone} of {r.stops} {methodInfo[r.method].unit}s
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
