import { useEffect, useRef, useState } from 'react'
import type { MeasuresPatch, RoundSettings } from '@/core/records/measures.ts'
import type { Stop } from '@/core/records/round.ts'
import { READING, type Method } from '@/core/survey/methods.ts'
import { simulatedPlate, simulatedScale } from '../../instruments/weighing.ts'

interface Props {
  method: Method
  settings: RoundSettings
  stop: Stop
  onMeasure: (patch: MeasuresPatch) => void
  onNext: () => void
}

interface FieldProps {
  label: string
  unit: string
  value: number | undefined
  onChange: (n: number | undefined) => void
  max: number
  step?: number
  big?: boolean
}

/** A number with steppers; what is typed is kept as it is typed, and told plainly when it cannot be. */
function NumberField({ label, unit, value, onChange, max, step = 1, big }: FieldProps) {
  const [text, setText] = useState(value === undefined ? '' : String(value))
  const [kept, setKept] = useState(value)
  const input = useRef<HTMLInputElement>(null)
  if (kept !== value) {
    setKept(value)
    if (Number(text.replace(',', '.')) !== value) setText(value === undefined ? '' : String(value))
  }
  useEffect(() => {
    if (big) input.current?.focus()
  }, [big])
  const n = Number(text.replace(',', '.'))
  const wrong = text.trim() !== '' && !(Number.isFinite(n) && n >= 0 && n <= max)
  const type = (t: string) => {
    setText(t)
    const x = Number(t.replace(',', '.'))
    if (t.trim() === '') onChange(undefined)
    else if (Number.isFinite(x) && x >= 0 && x <= max) onChange(x)
  }
  const by = (d: number) => type(String(Math.min(max, Math.max(0, Math.round(((value ?? 0) + d) / step) * step))))
  const button = 'min-h-12 min-w-12 rounded-xl border border-rule text-xl font-bold'
  return (
    <label className="block">
      <span className="block font-semibold">{label}</span>
      <span className="mt-1 flex items-center gap-1.5">
        <button type="button" className={button} aria-label={`${label}: less`} onClick={() => by(-step)}>
          −
        </button>
        <input
          ref={input}
          value={text}
          inputMode="decimal"
          onChange={(e) => type(e.target.value)}
          aria-label={label}
          aria-invalid={wrong}
          className={`min-h-12 rounded-xl border-2 border-culm bg-sheet px-3 text-center ${big ? 'w-28 text-2xl font-bold' : 'w-24 text-lg'}`}
        />
        <button type="button" className={button} aria-label={`${label}: more`} onClick={() => by(step)}>
          +
        </button>
        <span>{unit}</span>
      </span>
      <span role="alert" className="block text-harm">
        {wrong ? `A number from 0 to ${max} is needed.` : ''}
      </span>
    </label>
  )
}

/** A reading, and at some stops a clip of the same place; the clipped ones turn readings into mass. */
export function ReadingEntry({ method, settings, stop, onMeasure, onNext }: Props) {
  const reading = READING[method]!
  const { frameM2 = 0.25 } = settings
  const [clipping, setClipping] = useState(false)
  const clipped = clipping || stop.measures.clipFreshG !== undefined || stop.measures.clipDryG !== undefined
  return (
    <form
      className="mt-3 grid gap-3"
      onSubmit={(e) => {
        e.preventDefault()
        onNext()
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          big
          label={reading.name}
          unit={reading.unit}
          max={reading.max}
          step={reading.step}
          value={stop.measures.reading}
          onChange={(n) => onMeasure({ reading: n })}
        />
        {method === 'plate-meter' ? (
          <button
            type="button"
            className="min-h-12 rounded-xl border border-rule px-4"
            onClick={() => void simulatedPlate.read().then((n) => onMeasure({ reading: n }))}
          >
            Read the plate (simulated)
          </button>
        ) : null}
      </div>
      {clipped ? (
        <fieldset className="grid gap-3 rounded-2xl border border-rule px-4 py-3">
          <legend className="px-1 font-semibold">Clipped here, frame of {frameM2} m²</legend>
          <div className="flex flex-wrap items-end gap-3">
            <NumberField
              label="Fresh weight"
              unit="g"
              max={100_000}
              value={stop.measures.clipFreshG}
              onChange={(n) => onMeasure({ clipFreshG: n })}
            />
            <button
              type="button"
              className="min-h-12 rounded-xl border border-rule px-4"
              onClick={() =>
                void simulatedScale
                  .read({
                    heightCm: method === 'comparative-yield' ? 3 * (stop.measures.reading ?? 3) : stop.measures.reading,
                    frameM2,
                  })
                  .then((n) => onMeasure({ clipFreshG: n }))
              }
            >
              Read the scale (simulated)
            </button>
          </div>
          <NumberField
            label="Dry weight, when it is dried"
            unit="g"
            max={100_000}
            value={stop.measures.clipDryG}
            onChange={(n) => onMeasure({ clipDryG: n })}
          />
        </fieldset>
      ) : (
        <button
          type="button"
          className="min-h-12 justify-self-start rounded-xl border border-rule px-4"
          onClick={() => setClipping(true)}
        >
          Clip this one too
        </button>
      )}
      <button type="submit" className="sr-only">
        Next stop
      </button>
    </form>
  )
}
