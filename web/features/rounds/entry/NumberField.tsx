import { useEffect, useId, useRef, useState } from 'react'
import { say } from '../../../language/say.ts'

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
export function NumberField({ label, unit, value, onChange, max, step = 1, big }: FieldProps) {
  const [text, setText] = useState(value === undefined ? '' : String(value))
  const [kept, setKept] = useState(value)
  const input = useRef<HTMLInputElement>(null)
  const id = useId()
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
    <div>
      <label htmlFor={id} className="block font-semibold">
        {label}
      </label>
      <span className="mt-1 flex items-center gap-1.5">
        <button
          type="button"
          className={button}
          aria-label={say('{{label}}: less', { label })}
          onClick={() => by(-step)}
        >
          −
        </button>
        <input
          ref={input}
          id={id}
          value={text}
          inputMode="decimal"
          onChange={(e) => type(e.target.value)}
          aria-invalid={wrong}
          className={`min-h-12 rounded-xl border-2 border-culm bg-sheet px-3 text-center ${big ? 'w-28 text-2xl font-bold' : 'w-24 text-lg'}`}
        />
        <button
          type="button"
          className={button}
          aria-label={say('{{label}}: more', { label })}
          onClick={() => by(step)}
        >
          +
        </button>
        <span>{unit}</span>
      </span>
      <span role="alert" className="block text-harm">
        {wrong ? say('A number from 0 to {{max}} is needed.', { max }) : ''}
      </span>
    </div>
  )
}
