import type { Polygon } from 'geojson'
import { useState } from 'react'
import { useLoaderData, useNavigate, type LoaderFunctionArgs } from 'react-router'
import { regions, type Region } from '@/core/naming/flora.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import {
  outlooks,
  partKinds,
  type Holding,
  type Outlook,
  type Paddock,
  type PaddockPart,
  type PartKind,
} from '@/core/records/round.ts'
import { areaHa, type Position } from '@/core/survey/route.ts'
import { getPaddock } from '../api/client.ts'
import { Photos } from '../bench/Photos.tsx'
import { FileButton } from '../parts/FileButton.tsx'
import { inputClass, Labelled } from '../parts/Labelled.tsx'
import { Leaf } from '../parts/Leaf.tsx'
import type { MidribTip } from '../parts/Midrib.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { DrawGrid } from './DrawGrid.tsx'
import { History } from './History.tsx'
import { readPlaces } from './readPlaces.ts'
import { readPlaceFile } from './readPlaceFile.ts'

interface Loaded {
  holdings: Holding[]
  paddocks: Paddock[]
  paddock: Paddock | null
  events: PaddockEvent[]
}

export async function loader({ params }: LoaderFunctionArgs): Promise<Loaded> {
  const places = await readPlaces()
  if (params.id === 'new') return { ...places, paddock: null, events: [] }
  return { ...places, ...(await getPaddock(params.id!)) }
}

const PLAIN: Position = [0, 0]
const button = 'min-h-11 rounded-xl border border-rule px-3 disabled:opacity-50'

const polygonFrom = (corners: Position[]): Polygon => ({ type: 'Polygon', coordinates: [[...corners, corners[0]!]] })

function blank(holdingId: string): Paddock {
  return {
    id: crypto.randomUUID(),
    holdingId,
    name: '',
    boundary: null,
    region: 'cool-humid',
    outlook: 'grazing',
    sown: [],
    strata: [],
    note: '',
  }
}

/** A part of the paddock in the list: its kind, its size, whether it is walked. */
function PartLine({
  part,
  onChange,
  onRemove,
}: {
  part: PaddockPart
  onChange: (p: PaddockPart) => void
  onRemove: () => void
}) {
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-rule/60 py-1">
      <b>{part.name}</b>
      <span className="grow text-ink-soft">
        {part.kind}, {areaHa(part.polygon).toFixed(2)} ha
      </span>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={part.keptOut}
          onChange={(e) => onChange({ ...part, keptOut: e.target.checked })}
          className="size-5"
        />
        kept out of the walk
      </label>
      <button type="button" aria-label={`Take out ${part.name}`} className="min-h-11 min-w-11" onClick={onRemove}>
        ×
      </button>
    </li>
  )
}

/** A paddock: its shape on a plain grid, its parts, and what was done in it. */
export function Component() {
  const loaded = useLoaderData<typeof loader>()
  return <Place key={loaded.paddock?.id ?? 'new'} {...loaded} />
}

