import { inputClass, Labelled } from '../../parts/Labelled.tsx'

interface Props {
  label: string
  value: string
  onChange: (value: string) => void
  /** Told to the browser's own keeper of passwords. */
  complete: 'current-password' | 'new-password'
}

export function PasswordField({ label, value, onChange, complete }: Props) {
  return (
    <Labelled label={label}>
      {(id) => (
        <input
          id={id}
          type="password"
          value={value}
          maxLength={200}
          autoComplete={complete}
          onChange={(e) => onChange(e.target.value)}
          className={inputClass}
        />
      )}
    </Labelled>
  )
}

export const keepClass =
  'mt-2 min-h-11 w-fit rounded-xl border-2 border-culm px-4 font-semibold text-culm disabled:opacity-50'
