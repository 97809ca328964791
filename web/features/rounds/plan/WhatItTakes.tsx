import type { Plant } from '@/core/flora/flora.ts'
import { kitWords, methodWords } from '@/text/methodWords.ts'
import type { Paddock } from '@/core/records/round.ts'
import { roundMinutes } from '@/core/survey/layRoute.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { kitFor } from '@/core/survey/planStops.ts'
import { areaHa } from '@/core/geo/route.ts'
import { openStop } from '@/core/records/round.ts'
import { LookFor } from '../LookFor.tsx'
import { RouteMap } from '../../../parts/RouteMap.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { StopsArithmetic } from './StopsArithmetic.tsx'
import type { Plan, PlanForm } from './usePlan.ts'
import { aboutWayWords, areaWords } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { fixed } from '../../../language/numbers.ts'

interface Props {
  form: PlanForm
  plan: Plan
  paddock: Paddock | undefined
  harmful: Plant[]
}

/** Minutes as hours and minutes. */
const hours = (minutes: number): string =>
  minutes < 90
    ? say('{{minutes}} minutes', { minutes: Math.round(minutes / 5) * 5 })
    : say('{{minutes}} hours', { minutes: fixed(minutes / 60, 1) })

/** What a planned round takes: stops and why so many, the walk, what to carry, what to look for. */
export function WhatItTakes({ form, plan, paddock, harmful }: Props) {
  const byId = useFlora((s) => s.byId)
  const { pilot, planned, count, laid } = plan
  const words = methodWords(form.method)
  const info = countingMethods[form.method]
  const sown = (paddock?.sown ?? []).flatMap((id) => byId.get(id) ?? [])
  const kit = kitFor(form.method, [...sown, ...harmful]).map(kitWords)
  return (
    <>
      <h2 className="text-[1.65rem]">{say('What it takes')}</h2>
      {info.forHarm ? (
        <p className="mt-1 text-xl">
          <Say
            text="<b>{{n}} legs</b> with nothing found still leave an upper limit: see it shrink as you walk."
            values={{ n: count }}
            components={{ b: <b /> }}
          />
        </p>
      ) : (
        <StopsArithmetic method={form.method} pilot={pilot} planned={planned} pointsPerStop={form.pointsPerStop} />
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
              components={{ b: <b>{hours(roundMinutes(laid.lengthM, laid.stops.length, info.minutesEach))}</b> }}
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
      <LookFor harmful={harmful} />
    </>
  )
}
