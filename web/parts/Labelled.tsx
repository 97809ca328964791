import { useId, type ReactNode } from 'react'

export const inputClass = 'min-h-12 w-full rounded-xl border border-rule bg-sheet px-3'

/** A field with its name above it. */
export function Labelled({ label, children }: { label: string; children: (id: string) => ReactNode }) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="block text-ink-soft">
        {label}
      </label>
      {children(id)}
    </div>
  )
}
