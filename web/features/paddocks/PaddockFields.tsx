import { codeWords } from '@/text/codeWords.ts'
import { regionWords } from '@/text/regionWords.ts'
import { regions, type Region } from '@/core/flora/flora.ts'
import { outlooks, type Outlook } from '@/core/records/round.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { RenameHolding } from './RenameHolding.tsx'
import type { PlaceState } from './usePaddock.ts'
import { say } from '../../language/say.ts'

/** Name, holding, region and how the paddock is read. */
export function PaddockFields({ state }: { state: PlaceState }) {
  const { place, set, holdings, newHolding, setNewHolding } = state
  const holding = holdings.find((h) => h.id === place.holdingId)
  return (
    <div className="mt-2 grid gap-3 @md:grid-cols-2">
      <Labelled label={say('Name of the paddock')}>
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
      <Labelled label={say('Holding')}>
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
            <option value="new">{say('A new holding')}</option>
          </select>
        )}
      </Labelled>
      {place.holdingId === 'new' ? (
        <>
          <Labelled label={say('Name of the holding')}>
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
          <Labelled label={say('Client')}>
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
      ) : holding ? (
        <RenameHolding key={holding.id} holding={holding} />
      ) : null}
      <Labelled label={say('Region')}>
        {(id) => (
          <select
            id={id}
            value={place.region}
            onChange={(e) => set({ region: e.target.value as Region })}
            className={inputClass}
          >
            {regions.map((r) => (
              <option key={r} value={r}>
                {regionWords(r)}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label={say('Read as')}>
        {(id) => (
          <select
            id={id}
            value={place.outlook}
            onChange={(e) => set({ outlook: e.target.value as Outlook })}
            className={inputClass}
          >
            {outlooks.map((o) => (
              <option key={o} value={o}>
                {codeWords(o)}
              </option>
            ))}
          </select>
        )}
      </Labelled>
    </div>
  )
}
