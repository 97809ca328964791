import { inputClass, Labelled } from './Labelled.tsx'

/** A figure between limits; what lies outside them is not taken. */
export function NumberInput({
  label,
  value,
  min = 0,
  max,
  onChange,
}: {
  label: string
  value: number
  min?: number
  max: number
  onChange: (n: number) => void
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <input
          id={id}
          type="number"
          min={min}
          max={max}
          value={value}
          onChange={(e) => {
            const n = Number(e.target.value)
            if (e.target.value !== '' && Number.isFinite(n) && n >= min && n <= max) onChange(n)
          }}
          className={inputClass}
        />
      )}
    </Labelled>
  )
}
