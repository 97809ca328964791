import { methods, type Method } from '@/core/records/method.ts'
import { kitWords, methodWords } from '@/text/methodWords.ts'
import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { routeKinds, type RouteKind } from '@/core/records/measures.ts'
import type { Holding, Paddock, RoundSummary } from '@/core/records/round.ts'
import { roundMinutes } from '@/core/survey/layRoute.ts'
import { methodInfo } from '@/core/survey/methods.ts'
import { kitFor, lookFor } from '@/core/survey/planStops.ts'
import { areaHa } from '@/core/geo/route.ts'
import { openStop } from '@/core/records/round.ts'
import { readPlaces } from '../../../data/readPlaces.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { Leaf } from '../../../parts/Leaf.tsx'
import { PlantDrawingLater } from '../../../parts/PlantDrawing.tsx'
import { RouteMap } from '../../../parts/RouteMap.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { useOutbox } from '../../../stores/outboxStore.ts'
import { readRounds } from '../../../data/readRound.ts'
import type { PlannedRound } from '@/contract/commands.ts'
import { MethodSettings } from './MethodSettings.tsx'
import { StopsArithmetic } from './StopsArithmetic.tsx'
import { firstForm, settingsFor, usePlan, type PlanForm } from './usePlan.ts'
import { aboutWayWords, areaWords } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { fixed } from '../../../language/numbers.ts'

interface Loaded {
  rounds: RoundSummary[]
  holdings: Holding[]
  paddocks: Paddock[]
}

