import { useState } from 'react'
import { useRevalidator } from 'react-router'
import type { Holding } from '@/core/records/round.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useOutbox } from '../../stores/outboxStore.ts'
import { say } from '../../language/say.ts'

/** Another name or client for a holding, for all its paddocks. */
export function RenameHolding({ holding }: { holding: Holding }) {
  const [name, setName] = useState(holding.name)
  const [client, setClient] = useState(holding.client)
  const [said, setSaid] = useState('')
  const post = useOutbox((s) => s.post)
  const { revalidate } = useRevalidator()
  const changed = name.trim() !== holding.name || client.trim() !== holding.client
  const keep = async () => {
    const renamed = { id: holding.id, name: name.trim(), client: client.trim() }
    post({ do: 'save-holding', holding: renamed }, { seen: [{ ...holding }] })
    setSaid(say('{{name}} it is now, for all its paddocks.', { name: name.trim() }))
    await useOutbox.getState().drain()
    await revalidate()
  }
  return (
    <details className="@md:col-span-2">
      <summary className="min-h-11 content-center">{say('Rename the holding or its client')}</summary>
      <div className="grid gap-3 @md:grid-cols-2">
        <Labelled label={say('Name of this holding')}>
          {(id) => (
            <input
              id={id}
              value={name}
              maxLength={200}
              onChange={(e) => setName(e.target.value)}
              className={inputClass}
            />
          )}
        </Labelled>
        <Labelled label={say('Its client')}>
          {(id) => (
            <input
              id={id}
              value={client}
              maxLength={200}
              onChange={(e) => setClient(e.target.value)}
              className={inputClass}
            />
          )}
        </Labelled>
      </div>
      <button
        type="button"
        disabled={!changed || name.trim() === ''}
        onClick={() => void keep()}
        className="mt-2 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm disabled:opacity-50"
      >
        {say('Keep the names')}
      </button>
      <p role="status">{said}</p>
    </details>
  )
}
