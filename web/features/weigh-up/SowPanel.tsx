import { useMemo, useState } from 'react'
import { sowingAdvice } from '@/core/assess/sowing/sowingAdvice.ts'
import type { Round } from '@/core/records/round.ts'
import { seasonCurve } from '@/core/assess/season/growth.ts'
import { madeNormals } from '@/core/assess/season/madeNormals.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { areaHa } from '@/core/geo/route.ts'
import { usePlanLines } from '../../entities/plan/usePlanLines.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useGrazing } from '../../entities/round/useGrazing.ts'
import { seasonShares } from './seasonShares.ts'
import { say } from '../../language/say.ts'
import { today } from '../../language/dates.ts'
import { Fit } from './SowArithmetic.tsx'

const SHOWN = 8

/** What could be sown into this sward, and the arithmetic of sowing it. */
export function SowPanel({ round, made }: { round: Round; made: Composition }) {
  const { plants, byId } = useFlora()
  const { put } = usePlanLines(round.paddockId)
  const { animal, said } = useGrazing(round, made)
  const [all, setAll] = useState(false)
  const [planned, setPlanned] = useState('')
  const kind = said ? animal.kind : undefined
  const fits = useMemo(() => {
    const shares = seasonShares(made, (t) => byId.get(t)?.season)
    const curve = shares && seasonCurve(madeNormals[round.paddock.region], shares).mixture
    const { region, outlook, sown } = round.paddock
    return sowingAdvice(plants, { made, region, outlook, sown, curve, ...(kind ? { animal: kind } : {}) })
  }, [made, round.paddock, plants, byId, kind])
  const hectares = round.paddock.boundary ? areaHa(round.paddock.boundary) : undefined
  const plan = (text: string) => {
    const day = today()
    put({
      id: crypto.randomUUID(),
      paddockId: round.paddockId,
      roundId: round.id,
      plant: null,
      text,
      owner: '',
      dueOn: day,
      backOn: null,
      lookFor: say('Rows, seedlings a square metre, gaps'),
      doneOn: null,
      outcome: '',
      paddock: round.paddock.name,
      holding: round.holding,
    })
    setPlanned(text)
  }
  return (
    <section className="mt-6" aria-labelledby="sow">
      <h2 id="sow" className="text-xl">
        {say('What could be sown')}
      </h2>
      {fits.length === 0 ? (
        <p className="mt-1">
          {say('Nothing in the figures asks for seed, or no plant with a rate on file is at home here.')}
        </p>
      ) : (
        <>
          <p className="text-ink-soft">
            {say('At home in this region{{what}}. Common practice, no source.', {
              what: kind ? say(', and without harm on file for {{kind}} besides bloat', { kind }) : '',
            })}
          </p>
          {fits.slice(0, all ? fits.length : SHOWN).map((fit) => (
            <Fit key={fit.plant.id} fit={fit} hectares={hectares} onPlan={plan} />
          ))}
          {fits.length > SHOWN && !all ? (
            <button type="button" onClick={() => setAll(true)} className="mt-1 min-h-11 px-2 underline">
              {say('and {{n}} more', { n: fits.length - SHOWN })}
            </button>
          ) : null}
        </>
      )}
      <p role="status">{planned ? say('In the plan: {{planned}}.', { planned }) : ''}</p>
    </section>
  )
}
