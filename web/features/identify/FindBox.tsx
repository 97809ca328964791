import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

interface Props {
  onAsk: (character: string) => void
  onClose: () => void
}

/** The name itself comes before names that begin with the text, and those before names that hold it. */
const nearness = (name: string, wanted: string): number =>
  name.toLowerCase() === wanted ? 0 : name.toLowerCase().startsWith(wanted) ? 1 : 2

/** Find a character to answer about, or a plant to read about, by any of its names. */
export function FindBox({ onAsk, onClose }: Props) {
  const { characters, plants } = useFlora()
  const [text, setText] = useState('')
  const navigate = useNavigate()
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => input.current?.focus(), [])
  const wanted = text.trim().toLowerCase()
  const has = (...names: string[]) => wanted !== '' && names.some((n) => n.toLowerCase().includes(wanted))
  const found = [
    ...characters
      .filter((c) => has(c.title, c.asks, c.id))
      .map((c) => ({ id: c.id, name: c.title, kind: 'look', go: () => onAsk(c.id) })),
    ...plants
      .filter((p) => has(p.commonName, p.scientificName, ...p.alsoCalled, ...(p.synonyms ?? [])))
      .map((p) => ({
        id: p.id,
        name: p.commonName,
        kind: 'plant',
        go: () => void navigate(`/plants/${p.id}`),
      })),
  ]
    .sort((a, b) => nearness(a.name, wanted) - nearness(b.name, wanted))
    .slice(0, 8)
  return (
    <form
      role="search"
      className="mb-3"
      onSubmit={(e) => {
        e.preventDefault()
        found[0]?.go()
        onClose()
      }}
      onKeyDown={(e) => e.key === 'Escape' && onClose()}
    >
      <input
        ref={input}
        value={text}
        onChange={(e) => setText(e.target.value)}
        aria-label={say('Find a plant or a character')}
        placeholder={say('A plant or a character')}
        className="min-h-12 w-full rounded-xl border-2 border-culm bg-sheet px-3"
      />
      <ul className="mt-1 divide-y divide-rule">
        {found.map((f) => (
          <li key={f.kind + f.id}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between px-2 text-left hover:bg-culm/10"
              onClick={() => {
                f.go()
                onClose()
              }}
            >
              {f.name} <span className="text-ink-soft">{f.kind === 'plant' ? say('plant') : say('look')}</span>
            </button>
          </li>
        ))}
        {wanted !== '' && found.length === 0 ? <li className="py-2">{say('Nothing of that name.')}</li> : null}
      </ul>
    </form>
  )
}
