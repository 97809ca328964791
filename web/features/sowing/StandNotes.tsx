import { useState } from 'react'
import { sowingFlags, type SowingCheck } from '@/core/records/sowingCheck.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { flagWords } from './sowingWords.ts'
import { say } from '../../language/say.ts'

/** Rows, tug test, weather and what else was noted of the stand. */
export function StandNotes({
  check,
  onWrite,
}: {
  check: SowingCheck | undefined
  onWrite: (patch: Partial<SowingCheck>) => void
}) {
  const [metres, setMetres] = useState(check?.rows ? String(check.rows.metres) : '')
  const [bare, setBare] = useState(check?.rows ? String(check.rows.bare) : '')
  const flags = check?.flags ?? []
  const number = (t: string) => Number(t.replace(',', '.'))
  const [m, b] = [number(metres), number(bare)]
  const typed = metres.trim() !== '' && bare.trim() !== ''
  const good = typed && m > 0 && m <= 100_000 && b >= 0 && b <= m
  const rows = (nextMetres: string, nextBare: string) => {
    const [x, y] = [number(nextMetres), number(nextBare)]
    if (nextMetres.trim() !== '' && nextBare.trim() !== '' && x > 0 && x <= 100_000 && y >= 0 && y <= x)
      onWrite({ rows: { metres: x, bare: y } })
  }
  return (
    <details className="mt-4 max-w-xl">
      <summary className="min-h-12 content-center font-semibold">{say('Rows, tug test, weather')}</summary>
      <ul className="flex flex-wrap gap-2" aria-label={say('What is seen')}>
        {sowingFlags.map((f) => (
          <li key={f}>
            <button
              type="button"
              aria-pressed={flags.includes(f)}
              onClick={() => onWrite({ flags: flags.includes(f) ? flags.filter((x) => x !== f) : [...flags, f] })}
              className={`min-h-12 rounded-xl border-2 px-3 ${flags.includes(f) ? 'border-culm bg-culm/15 font-semibold' : 'border-rule'}`}
            >
              {flagWords[f].label}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 grid gap-3 @md:grid-cols-2">
        <Labelled label={say('Row looked along, metres')}>
          {(id) => (
            <input
              id={id}
              inputMode="decimal"
              value={metres}
              onChange={(e) => {
                setMetres(e.target.value)
                rows(e.target.value, bare)
              }}
              className={inputClass}
            />
          )}
        </Labelled>
        <Labelled label={say('Of it bare, metres')}>
          {(id) => (
            <input
              id={id}
              inputMode="decimal"
              value={bare}
              onChange={(e) => {
                setBare(e.target.value)
                rows(metres, e.target.value)
              }}
              className={inputClass}
            />
          )}
        </Labelled>
      </div>
      {typed && !good ? (
        <p className="font-semibold text-harm">
          {say('The bare metres are at most those looked along, and both are numbers.')}
        </p>
      ) : null}
      <label className="mt-3 block">
        <span className="block text-ink-soft">{say('In your own words')}</span>
        <textarea
          value={check?.note ?? ''}
          maxLength={2000}
          rows={3}
          onChange={(e) => onWrite({ note: e.target.value })}
          className="w-full rounded-xl border border-rule bg-sheet px-3 py-2"
        />
      </label>
    </details>
  )
}
