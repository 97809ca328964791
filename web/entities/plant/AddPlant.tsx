import { useEffect, useRef, useState } from 'react'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

/** Find any plant of the book, count it, and give it a key. */
export function AddPlant({ onAdd, onClose }: { onAdd: (id: string) => void; onClose: () => void }) {
  const plants = useFlora((s) => s.plants)
  const [text, setText] = useState('')
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => input.current?.focus(), [])
  const wanted = text.trim().toLowerCase()
  const found = wanted
    ? plants
        .filter((p) =>
          [p.commonName, p.scientificName, ...p.alsoCalled, ...(p.synonyms ?? [])].some((n) =>
            n.toLowerCase().includes(wanted),
          ),
        )
        .slice(0, 6)
    : []
  const take = (id: string) => {
    onAdd(id)
    onClose()
  }
  return (
    <form
      className="mt-3"
      role="search"
      onSubmit={(e) => {
        e.preventDefault()
        if (found[0]) take(found[0].id)
      }}
      onKeyDown={(e) => e.key === 'Escape' && onClose()}
    >
      <input
        ref={input}
        value={text}
        onChange={(e) => setText(e.target.value)}
        aria-label={say('Another plant')}
        placeholder={say('Name of the plant')}
        className="min-h-12 w-full rounded-xl border-2 border-culm bg-sheet px-3"
      />
      <ul className="mt-1 divide-y divide-rule">
        {found.map((p) => (
          <li key={p.id}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between gap-3 px-2 text-left hover:bg-culm/10"
              onClick={() => take(p.id)}
            >
              {p.commonName} <i className="font-plant text-ink-soft">{p.scientificName}</i>
            </button>
          </li>
        ))}
        {wanted !== '' && found.length === 0 ? (
          <li className="py-2">
            {say('No plant of that name in the book. Count it as an unknown and name it later.')}
          </li>
        ) : null}
      </ul>
    </form>
  )
}
