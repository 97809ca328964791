import { useState } from 'react'
import type { MeasuresPatch, RoundSettings } from '@/core/records/measures.ts'
import type { Stop } from '@/core/records/round.ts'
import { say } from '../../../language/say.ts'

interface Props {
  stop: Stop
  /** Metres from the stop before, as the route was laid. */
  plannedM: number | undefined
  settings: RoundSettings
  onMeasure: (patch: MeasuresPatch) => void
}

/** A leg of a search walk: how far was walked. What was found is counted with the keys below. */
export function SearchEntry({ stop, plannedM, settings, onMeasure }: Props) {
  const { stripWidthM = 4, seenShare = 0.8 } = settings
  const [text, setText] = useState(stop.measures.legM === undefined ? '' : String(stop.measures.legM))
  const n = Number(text.replace(',', '.'))
  const wrong = text.trim() !== '' && !(Number.isFinite(n) && n > 0)
  const type = (t: string) => {
    setText(t)
    const x = Number(t.replace(',', '.'))
    onMeasure({ legM: t.trim() !== '' && Number.isFinite(x) && x > 0 ? x : undefined })
  }
  return (
    <div className="mt-3">
      <p className="text-ink-soft">
        {say('A strip {{stripWidthM}} m wide; of the plants in it you judged to see {{seenShare}} in 100.', {
          stripWidthM,
          seenShare: Math.round(seenShare * 100),
        })}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label>
          <span className="block font-semibold">{say('Metres walked on this leg')}</span>
          <input
            value={text}
            inputMode="decimal"
            aria-invalid={wrong}
            onChange={(e) => type(e.target.value)}
            className="mt-1 min-h-12 w-28 rounded-xl border-2 border-culm bg-sheet px-3 text-xl"
          />
        </label>
        {plannedM !== undefined && stop.measures.legM === undefined ? (
          <button
            type="button"
            className="min-h-12 rounded-xl border border-rule px-4"
            onClick={() => type(String(plannedM))}
          >
            {say('Walked as planned: {{plannedM}} m', { plannedM })}
          </button>
        ) : null}
      </div>
      <p role="alert" className="text-harm">
        {wrong ? say('A length in metres above 0 is needed.') : ''}
      </p>
    </div>
  )
}
