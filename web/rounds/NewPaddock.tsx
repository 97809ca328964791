import { useState, type FormEvent } from 'react'
import { useRevalidator } from 'react-router'
import { regions } from '@/core/naming/flora.ts'
import { outlooks, type Holding } from '@/core/records/round.ts'
import { send } from '../api/client.ts'
import { inputClass, Labelled } from '../parts/Labelled.tsx'

const LARGEST_FILE = 1_000_000

async function readJson(file: File): Promise<unknown> {
  if (file.size > LARGEST_FILE) throw new Error('This file is larger than 1 MB; a boundary needs far less.')
  try {
    return JSON.parse(await file.text())
  } catch {
    throw new Error(`${file.name} is not GeoJSON: it could not be read as JSON.`)
  }
}

/** A paddock from a GeoJSON file, on a holding that is there or a new one. */
export function NewPaddock({ holdings, onAdded }: { holdings: Holding[]; onAdded: (paddockId: string) => void }) {
  const [problem, setProblem] = useState('')
  const [holding, setHolding] = useState(holdings[0]?.id ?? 'new')
  const { revalidate } = useRevalidator()
  const add = async (e: FormEvent<HTMLFormElement>) => {
    e.preventDefault()
    const data = new FormData(e.currentTarget)
    try {
      const boundary = await readJson(data.get('file') as File)
      const holdingId = holding === 'new' ? crypto.randomUUID() : holding
      if (holding === 'new')
        await send('POST', '/api/holdings', { id: holdingId, name: String(data.get('holding')), client: '' })
      const id = crypto.randomUUID()
      await send('POST', '/api/paddocks', {
        id,
        holdingId,
        name: String(data.get('name')),
        boundary,
        region: data.get('region'),
        outlook: data.get('outlook'),
      })
      setProblem('')
      await revalidate()
      onAdded(id)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  return (
    <form onSubmit={(e) => void add(e)} className="mt-5 grid gap-3 sm:grid-cols-2">
      <h3 className="text-lg sm:col-span-2">A new paddock</h3>
      <Labelled label="Boundary (GeoJSON file)">
        {(id) => (
          <input
            id={id}
            name="file"
            type="file"
            required
            accept=".geojson,.json,application/geo+json"
            className={`${inputClass} py-2.5`}
          />
        )}
      </Labelled>
      <Labelled label="Name of the paddock">
        {(id) => <input id={id} name="name" required maxLength={200} className={inputClass} />}
      </Labelled>
      <Labelled label="Holding">
        {(id) => (
          <select id={id} value={holding} onChange={(e) => setHolding(e.target.value)} className={inputClass}>
            {holdings.map((h) => (
              <option key={h.id} value={h.id}>
                {h.name}
              </option>
            ))}
            <option value="new">A new holding</option>
          </select>
        )}
      </Labelled>
      {holding === 'new' ? (
        <Labelled label="Name of the holding">
          {(id) => <input id={id} name="holding" required maxLength={200} className={inputClass} />}
        </Labelled>
      ) : null}
      <Labelled label="Region">
        {(id) => (
          <select id={id} name="region" className={inputClass}>
            {regions.map((r) => (
              <option key={r} value={r}>
                {r.replace('-', ' ')}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label="Read as">
        {(id) => (
          <select id={id} name="outlook" className={inputClass}>
            {outlooks.map((o) => (
              <option key={o}>{o}</option>
            ))}
          </select>
        )}
      </Labelled>
      <p className="flex flex-wrap items-center gap-3 sm:col-span-2">
        <button type="submit" className="min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm">
          Add the paddock
        </button>
        <span role="alert" className="text-harm">
          {problem}
        </span>
      </p>
    </form>
  )
}
