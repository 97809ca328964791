import { columnKinds, type ColumnKind, type Columns } from '@/core/formats/read/readTable.ts'
import type { Row } from './openFinds.ts'
import { say } from '../../../language/say.ts'

const columnName: Record<ColumnKind, string> = {
  get stop() {
    return say('Stop, plot or frame')
  },
  get name() {
    return say('Name of the plant')
  },
  get amount() {
    return say('Amount')
  },
  get part() {
    return say('Pin or cell')
  },
  get longitude() {
    return say('Longitude')
  },
  get latitude() {
    return say('Latitude')
  },
  get stratum() {
    return say('Part of the paddock')
  },
  get day() {
    return say('Day')
  },
}

const SHOWN_ROWS = 5

interface Props {
  headings: string[]
  rows: Row[]
  columns: Columns
  onChange: (columns: Columns) => void
}

const heldBy = (columns: Columns, heading: string) => columnKinds.find((k) => columns[k] === heading) ?? ''

/** The first rows of a table, and over each column what it holds. */
export function ColumnTable({ headings, rows, columns, onChange }: Props) {
  const choose = (heading: string, kind: string) => {
    const others = Object.fromEntries(Object.entries(columns).filter(([k, h]) => h !== heading && k !== kind))
    onChange(kind === '' ? others : { ...others, [kind]: heading })
  }
  return (
    <div
      className="mt-2 overflow-x-auto rounded-xl border border-rule"
      tabIndex={0}
      role="group"
      aria-label={say('Columns of the file')}
    >
      <table className="text-left">
        <thead>
          <tr>
            {headings.map((h) => (
              <th key={h} scope="col" className="min-w-56 border-b border-rule p-2 align-top font-normal">
                <b className="block max-w-56 truncate">{h}</b>
                <select
                  aria-label={say('Column "{{h}}" holds', { h })}
                  value={heldBy(columns, h)}
                  onChange={(e) => choose(h, e.target.value)}
                  className={`mt-1 min-h-11 w-full rounded-lg border bg-sheet px-2 ${heldBy(columns, h) ? 'border-culm font-semibold' : 'border-rule text-ink-soft'}`}
                >
                  <option value="">{say('is left out')}</option>
                  {columnKinds.map((k) => (
                    <option key={k} value={k}>
                      {columnName[k]}
                    </option>
                  ))}
                </select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, SHOWN_ROWS).map((row, i) => (
            <tr key={i} className="border-b border-rule/60 last:border-0">
              {headings.map((h) => (
                <td key={h} className={`max-w-56 truncate px-2 py-1 ${heldBy(columns, h) ? '' : 'text-ink-soft'}`}>
                  {row[h]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
