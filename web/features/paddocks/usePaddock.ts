import type { Polygon } from 'geojson'
import { useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Holding, Paddock, PartKind } from '@/core/records/round.ts'
import { areaHa, type Position } from '@/core/geo/route.ts'
import { homeRegion } from '../../stores/namePlaceStore.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { readPlaceFile } from '../../data/readPlaceFile.ts'
import { say } from '../../language/say.ts'

/** Where a plain grid lies when nothing says where the land is. */
const PLAIN: Position = [0, 0]

export const polygonFrom = (corners: Position[]): Polygon => ({
  type: 'Polygon',
  coordinates: [[...corners, corners[0]!]],
})

function blank(holdingId: string): Paddock {
  return {
    id: crypto.randomUUID(),
    holdingId,
    name: '',
    boundary: null,
    region: homeRegion(),
    outlook: 'grazing',
    sown: [],
    strata: [],
    note: '',
  }
}

/** What is still to be said of a paddock; one that was counted before it was drawn can be named first. */
function missingIn(place: Paddock, newHolding: string, isNew: boolean): string {
  if (place.name.trim() === '') return say('Give the paddock a name.')
  if (!place.boundary && isNew) return say('Draw its boundary, or open a file.')
  if (place.holdingId === 'new' && newHolding.trim() === '') return say('Give the holding a name.')
  return ''
}

/** A paddock while it is drawn and described, and the way it is kept. */
export function usePaddock(paddock: Paddock | null, holdings: Holding[], paddocks: Paddock[]) {
  const post = useOutbox((s) => s.post)
  const navigate = useNavigate()
  const [place, setPlace] = useState<Paddock>(() => paddock ?? blank(holdings[0]?.id ?? 'new'))
  const [newHolding, setNewHolding] = useState({ name: '', client: '' })
  const [drawing, setDrawing] = useState<'boundary' | 'part' | null>(paddock?.boundary ? null : 'boundary')
  const [corners, setCorners] = useState<Position[]>([])
  const [part, setPart] = useState<{ name: string; kind: PartKind }>({ name: '', kind: 'wet hollow' })
  const [problem, setProblem] = useState('')
  const [saved, setSaved] = useState('')
  const neighbour = paddocks.find((p) => p.holdingId === place.holdingId && p.boundary)
  const missing = missingIn(place, newHolding.name, paddock === null)

  const set = (patch: Partial<Paddock>) => {
    setSaved('')
    setPlace((p) => ({ ...p, ...patch }))
  }
  const draw = (what: 'boundary' | 'part' | null) => {
    setDrawing(what)
    setCorners([])
    setProblem('')
  }
  const takePart = (polygon: Polygon): string => {
    const { kind } = part
    const name = part.name.trim() || kind
    if (place.strata.some((p) => p.name === name)) return say('There is a part called {{name}} already.', { name })
    const keptOut = kind === 'gateway' || kind === 'camp'
    set({ strata: [...place.strata, { name, kind, polygon, keptOut }] })
    setPart({ name: '', kind })
    return ''
  }
  const take = (polygon: Polygon) => {
    if (!(areaHa(polygon) > 0)) return setProblem(say('These corners hold no area: set them in order round the edge.'))
    if (drawing === 'part') {
      const wrong = takePart(polygon)
      if (wrong) return setProblem(wrong)
    } else set({ boundary: polygon })
    draw(null)
  }
  const open = async (file: File) => {
    try {
      set({ boundary: await readPlaceFile(file) })
      draw(null)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  const stands = useRef(paddock)
  const write = (next: Paddock) => {
    // The form stands on what it was opened with, whatever was read since.
    if (stands.current) post({ do: 'save-paddock', paddock: next }, { seen: [stands.current] })
    else post({ do: 'add-paddock', paddock: next })
    stands.current = next
  }
  const save = () => {
    if (missing) return setProblem(missing)
    const holdingId = place.holdingId === 'new' ? crypto.randomUUID() : place.holdingId
    if (place.holdingId === 'new') {
      const holding = { id: holdingId, name: newHolding.name.trim(), client: newHolding.client.trim() }
      post({ do: 'add-holding', holding })
    }
    const next = { ...place, holdingId, name: place.name.trim() }
    write(next)
    setProblem('')
    if (paddock) {
      setPlace(next)
      setSaved(say('{{name}} is kept.', { name: next.name }))
      return
    }
    const show = () => navigate(`/places/${next.id}`, { replace: true, preventScrollReset: true })
    void useOutbox.getState().drain().then(show)
  }
  return {
    place,
    set,
    isNew: paddock === null,
    holdings,
    newHolding,
    setNewHolding,
    drawing,
    draw,
    corners,
    setCorners,
    part,
    setPart,
    problem,
    origin: (neighbour?.boundary?.coordinates[0]?.[0] as Position | undefined) ?? PLAIN,
    take,
    open: (file: File) => void open(file),
    /** A sown list that was written down is the paddock's own from then on. */
    setSown: (sown: string[]) => {
      const next = { ...place, sown }
      setPlace(next)
      write(next)
    },
    missing,
    save,
    saved,
  }
}

export type PlaceState = ReturnType<typeof usePaddock>
