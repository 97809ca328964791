import type { Method } from '@/core/records/method.ts'
import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import type { Pilot } from '@/core/methods/method.ts'
import type { PlannedStops } from '@/core/survey/planStops.ts'
import { looksNeeded } from '@/core/stats/stopsNeeded.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { rateWords } from '../../../parts/units.ts'
import { atMost, fixed } from '../../../language/numbers.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'

interface Props {
  method: Method
  pilot: Pilot
  planned: PlannedStops
  pointsPerStop: number
}

/** Points looked at by themselves that a share would take, and how many times as many it takes because those of a stop are alike. */
function alikeWords({ sd, about, halfWidth }: Pilot, pointsPerStop: number): string {
  const designEffect = Math.max(1, (sd ** 2 * pointsPerStop) / (about * (1 - about)))
  const asked = { share: about, halfWidth }
  return say(
    'A share of {{share}} would take {{alone}} points, each drawn by itself; those of one stop are alike (design effect {{deff}}), so it takes about {{all}}.',
    {
      share: `${atMost(100 * about, 0)} %`,
      alone: looksNeeded(asked),
      deff: fixed(designEffect, 1),
      all: looksNeeded({ ...asked, designEffect }),
    },
  )
}

/** Why so many stops: the sum itself, not only its answer. */
export function StopsArithmetic({ method, pilot, planned, pointsPerStop }: Props) {
  const byId = useFlora((s) => s.byId)
  const mass = countingMethods[method].reading !== undefined
  const show = (x: number) => (mass ? rateWords(x) : `${atMost(100 * x, 2)} %`)
  const { units } = methodWords(method)
  return (
    <div>
      <p className="text-xl">
        <Say
          text="<b/> for ±{{show}}"
          values={{ show: show(pilot.halfWidth) }}
          components={{
            b: (
              <b data-testid="planned-stops">
                {planned.stops} {units}
              </b>
            ),
          }}
        />
      </p>
      <details className="mt-1">
        <summary className="min-h-11 content-center text-ink-soft">{say('The arithmetic')}</summary>
        <p>
          <Say
            text="Between {{units}} the figure varies with a standard deviation of <b/> {{what}}."
            values={{
              units,
              what:
                pilot.from === 'earlier-round'
                  ? say('(met in an earlier round{{what}})', {
                      what: pilot.taxon ? say(', for {{taxonName}}', { taxonName: taxonName(pilot.taxon, byId) }) : '',
                    })
                  : say('(a cautious guess: no earlier round of this method here)'),
            }}
            components={{ b: <b>{show(pilot.sd)}</b> }}
          />
        </p>
        <p className="mt-1 font-semibold">
          {say('t × s ÷ √n = {{t}} × {{show}} ÷ √{{stops}} = {{show2}}', {
            t: fixed(planned.t, 2),
            show: show(pilot.sd),
            stops: planned.stops,
            show2: show(planned.reached),
          })}
        </p>
        {countingMethods[method].entry === 'points' && pilot.about > 0 && pilot.about < 1 ? (
          <p className="mt-1" data-testid="alike">
            {alikeWords(pilot, pointsPerStop)}
          </p>
        ) : null}
        <p className="mt-1 text-ink-soft">
          {say("{{what}}t is the 97.5 % point of Student's t with n − 1 degrees of freedom (Cochran 1977, ch. 4).", {
            what:
              planned.reachedByOneLess === undefined
                ? ''
                : say('With one less it would be ±{{show}}. ', { show: show(planned.reachedByOneLess) }),
          })}
        </p>
      </details>
    </div>
  )
}
