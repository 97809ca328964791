import { useState } from 'react'
import { Link } from 'react-router'
import type { Entry } from './timeline.ts'
import { say } from '../../language/say.ts'
import { dayWords, monthWords } from '../../language/dates.ts'

const A_TIME = 16

const kindWords: Record<Entry['kind'], string> = {
  get counted() {
    return say('counted')
  },
  get named() {
    return say('named')
  },
  get done() {
    return say('done')
  },
  get 'to do'() {
    return say('to do')
  },
  get event() {
    return say('work')
  },
}

/** What was found and done, by month, the latest first. */
export function Timeline({ entries }: { entries: Entry[] }) {
  const [most, setMost] = useState(A_TIME)
  if (entries.length === 0) return <p className="mt-3">{say('Nothing of that kind is in the daybook.')}</p>
  const shown = entries.slice(0, most)
  const months = [...new Set(shown.map((e) => e.day.slice(0, 7)))]
  return (
    <>
      {months.map((m) => (
        <section key={m} aria-label={monthWords(`${m}-01`)} className="mt-4">
          <h2 className="text-lg">{monthWords(`${m}-01`)}</h2>
          <ol className="border-l-3 border-culm pl-4">
            {shown
              .filter((e) => e.day.startsWith(m))
              .map((e) => (
                <li key={e.kind + e.id} className="relative py-1.5">
                  <span className="absolute top-3.5 -left-[1.4rem] size-3 rounded-full border-2 border-culm bg-husk" />
                  <span className="block text-sm text-ink-soft">
                    {dayWords(e.day)}, {kindWords[e.kind]}
                    {e.place ? `, ${e.place}` : ''}
                  </span>
                  {e.to ? (
                    <Link to={e.to} className="flex min-h-11 items-center underline">
                      {e.text}
                    </Link>
                  ) : (
                    e.text
                  )}
                </li>
              ))}
          </ol>
        </section>
      ))}
      {entries.length > most ? (
        <button type="button" onClick={() => setMost((n) => n + A_TIME)} className="mt-2 min-h-11 underline">
          {say('Further back ({{n}} more)', { n: entries.length - most })}
        </button>
      ) : null}
    </>
  )
}
