import type { Plant } from '@/core/flora/flora.ts'
import { methods, type Method } from '@/core/records/method.ts'
import { methodWords } from '@/text/methodWords.ts'
import { routeKinds, type RouteKind } from '@/core/records/measures.ts'
import type { Holding, Paddock } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { FenceFields } from './FenceFields.tsx'
import { MethodSettings } from './MethodSettings.tsx'
import type { PlanForm } from './usePlan.ts'
import { say } from '../../../language/say.ts'

interface Props {
  form: PlanForm
  set: (patch: Partial<PlanForm>) => void
  holdings: Holding[]
  paddocks: Paddock[]
  harmful: Plant[]
  /** Stops that are laid. */
  count: number
  ready: boolean
  onLay: () => void
}

const routeWords: Record<RouteKind, string> = {
  get w() {
    return say('a W')
  },
  get zigzag() {
    return say('a zigzag')
  },
  get grid() {
    return say('a square grid')
  },
  get random() {
    return say('random places, spread over the parts')
  },
  get rows() {
    return say('along the rows')
  },
}

/** Purpose, method, precision and route of a round that is planned. */
export function PlanFields({ form, set, holdings, paddocks, harmful, count, ready, onLay }: Props) {
  const words = methodWords(form.method)
  const info = countingMethods[form.method]
  const choose = (method: Method) => set({ method, settings: {}, pointsPerStop: countingMethods[method].points })
  return (
    <form
      className="grid gap-3 @md:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault()
        onLay()
      }}
    >
      <h1 className="text-[1.65rem] @md:col-span-2">{say('Plan a round')}</h1>
      <Labelled label={say('Paddock')}>
        {(id) => (
          <select
            id={id}
            value={form.paddockId}
            onChange={(e) => set({ paddockId: e.target.value })}
            className={inputClass}
          >
            {paddocks.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}, {holdings.find((h) => h.id === p.holdingId)?.name}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label={say('Method')}>
        {(id) => (
          <select id={id} value={form.method} onChange={(e) => choose(e.target.value as Method)} className={inputClass}>
            {methods.map((m) => (
              <option key={m} value={m}>
                {methodWords(m).name}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <p className="text-ink-soft @md:col-span-2">{say('It says: {{says}}.', { says: words.says })}</p>
      <Labelled label={say('Title')}>
        {(id) => (
          <input
            id={id}
            value={form.title}
            onChange={(e) => set({ title: e.target.value })}
            required
            maxLength={200}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label={say('What for')}>
        {(id) => (
          <input
            id={id}
            value={form.purpose}
            onChange={(e) => set({ purpose: e.target.value })}
            maxLength={500}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label={say('Day')}>
        {(id) => (
          <input
            id={id}
            type="date"
            required
            value={form.on}
            onChange={(e) => set({ on: e.target.value })}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label={say('Wanted to within')}>
        {(id) => (
          <select
            id={id}
            value={form.halfWidth}
            onChange={(e) => set({ halfWidth: Number(e.target.value), stops: undefined })}
            className={inputClass}
          >
            {[0.03, 0.05, 0.07, 0.1, 0.15].map((h) => (
              <option key={h} value={h}>
                ±{Math.round(h * 100)} %
              </option>
            ))}
          </select>
        )}
      </Labelled>
      {info.entry === 'points' ? (
        <Labelled label={say('Points a {{unit}}', { unit: words.unitName })}>
          {(id) => (
            <input
              id={id}
              type="number"
              min={1}
              max={500}
              required
              value={form.pointsPerStop}
              onChange={(e) => set({ pointsPerStop: Number(e.target.value) })}
              className={inputClass}
            />
          )}
        </Labelled>
      ) : null}
      <Labelled label={words.units[0]!.toUpperCase() + words.units.slice(1)}>
        {(id) => (
          <input
            id={id}
            type="number"
            min={1}
            max={500}
            required
            value={count}
            // What an earlier round tells may come late: the number does not change under the hand.
            onFocus={() => set({ stops: count })}
            onChange={(e) =>
              set({ stops: e.target.value === '' ? undefined : Math.min(500, Math.max(1, Number(e.target.value))) })
            }
            className={inputClass}
          />
        )}
      </Labelled>
      <MethodSettings
        method={form.method}
        settings={form.settings}
        harmful={harmful}
        onChange={(settings) => set({ settings })}
      />
      <Labelled label={say('Route')}>
        {(id) => (
          <select
            id={id}
            value={form.routeKind}
            onChange={(e) => set({ routeKind: e.target.value as RouteKind })}
            className={inputClass}
          >
            {routeKinds.map((k) => (
              <option key={k} value={k}>
                {routeWords[k]}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <FenceFields fence={form.fence} onChange={(fence) => set({ fence })} />
      {form.routeKind === 'grid' || form.routeKind === 'random' ? (
        <button
          type="button"
          className="min-h-12 self-end rounded-xl border border-rule px-4"
          onClick={() => set({ seed: form.seed + 1 })}
        >
          {say('Draw other places')}
        </button>
      ) : null}
      <p className="@md:col-span-2">
        <button
          type="submit"
          disabled={!ready}
          className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm disabled:opacity-50"
        >
          {say('Lay the route')}
        </button>
      </p>
    </form>
  )
}
