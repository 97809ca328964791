import { PlanFields } from './PlanFields.tsx'
import { WhatItTakes } from './WhatItTakes.tsx'
import { methodWords } from '@/text/methodWords.ts'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { Holding, Paddock } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { lookFor } from '@/core/survey/planStops.ts'
import { readPlaces } from '../../../data/readPlaces.ts'
import { TwoPane } from '../../../parts/TwoPane.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { useOutbox } from '../../../stores/outboxStore.ts'
import type { PlannedRound } from '@/contract/commands.ts'
import { firstForm, settingsFor, usePlan, type PlanForm } from './usePlan.ts'
import { say } from '../../../language/say.ts'

interface Loaded {
  holdings: Holding[]
  paddocks: Paddock[]
}

/** The places that a new round is planned from, and the book. */
export async function readForPlan(): Promise<Loaded> {
  const [places] = await Promise.all([readPlaces(), useFlora.getState().load()])
  return places
}

const step = 'inline-flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm'

/** Plan a round: purpose, method and precision on the left; stops, route, kit and what to look for on the right. */
export function PlanView({ holdings, paddocks }: Loaded) {
  const [query] = useSearchParams()
  const plants = useFlora((s) => s.plants)
  const [form, setForm] = useState<PlanForm>(() => firstForm(query.get('paddock') ?? paddocks[0]?.id ?? ''))
  const navigate = useNavigate()
  const post = useOutbox((s) => s.post)
  const set = (patch: Partial<PlanForm>) => setForm((f) => ({ ...f, ...patch }))
  const paddock = paddocks.find((p) => p.id === form.paddockId)
  const plan = usePlan(form, paddock)
  const { count, laid } = plan
  const words = methodWords(form.method)
  const harmful = paddock ? lookFor(plants, paddock.region) : []
  const ready = !('problem' in laid) && form.title.trim() !== ''
  const save = () => {
    if ('problem' in laid) return
    const round: PlannedRound = {
      id: crypto.randomUUID(),
      paddockId: form.paddockId,
      title: form.title.trim(),
      purpose: form.purpose.trim(),
      plannedOn: form.on,
      pointsPerStop: countingMethods[form.method].entry === 'points' ? form.pointsPerStop : 1,
      method: form.method,
      settings: settingsFor(form, plan.nestOf),
      route: { line: laid.line, lengthM: laid.lengthM },
      laid: laid.stops.map((s, i) => ({ id: crypto.randomUUID(), seq: i + 1, ...s })),
    }
    post({ do: 'plan-round', round })
    void navigate(`/rounds/${round.id}`)
  }
  return (
    <TwoPane
      names={{ left: say('Plan'), right: say('What it takes') }}
      left={
        paddocks.length === 0 ? (
          <>
            <h1 className="text-[1.65rem]">{say('Plan a round')}</h1>
            <p className="mt-2">{say('A route is laid into a paddock, and none is drawn yet.')}</p>
            <p className="mt-4 flex flex-wrap gap-2">
              <Link to="/places/new" className={step}>
                {say('Draw a paddock')}
              </Link>
              <Link to="/count-here" className={step}>
                {say('Count here, now')}
              </Link>
            </p>
          </>
        ) : (
          <PlanFields {...{ form, set, holdings, paddocks, harmful, count, ready }} onLay={save} />
        )
      }
      right={<WhatItTakes {...{ form, plan, paddock, harmful }} />}
      tip={
        ready
          ? {
              label: say('Lay the route'),
              detail: say('{{n}} {{units}} in {{name}}', {
                n: 'problem' in laid ? count : laid.stops.length,
                units: words.units,
                name: paddock?.name,
              }),
              onPress: save,
            }
          : { label: say('Draw the boundary first'), to: `/places/${form.paddockId || 'new'}` }
      }
      nodes={[]}
    />
  )
}
