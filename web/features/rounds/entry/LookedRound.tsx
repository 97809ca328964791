import type { Plant } from '@/core/flora/flora.ts'
import type { MeasuresPatch } from '@/core/records/measures.ts'
import type { Stop } from '@/core/records/round.ts'
import { inSentence } from '@/text/say.ts'
import { say } from '../../../language/say.ts'

interface Props {
  stop: Stop
  /** Harmful plants at home here, the commonest first. */
  harmful: Plant[]
  onMeasure: (patch: MeasuresPatch) => void
}

/** So many are offered to be touched. */
const OFFERED = 12
const chip = 'min-h-12 rounded-xl border-2 border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15'

/** Ten seconds with the eyes round the stop: points do not say at how many places a plant stands, this does. */
export function LookedRound({ stop, harmful, onMeasure }: Props) {
  const { searched = false, near = [] } = stop.measures
  const seen = (id: string) => (near.includes(id) ? near.filter((n) => n !== id) : [...near, id])
  return (
    <div className="mt-3">
      <button
        type="button"
        aria-pressed={searched}
        className={chip}
        onClick={() => onMeasure(searched ? { searched: undefined, near: undefined } : { searched: true })}
      >
        {searched ? say('Looked round this stop for what harms') : say('Look round for what harms: ten seconds')}
      </button>
      {searched ? (
        <div role="group" aria-label={say('Seen near this stop')} className="mt-2 flex flex-wrap gap-1.5">
          {harmful.slice(0, OFFERED).map((p) => (
            <button
              key={p.id}
              type="button"
              aria-pressed={near.includes(p.id)}
              className="min-h-12 rounded-xl border-2 border-rule px-3 aria-pressed:border-harm aria-pressed:bg-harm-wash"
              onClick={() => onMeasure({ near: seen(p.id).length > 0 ? seen(p.id) : undefined })}
            >
              {inSentence(p.commonName)}
            </button>
          ))}
        </div>
      ) : null}
    </div>
  )
}
