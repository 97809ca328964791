import { max, rollup } from 'd3-array'
import { scaleSqrt } from 'd3-scale'
import { monthNames } from '../../parts/words.ts'
import type { Entry } from './timeline.ts'
import { say } from '../../language/say.ts'

const MOST_YEARS = 6

/** Years by months: the more was found or done, the larger the dot; a month is touched to see only it. */
export function Calendar({
  entries,
  month,
  onMonth,
}: {
  entries: Entry[]
  month: string
  onMonth: (m: string) => void
}) {
  const counts = rollup(
    entries,
    (list) => list.length,
    (e) => e.day.slice(0, 7),
  )
  const years = [...new Set(entries.map((e) => e.day.slice(0, 4)))].sort().reverse().slice(0, MOST_YEARS)
  const size = scaleSqrt([0, max(counts.values()) ?? 1], [0, 24])
  return (
    <table className="mt-2 w-full max-w-xl table-fixed text-center" aria-label={say('Calendar')}>
      <thead>
        <tr>
          <th scope="col" className="w-14 text-left text-sm font-normal text-ink-soft">
            {say('year')}
          </th>
          {monthNames().map((m) => (
            <th key={m} scope="col" className="text-sm font-normal text-ink-soft">
              <abbr title={m} className="no-underline">
                {m.slice(0, 1)}
              </abbr>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {years.map((y) => (
          <tr key={y} className="border-t border-rule/60">
            <th scope="row" className="text-left font-normal">
              {y}
            </th>
            {monthNames().map((name, i) => {
              const key = `${y}-${String(i + 1).padStart(2, '0')}`
              const n = counts.get(key) ?? 0
              return (
                <td key={key} className="p-0">
                  {n > 0 ? (
                    <button
                      type="button"
                      aria-pressed={month === key}
                      aria-label={say('{{name}} {{y}}: {{n}} entries', { name, y, n })}
                      onClick={() => onMonth(month === key ? '' : key)}
                      className={`flex h-11 w-full items-center justify-center rounded-lg ${month === key ? 'bg-culm/20 outline-2 outline-culm' : 'hover:bg-culm/10'}`}
                    >
                      <span
                        className="rounded-full bg-culm"
                        style={{ width: 6 + size(n) / 1.4, height: 6 + size(n) / 1.4 }}
                      />
                    </button>
                  ) : (
                    <span className="block h-11" />
                  )}
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
