import { eventsAfter } from '@/contract/applied.ts'
import { useState } from 'react'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Paddock } from '@/core/records/round.ts'
import { ApiError, getPaddock } from '../../api/client.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import type { NextStep } from '../../parts/StepRail.tsx'
import { pendingCommands, useOutbox } from '../../stores/outboxStore.ts'
import { PaddockDrawing } from './PaddockDrawing.tsx'
import { PaddockFields } from './PaddockFields.tsx'
import { PaddockKnown } from './PaddockKnown.tsx'
import { readPlaces, type Places } from '../../data/readPlaces.ts'
import { usePaddock, type PlaceState } from './usePaddock.ts'
import { say } from '../../language/say.ts'

interface Loaded extends Places {
  paddock: Paddock | null
  events: PaddockEvent[]
}

export async function loader({ params }: LoaderFunctionArgs): Promise<Loaded> {
  const places = await readPlaces()
  if (params.id === 'new') return { ...places, paddock: null, events: [] }
  const known = places.paddocks.find((p) => p.id === params.id)
  const withWaiting = (events: PaddockEvent[]) =>
    pendingCommands().reduce((list, c) => eventsAfter(list, params.id!, c), events)
  try {
    const { paddock, events } = await getPaddock(params.id!)
    return { ...places, paddock: known ?? paddock, events: withWaiting(events) }
  } catch (error) {
    // Drawn or known here, and the server is away: what is known is shown.
    if (known && error instanceof ApiError && (error.status === 0 || error.status === 404))
      return { ...places, paddock: known, events: withWaiting([]) }
    throw error
  }
}

function tipOf({ place, isNew, missing, save }: PlaceState): NextStep {
  if (!place.boundary) return { label: say('Touch the corners'), detail: say('then close the line') }
  if (!isNew) return { label: say('Plan a round here'), to: `/plan?paddock=${place.id}` }
  return { label: say('Keep the paddock'), onPress: save, ...(missing ? { detail: missing } : {}) }
}

function Place({ holdings, paddocks, paddock, events: kept }: Loaded) {
  const post = useOutbox((s) => s.post)
  const state = usePaddock(paddock, holdings, paddocks)
  const [events, setEvents] = useState(kept)
  const { place } = state
  const add = (e: PaddockEvent) => {
    setEvents((l) => [e, ...l].sort((a, b) => (a.onDate < b.onDate ? 1 : -1)))
    post({ do: 'save-event', event: e })
    if (e.detail.sown && place.boundary) state.setSown(e.detail.sown.map((s) => s.plant))
  }
  const remove = (id: string) => {
    setEvents((l) => l.filter((e) => e.id !== id))
    post({ do: 'delete-event', paddockId: place.id, eventId: id }, { seen: events.filter((e) => e.id === id) })
  }
  return (
    <TwoPane
      names={{ left: say('Place'), right: say('What is known') }}
      left={
        <>
          <h1 className="text-[1.65rem]">{paddock ? paddock.name : say('A new paddock')}</h1>
          <PaddockFields state={state} />
          <PaddockDrawing state={state} />
        </>
      }
      right={<PaddockKnown state={state} events={events} onAdd={add} onRemove={remove} />}
      tip={tipOf(state)}
      nodes={[]}
    />
  )
}

/** A paddock: its shape on a plain grid, its parts, and what was done in it. */
export function Component() {
  const loaded = useLoaderData<typeof loader>()
  return <Place key={loaded.paddock?.id ?? 'new'} {...loaded} />
}
