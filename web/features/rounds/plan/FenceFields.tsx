import { FENCE_WIDTH_M } from '@/core/survey/fenceWalk.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { lengthWords } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import type { PlanForm } from './usePlan.ts'

const USUAL_STOPS = 12

/** Whether the fence is walked too, as a part of its own: that is where most of what harms stands. */
export function FenceFields({
  fence,
  onChange,
}: {
  fence: PlanForm['fence']
  onChange: (f: PlanForm['fence']) => void
}) {
  return (
    <Labelled label={say('Walk the fence too')}>
      {(id) => (
        <select
          id={id}
          value={fence ? String(fence.count) : ''}
          onChange={(e) =>
            onChange(e.target.value === '' ? undefined : { count: Number(e.target.value), widthM: FENCE_WIDTH_M })
          }
          className={inputClass}
        >
          <option value="">{say('no: the figures speak for the inside')}</option>
          {[6, USUAL_STOPS, 20, 30].map((n) => (
            <option key={n} value={n}>
              {say('{{n}} stops in a strip of {{width}}', { n, width: lengthWords(FENCE_WIDTH_M) })}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  )
}
