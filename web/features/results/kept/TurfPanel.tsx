import { turfUses, type TurfUse } from '@/core/flora/flora.ts'
import { turfUseWords } from '@/text/turfWords.ts'
import { TurfLines, WearMap } from '../../../entities/round/TurfLines.tsx'
import { useManagement } from '../../../entities/round/herd.ts'
import { useTurf } from '../../../entities/round/useTurf.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { ReadProblem } from '../../../ui/ReadProblem.tsx'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'

/** What a turf is used for, and where it is worn. */
export function TurfUsed({ round }: ChapterProps) {
  const { change, problem, again } = useManagement(round.paddockId)
  const turf = useTurf(round)
  return (
    <>
      <ReadProblem of={say('The use of this ground')} problem={problem} again={again} />
      <fieldset disabled={problem !== undefined} className="my-2 max-w-xs">
        <Labelled label={say('Used as')}>
          {(id) => (
            <select
              id={id}
              value={turf.use}
              onChange={(e) => change({ turfUse: e.target.value as TurfUse })}
              className={inputClass}
            >
              {turfUses.map((u) => (
                <option key={u} value={u}>
                  {turfUseWords(u)}
                </option>
              ))}
            </select>
          )}
        </Labelled>
      </fieldset>
      <WearMap round={round} turf={turf} className="my-2" />
    </>
  )
}

/** How a turf is kept for what it is used for. */
export function TurfPanel({ round }: ChapterProps) {
  const turf = useTurf(round)
  return (
    <section aria-labelledby="turf">
      <h2 id="turf" className="text-[1.65rem]">
        {say('How it is kept')}
      </h2>
      {turf.said ? null : (
        <p className="font-semibold">{say('Nobody has said what this turf is for: judged as a lawn.')}</p>
      )}
      <TurfLines turf={turf} />
    </section>
  )
}
