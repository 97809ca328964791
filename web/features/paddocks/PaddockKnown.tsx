import { codeWords } from '@/text/codeWords.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PaddockPart } from '@/core/records/round.ts'
import { areaHa } from '@/core/geo/route.ts'
import { Photos } from '../../entities/specimen/Photos.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { History } from './History.tsx'
import { PaddockLayers } from './PaddockLayers.tsx'
import type { PlaceState } from './usePaddock.ts'
import { areaWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

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
        {codeWords(part.kind)}, {areaWords(areaHa(part.polygon))}
      </span>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={part.keptOut}
          onChange={(e) => onChange({ ...part, keptOut: e.target.checked })}
          className="size-5 accent-culm"
        />
        {say('kept out of the walk')}
      </label>
      <button
        type="button"
        aria-label={say('Take out {{name}}', { name: part.name })}
        className="min-h-11 min-w-11"
        onClick={onRemove}
      >
        ×
      </button>
    </li>
  )
}

interface Props {
  state: PlaceState
  events: PaddockEvent[]
  onAdd: (event: PaddockEvent) => void
  onRemove: (id: string) => void
}

/** What is known of the paddock: its size and parts, what was sown, notes, history, pictures. */
export function PaddockKnown({ state, events, onAdd, onRemove }: Props) {
  const byId = useFlora((s) => s.byId)
  const { place, set, isNew, save, saved } = state
  return (
    <>
      <h2 className="text-[1.65rem]" data-testid="area">
        {place.boundary ? areaWords(areaHa(place.boundary)) : say('No boundary yet')}
      </h2>
      <h3 className="mt-2 text-lg">{say('Parts')}</h3>
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
            {say(
              'None: crest, wet hollow, gateway or camp can be drawn, so that each counts by its area or is kept out of the walk.',
            )}
          </li>
        ) : null}
      </ul>
      <h3 className="mt-4 text-lg">{say('Sown')}</h3>
      <p>
        {place.sown.length > 0 ? place.sown.map((id) => byId.get(id)?.commonName ?? id).join(', ') : say('Not known.')}
      </p>
      <div className="mt-4">
        <Labelled label={say('Notes')}>
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
          {say('Keep the paddock')}
        </button>
        <span role="status" className="font-semibold">
          {saved}
        </span>
      </p>
      {isNew ? null : (
        <>
          <PanelBoundary name={say('On one map')}>
            <PaddockLayers place={place} />
          </PanelBoundary>
          <div className="mt-5">
            <History events={events} paddockId={place.id} onAdd={onAdd} onRemove={onRemove} />
          </div>
          <div className="mt-4">
            <Photos subject={`paddock:${place.id}`} of={say('this paddock')} />
          </div>
        </>
      )}
    </>
  )
}
