import type { Pilot, PlannedStops } from '@/core/survey/planStops.ts'
import { methodInfo, READING, type Method } from '@/core/survey/methods.ts'
import { taxonName } from '@/core/survey/taxon.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { rateWords } from '../../parts/units.ts'

interface Props {
  method: Method
  pilot: Pilot
  planned: PlannedStops
}

/** Why so many stops: the sum itself, not only its answer. */
export function StopsArithmetic({ method, pilot, planned }: Props) {
  const byId = useFlora((s) => s.byId)
  const mass = READING[method] !== undefined
  const show = (x: number) => (mass ? rateWords(x) : `${(100 * x).toFixed(2).replace(/0$/, '').replace(/\.0$/, '')} %`)
  const { unit } = methodInfo[method]
  return (
    <div>
      <p className="text-xl">
        <b data-testid="planned-stops">
          {planned.stops} {unit}s
        </b>{' '}
        for ±{show(pilot.halfWidth)}
      </p>
      <details className="mt-1">
        <summary className="min-h-11 content-center text-ink-soft">The arithmetic</summary>
        <p>
          Between {unit}s the figure varies with a standard deviation of <b>{show(pilot.sd)}</b>{' '}
          {pilot.from === 'an earlier round'
            ? `(met in an earlier round${pilot.taxon ? `, for ${taxonName(pilot.taxon, byId)}` : ''})`
            : '(a cautious guess: no earlier round of this method here)'}
          .
        </p>
        <p className="mt-1 font-semibold">
          t × s ÷ √n = {planned.t.toFixed(2)} × {show(pilot.sd)} ÷ √{planned.stops} = {show(planned.reached)}
        </p>
        <p className="mt-1 text-ink-soft">
          {planned.reachedByOneLess === undefined
            ? ''
            : `With one less it would be ±${show(planned.reachedByOneLess)}. `}
          t is the 97.5 % point of Student's t with n − 1 degrees of freedom (Cochran 1977, ch. 4).
        </p>
      </details>
    </div>
  )
}