/** The rounds and places that a new round is planned from, and the book. */
export async function readForPlan(): Promise<Loaded> {
  const [rounds, places] = await Promise.all([readRounds(), readPlaces(), useFlora.getState().load()])
  return { rounds, ...places }
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

/** Minutes as hours and minutes. */
const hours = (minutes: number): string =>
  minutes < 90
    ? say('{{minutes}} minutes', { minutes: Math.round(minutes / 5) * 5 })
    : say('{{minutes}} hours', { minutes: fixed(minutes / 60, 1) })

/** Plan a round: purpose, method and precision on the left; stops, route, kit and what to look for on the right. */
export function PlanView({ rounds, holdings, paddocks }: Loaded) {
  const [query] = useSearchParams()
  const { plants, byId } = useFlora()
  const [form, setForm] = useState<PlanForm>(() => firstForm(query.get('paddock') ?? paddocks[0]?.id ?? ''))
  const navigate = useNavigate()
  const post = useOutbox((s) => s.post)
  const set = (patch: Partial<PlanForm>) => setForm((f) => ({ ...f, ...patch }))
  const paddock = paddocks.find((p) => p.id === form.paddockId)
  const { pilot, planned, count, laid } = usePlan(form, paddock, rounds)
  const words = methodWords(form.method)
  const info = methodInfo[form.method]
  const harmful = paddock ? lookFor(plants, paddock.region) : []
  const sown = (paddock?.sown ?? []).flatMap((id) => byId.get(id) ?? [])
  const kit = kitFor(form.method, [...sown, ...harmful]).map(kitWords)
  const ready = !('problem' in laid) && form.title.trim() !== ''
  const save = () => {
    if ('problem' in laid) return
    const round: PlannedRound = {
      id: crypto.randomUUID(),
      paddockId: form.paddockId,
      title: form.title.trim(),
      purpose: form.purpose.trim(),
      plannedOn: form.on,
      pointsPerStop: info.entry === 'points' ? form.pointsPerStop : 1,
      method: form.method,
      settings: settingsFor(form),
      route: { line: laid.line, lengthM: laid.lengthM },
      laid: laid.stops.map((s, i) => ({ id: crypto.randomUUID(), seq: i + 1, ...s })),
    }
    post({ do: 'plan-round', round })
    void navigate(`/rounds/${round.id}`)
  }
  const left = (
    <form
      className="grid gap-3 sm:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault()
        save()
      }}
    >
      <h1 className="text-[1.65rem] sm:col-span-2">{say('Plan a round')}</h1>
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
          <select
            id={id}
            value={form.method}
            onChange={(e) => set({ method: e.target.value as Method, settings: {} })}
            className={inputClass}
          >
            {methods.map((m) => (
              <option key={m} value={m}>
                {methodWords(m).name}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <p className="text-ink-soft sm:col-span-2">{say('It says: {{says}}.', { says: words.says })}</p>
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
      {form.routeKind === 'grid' || form.routeKind === 'random' ? (
        <button
          type="button"
          className="min-h-12 self-end rounded-xl border border-rule px-4"
          onClick={() => set({ seed: form.seed + 1 })}
        >
          {say('Draw other places')}
        </button>
      ) : null}
      <p className="sm:col-span-2">
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
  const right = (
    <>
      <h2 className="text-[1.65rem]">{say('What it takes')}</h2>
      {form.method === 'search-walk' ? (
        <p className="mt-1 text-xl">
          <Say
            text="<b>{{n}} legs</b> with nothing found still leave an upper limit: see it shrink as you walk."
            values={{ n: count }}
            components={{ b: <b /> }}
          />
        </p>
      ) : (
        <StopsArithmetic method={form.method} pilot={pilot} planned={planned} />
      )}
      {form.stops === undefined && planned.stops > count ? (
        <p className="mt-1">
          {say('Laid for {{n}}: more is a second day. Type the number to have them all.', { n: count })}
        </p>
      ) : null}
      {'problem' in laid ? (
        <p role="alert" className="mt-3 rounded-xl border-2 border-straw px-4 py-2">
          {say('No route: {{problem}}', { problem: laid.problem })}
        </p>
      ) : (
        <>
          <p className="mt-2">
            <Say
              text="A walk of {{aboutWayWords}}, about <b/> in all{{what}}."
              values={{
                aboutWayWords: aboutWayWords(laid.lengthM),
                what: paddock?.boundary
                  ? say(', over {{areaWords}}', { areaWords: areaWords(areaHa(paddock.boundary)) })
                  : '',
              }}
              components={{ b: <b>{hours(roundMinutes(laid.lengthM, count, info.minutesEach))}</b> }}
            />
          </p>
          <RouteMap
            boundary={paddock?.boundary ?? null}
            parts={paddock?.strata ?? []}
            line={laid.line}
            stops={laid.stops.map((s, i) => openStop(String(i), i + 1, s.position))}
            label={say('Map of {{name}} with {{n}} {{units}}', { name: paddock?.name, n: count, units: words.units })}
            className="mt-3 w-full max-w-[26rem]"
          />
        </>
      )}
      <h3 className="mt-4 text-lg">{say('Take along')}</h3>
      <ul className="list-disc pl-5">
        {kit.map((k) => (
          <li key={k}>{k}</li>
        ))}
      </ul>
      <h3 className="mt-4 text-lg">{say('Harmful plants to look for here')}</h3>
      <ul className="mt-1 grid grid-cols-3 gap-2 sm:grid-cols-4">
        {harmful.slice(0, 8).map((p) => (
          <li key={p.id} className="text-center leading-tight">
            <PlantDrawingLater plant={p} insets={false} className="mx-auto h-20 w-20" />
            {p.commonName}
          </li>
        ))}
      </ul>
    </>
  )
  return (
    <Leaf
      names={{ left: say('Plan'), right: say('What it takes') }}
      left={left}
      right={right}
      tip={
        ready
          ? {
              label: say('Lay the route'),
              detail: say('{{n}} {{units}} in {{name}}', { n: count, units: words.units, name: paddock?.name }),
              onPress: save,
            }
          : { label: say('Draw the boundary first'), to: `/places/${form.paddockId}` }
      }
      nodes={[]}
    />
  )
}
