import { useState } from 'react'
import type { Role } from '@/core/flora/flora.ts'
import { fresh, reads, useRead } from '../../data/reads.ts'
import { stateWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import type { BookFilter } from './filters.ts'
import { say } from '../../language/say.ts'

interface Props {
  filter: BookFilter
  onChange: (filter: BookFilter) => void
}

const uses = (): [Role, string][] => [
  ['forage', say('forage')],
  ['turf', say('turf')],
  ['native', say('native')],
  ['weed', say('weed')],
  ['toxic', say('harmful')],
]
/** As wide whatever is read into it later: nothing moves under the hand. */
const field = 'min-h-12 w-28 max-w-full min-w-0 grow rounded-xl border border-rule bg-sheet px-2'

/** Narrow the book by name, use or harm, a character, or what one sward has. */
export function Filters({ filter, onChange }: Props) {
  const { characters, byId } = useFlora()
  const { data: rounds = [] } = useRead(reads.rounds)
  const [round, setRound] = useState('')
  const states = characters.find((c) => c.id === filter.character)?.states ?? []
  const pickSward = async (id: string) => {
    setRound(id)
    if (id === '') return onChange({ ...filter, sward: null })
    const { paddock, stops } = await fresh(reads.round(id))
    const counted = stops.flatMap((s) => s.hits.map((h) => h.taxon))
    onChange({ ...filter, sward: [...new Set([...paddock.sown, ...counted])].filter((t) => byId.has(t)) })
  }
  return (
    <div className="mt-3 flex flex-wrap gap-2">
      <input
        value={filter.text}
        onChange={(e) => onChange({ ...filter, text: e.target.value })}
        aria-label={say('Find a plant by any of its names')}
        placeholder={say('Any of its names')}
        className="min-h-12 w-full rounded-xl border-2 border-culm bg-sheet px-3"
      />
      <select
        aria-label={say('Use or harm')}
        className={field}
        value={filter.role}
        onChange={(e) => onChange({ ...filter, role: e.target.value as Role | '' })}
      >
        <option value="">{say('any use')}</option>
        {uses().map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <select
        aria-label={say('Character')}
        className={field}
        value={filter.character}
        onChange={(e) => onChange({ ...filter, character: e.target.value, state: '' })}
      >
        <option value="">{say('any character')}</option>
        {characters
          .filter((c) => c.states)
          .map((c) => (
            <option key={c.id} value={c.id}>
              {c.title}
            </option>
          ))}
      </select>
      {filter.character ? (
        <select
          aria-label={say('State')}
          className={field}
          value={filter.state}
          onChange={(e) => onChange({ ...filter, state: e.target.value })}
        >
          <option value="">{say('which?')}</option>
          {states.map((s) => (
            <option key={s} value={s}>
              {stateWords(s)}
            </option>
          ))}
        </select>
      ) : null}
      <select
        aria-label={say('Found or sown in')}
        className={field}
        value={round}
        onChange={(e) => void pickSward(e.target.value)}
      >
        <option value="">{say('any sward')}</option>
        {rounds.map((r) => (
          <option key={r.id} value={r.id}>
            {r.paddock}, {r.title}
          </option>
        ))}
      </select>
    </div>
  )
}
