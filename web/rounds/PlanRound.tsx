import { formatISO } from 'date-fns/formatISO'
import { useState, type FormEvent } from 'react'
import { useRevalidator } from 'react-router'
import type { Holding, Paddock } from '@/core/records/round.ts'
import { send } from '../api/client.ts'
import { inputClass, Labelled } from '../parts/Labelled.tsx'
import { NewPaddock } from './NewPaddock.tsx'

interface Props {
  holdings: Holding[]
  paddocks: Paddock[]
  onPlanned: (roundId: string) => void
}

/** Plan a round: paddock, purpose, stops; the W is laid into the boundary by the server and shown at once. */
export function PlanRound({ holdings, paddocks, onPlanned }: Props) {
  const mapped = paddocks.filter((p) => p.boundary)
  const [paddockId, setPaddockId] = useState(mapped[0]?.id ?? '')
  const [problem, setProblem] = useState('')
  const { revalidate } = useRevalidator()
  const plan = async (e: FormEvent<HTMLFormElement>) => {
    e.preventDefault()
    const data = new FormData(e.currentTarget)
    const id = crypto.randomUUID()
    try {
      await send('POST', '/api/rounds', {
        id,
        paddockId,
        title: String(data.get('title')),
        purpose: String(data.get('purpose')),
        plannedOn: String(data.get('on')),
        pointsPerStop: Number(data.get('points')),
        stops: Number(data.get('stops')),
      })
      setProblem('')
      await revalidate()
      onPlanned(id)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  return (
    <details className="mt-6 border-t border-rule pt-3">
      <summary className="min-h-11 text-lg font-semibold">Plan a round</summary>
      <form onSubmit={(e) => void plan(e)} className="mt-2 grid gap-3 sm:grid-cols-2">
        <Labelled label="Paddock">
          {(id) => (
            <select id={id} value={paddockId} onChange={(e) => setPaddockId(e.target.value)} className={inputClass}>
              {mapped.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}, {holdings.find((h) => h.id === p.holdingId)?.name}
                </option>
              ))}
            </select>
          )}
        </Labelled>
        <Labelled label="Title">
          {(id) => (
            <input id={id} name="title" required maxLength={200} defaultValue="Spring count" className={inputClass} />
          )}
        </Labelled>
        <Labelled label="What for">
          {(id) => (
            <input id={id} name="purpose" maxLength={500} defaultValue="Feed, weeds and harm" className={inputClass} />
          )}
        </Labelled>
        <Labelled label="Day">
          {(id) => (
            <input
              id={id}
              name="on"
              type="date"
              required
              defaultValue={formatISO(new Date(), { representation: 'date' })}
              className={inputClass}
            />
          )}
        </Labelled>
        <Labelled label="Stops">
          {(id) => (
            <input
              id={id}
              name="stops"
              type="number"
              min={1}
              max={500}
              required
              defaultValue={30}
              className={inputClass}
            />
          )}
        </Labelled>
        <Labelled label="Points a stop">
          {(id) => (
            <input
              id={id}
              name="points"
              type="number"
              min={1}
              max={500}
              required
              defaultValue={20}
              className={inputClass}
            />
          )}
        </Labelled>
        <p className="flex flex-wrap items-center gap-3 sm:col-span-2">
          <button type="submit" className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
            Lay the route
          </button>
          <span role="alert" className="text-harm">
            {problem}
          </span>
        </p>
      </form>
      <NewPaddock holdings={holdings} onAdded={setPaddockId} />
    </details>
  )
}