function Place({ holdings, paddocks, paddock, events: kept }: Loaded) {
  const byId = useFlora((s) => s.byId)
  const post = useOutbox((s) => s.post)
  const navigate = useNavigate()
  const [place, setPlace] = useState<Paddock>(() => paddock ?? blank(holdings[0]?.id ?? 'new'))
  const [newHolding, setNewHolding] = useState({ name: '', client: '' })
  const [events, setEvents] = useState(kept)
  const [drawing, setDrawing] = useState<'boundary' | 'part' | null>(paddock?.boundary ? null : 'boundary')
  const [corners, setCorners] = useState<Position[]>([])
  const [partName, setPartName] = useState('')
  const [partKind, setPartKind] = useState<PartKind>('wet hollow')
  const [problem, setProblem] = useState('')
  const [saved, setSaved] = useState('')
  const set = (patch: Partial<Paddock>) => {
    setSaved('')
    setPlace((p) => ({ ...p, ...patch }))
  }
  const neighbour = paddocks.find((p) => p.holdingId === place.holdingId && p.boundary)
  const origin = (neighbour?.boundary?.coordinates[0]?.[0] as Position | undefined) ?? PLAIN

  const take = (boundary: Polygon) => {
    if (!(areaHa(boundary) > 0)) return setProblem('These corners hold no area: set them in order round the edge.')
    if (drawing === 'part') {
      const name = partName.trim() || partKind
      if (place.strata.some((p) => p.name === name)) return setProblem(`There is a part called ${name} already.`)
      set({
        strata: [
          ...place.strata,
          { name, kind: partKind, polygon: boundary, keptOut: partKind === 'gateway' || partKind === 'camp' },
        ],
      })
      setPartName('')
    } else set({ boundary })
    setCorners([])
    setDrawing(null)
    setProblem('')
  }
  const open = async (file: File) => {
    try {
      set({ boundary: await readPlaceFile(file) })
      setCorners([])
      setDrawing(null)
      setProblem('')
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  const missing =
    place.name.trim() === ''
      ? 'Give the paddock a name.'
      : !place.boundary
        ? 'Draw its boundary, or open a file.'
        : place.holdingId === 'new' && newHolding.name.trim() === ''
          ? 'Give the holding a name.'
          : ''
  const save = () => {
    if (missing) return setProblem(missing)
    const holdingId = place.holdingId === 'new' ? crypto.randomUUID() : place.holdingId
    if (place.holdingId === 'new')
      post({
        key: `/api/holdings/${holdingId}`,
        method: 'POST',
        url: '/api/holdings',
        body: { id: holdingId, name: newHolding.name.trim(), client: newHolding.client.trim() },
      })
    const body = { ...place, holdingId, name: place.name.trim() }
    setPlace(body)
    if (paddock) post({ key: `/api/paddocks/${place.id}`, method: 'PUT', url: `/api/paddocks/${place.id}`, body })
    else post({ key: `/api/paddocks/${place.id}`, method: 'POST', url: '/api/paddocks', body })
    setProblem('')
    setSaved(`${body.name} is kept.`)
    if (!paddock)
      void useOutbox
        .getState()
        .drain()
        .then(() => navigate(`/places/${place.id}`, { replace: true }))
  }
  const url = (id: string) => `/api/paddocks/${place.id}/events/${id}`
  const addEvent = (e: PaddockEvent) => {
    setEvents((l) => [e, ...l].sort((a, b) => (a.onDate < b.onDate ? 1 : -1)))
    post({
      key: url(e.id),
      method: 'PUT',
      url: url(e.id),
      body: { kind: e.kind, onDate: e.onDate, note: e.note, detail: e.detail },
    })
    const sown = e.detail.sown?.map((s) => s.plant)
    if (sown && place.boundary) {
      const next = { ...place, sown }
      setPlace(next)
      post({ key: `/api/paddocks/${place.id}`, method: 'PUT', url: `/api/paddocks/${place.id}`, body: next })
    }
  }
  const removeEvent = (id: string) => {
    setEvents((l) => l.filter((e) => e.id !== id))
    post({ key: url(id), method: 'DELETE', url: url(id), body: undefined })
  }

  const left = (
    <>
      <h1 className="text-[1.65rem]">{paddock ? paddock.name : 'A new paddock'}</h1>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <Labelled label="Name of the paddock">
          {(id) => (
            <input
              id={id}
              value={place.name}
              maxLength={200}
              onChange={(e) => set({ name: e.target.value })}
              className={inputClass}
            />
          )}
        </Labelled>
        <Labelled label="Holding">
          {(id) => (
            <select
              id={id}
              value={place.holdingId}
              onChange={(e) => set({ holdingId: e.target.value })}
              className={inputClass}
            >
              {holdings.map((h) => (
                <option key={h.id} value={h.id}>
                  {h.name}
                </option>
              ))}
              <option value="new">A new holding</option>
            </select>
          )}
        </Labelled>
        {place.holdingId === 'new' ? (
          <>
            <Labelled label="Name of the holding">
              {(id) => (
                <input
                  id={id}
                  value={newHolding.name}
                  maxLength={200}
                  onChange={(e) => setNewHolding((h) => ({ ...h, name: e.target.value }))}
                  className={inputClass}
                />
              )}
            </Labelled>
            <Labelled label="Client">
              {(id) => (
                <input
                  id={id}
                  value={newHolding.client}
                  maxLength={200}
                  onChange={(e) => setNewHolding((h) => ({ ...h, client: e.target.value }))}
                  className={inputClass}
                />
              )}
            </Labelled>
          </>
        ) : null}
        <Labelled label="Region">
          {(id) => (
            <select
              id={id}
              value={place.region}
              onChange={(e) => set({ region: e.target.value as Region })}
              className={inputClass}
            >
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
            <select
              id={id}
              value={place.outlook}
              onChange={(e) => set({ outlook: e.target.value as Outlook })}
              className={inputClass}
            >
              {outlooks.map((o) => (
                <option key={o}>{o}</option>
              ))}
            </select>
          )}
        </Labelled>
      </div>
      <div className="mt-4 flex flex-wrap items-center gap-2" role="group" aria-label="Draw">
        <button
          type="button"
          aria-pressed={drawing === 'boundary'}
          className={`${button} aria-pressed:border-culm aria-pressed:bg-culm/15`}
          onClick={() => {
            setDrawing('boundary')
            setCorners([])
          }}
        >
          {place.boundary ? 'Draw the boundary anew' : 'Draw the boundary'}
        </button>
        <button
          type="button"
          aria-pressed={drawing === 'part'}
          disabled={!place.boundary}
          className={`${button} aria-pressed:border-culm aria-pressed:bg-culm/15`}
          onClick={() => {
            setDrawing('part')
            setCorners([])
          }}
        >
          Draw a part
        </button>
        <FileButton
          label="Open GeoJSON or GPX"
          accept=".geojson,.json,.gpx,application/geo+json"
          onFile={(f) => void open(f)}
        />
      </div>
      {drawing === 'part' ? (
        <div className="mt-2 flex flex-wrap gap-3">
          <Labelled label="Kind of part">
            {(id) => (
              <select
                id={id}
                value={partKind}
                onChange={(e) => setPartKind(e.target.value as PartKind)}
                className={inputClass}
              >
                {partKinds.map((k) => (
                  <option key={k}>{k}</option>
                ))}
              </select>
            )}
          </Labelled>
          <Labelled label="Its name">
            {(id) => (
              <input
                id={id}
                value={partName}
                placeholder={partKind}
                maxLength={200}
                onChange={(e) => setPartName(e.target.value)}
                className={inputClass}
              />
            )}
          </Labelled>
        </div>
      ) : null}
      <p role="alert" className="mt-1 min-h-6 text-harm">
        {problem}
      </p>
      <DrawGrid
        origin={origin}
        boundary={place.boundary}
        parts={place.strata}
        corners={corners}
        drawing={drawing}
        onCorner={(p) => setCorners((c) => [...c, p])}
        onTakeCorner={(i) => setCorners((c) => c.filter((_, j) => j !== i))}
      />
      {drawing ? (
        <p className="mt-2 flex flex-wrap items-center gap-2">
          <button
            type="button"
            className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm disabled:opacity-50"
            disabled={corners.length < 3}
            onClick={() => take(polygonFrom(corners))}
          >
            Close the line
          </button>
          <button
            type="button"
            className={button}
            disabled={corners.length === 0}
            onClick={() => setCorners((c) => c.slice(0, -1))}
          >
            Undo a corner
          </button>
          <span className="text-ink-soft">
            {corners.length > 2
              ? `${areaHa(polygonFrom(corners)).toFixed(2)} ha`
              : `${corners.length} of at least 3 corners`}
          </span>
        </p>
      ) : null}
    </>
  )
  const right = (
    <>
      <h2 className="text-[1.65rem]" data-testid="area">
        {place.boundary ? `${areaHa(place.boundary).toFixed(2)} ha` : 'No boundary yet'}
      </h2>
      <h3 className="mt-2 text-lg">Parts</h3>
      <ul>
        {place.strata.map((p) => (
          <PartLine
            key={p.name}
            part={p}
            onChange={(n) => set({ strata: place.strata.map((x) => (x === p ? n : x)) })}
            onRemove={() => set({ strata: place.strata.filter((x) => x !== p) })}
          />
        ))}
        {place.strata.length === 0 ? (
          <li className="py-1 text-ink-soft">
            None: crest, wet hollow, gateway or camp can be drawn, so that each counts by its area or is kept out of the
            walk.
          </li>
        ) : null}
      </ul>
      <h3 className="mt-4 text-lg">Sown</h3>
      <p>{place.sown.length > 0 ? place.sown.map((id) => byId.get(id)?.commonName ?? id).join(', ') : 'Not known.'}</p>
      <div className="mt-4">
        <Labelled label="Notes">
          {(id) => (
            <textarea
              id={id}
              value={place.note}
              rows={3}
              maxLength={5000}
              onChange={(e) => set({ note: e.target.value })}
              className={`${inputClass} py-2`}
            />
          )}
        </Labelled>
      </div>
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" onClick={save} className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
          Keep the paddock
        </button>
        <span role="status" className="font-semibold">
          {saved}
        </span>
      </p>
      {paddock ? (
        <>
          <div className="mt-5">
            <History events={events} paddockId={place.id} onAdd={addEvent} onRemove={removeEvent} />
          </div>
          <div className="mt-4">
            <Photos subject={`paddock:${place.id}`} of="this paddock" />
          </div>
        </>
      ) : null}
    </>
  )
  const tip: MidribTip = !place.boundary
    ? { label: 'Touch the corners', detail: 'then close the line' }
    : paddock
      ? { label: 'Plan a round here', to: `/plan?paddock=${place.id}` }
      : { label: 'Keep the paddock', onPress: save, ...(missing ? { detail: missing } : {}) }
  return <Leaf names={{ left: 'Place', right: 'What is known' }} left={left} right={right} tip={tip} nodes={[]} />
}
