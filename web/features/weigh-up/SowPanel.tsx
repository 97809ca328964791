import { useMemo, useState } from 'react'
import { sowingAdvice, type Site } from '@/core/assess/sowing/sowingAdvice.ts'
import type { Round } from '@/core/records/round.ts'
import { nextSowingDay } from '@/core/assess/sowing/sowingDay.ts'
import { swardSays, type SaidId } from '@/core/assess/indicators/swardSays.ts'
import type { SowingTime } from '@/core/flora/flora.ts'
import { heldBackWords } from '@/text/sowingFitWords.ts'
import { useManagement } from '../../entities/round/herd.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { areaHa } from '@/core/geo/route.ts'
import { usePlanLines } from '../../entities/plan/usePlanLines.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { useGrazing } from '../../entities/round/useGrazing.ts'
import { say, word } from '../../language/say.ts'
import { today } from '../../language/dates.ts'
import { Fit } from './SowArithmetic.tsx'

const SHOWN = 8

/** What the sward says of the ground that a seed has to bear. */
const siteOf: Partial<Record<SaidId, Site>> = { wet: 'wet', shaded: 'shade', acid: 'acid' }

/** What could be sown into this sward, and the arithmetic of sowing it. */
export function SowPanel({ round, made }: { round: Round; made: Composition }) {
  const { plants } = useFlora()
  const { put } = usePlanLines(round.paddockId)
  const { animal, said, year, management } = useGrazing(round, made)
  const [all, setAll] = useState(false)
  const [planned, setPlanned] = useState('')
  const kind = said ? animal.kind : undefined
  const { ph } = management
  const { change, problem } = useManagement(round.paddockId)
  const { fits, held } = useMemo(() => {
    const { region, outlook, sown } = round.paddock
    const site = swardSays(round, plants).flatMap((s) => siteOf[s.id] ?? [])
    return sowingAdvice(plants, {
      ...{ made, region, outlook, sown, site, curve: year?.year.mixture },
      ...(kind ? { animal: kind } : {}),
      ...(ph === undefined ? {} : { ph }),
    })
  }, [made, round, plants, year, kind, ph])
  const hectares = round.paddock.boundary ? areaHa(round.paddock.boundary) : undefined
  const plan = (text: string, when: readonly SowingTime[]) => {
    put({
      id: crypto.randomUUID(),
      paddockId: round.paddockId,
      roundId: round.id,
      plant: null,
      text,
      owner: '',
      dueOn: nextSowingDay(when, today(), round.paddock.region),
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
              what: kind
                ? say(', and without harm for {{kind}} that neither seed nor grazing settles', { kind: word(kind) })
                : '',
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
      {held.length > 0 ? (
        <p className="mt-2">
          <b>{say('Held back:')}</b>{' '}
          {held
            .slice(0, SHOWN)
            .map((h) => `${h.plant.commonName} (${heldBackWords(h.because)})`)
            .join('; ')}
          .
        </p>
      ) : null}
      <fieldset disabled={problem !== undefined} className="mt-2 max-w-xs">
        <Labelled label={say('pH of the soil, by a test')}>
          {(id) => (
            <input
              id={id}
              type="number"
              min={3}
              max={10}
              step={0.1}
              value={ph ?? ''}
              onChange={(e) => {
                const n = Number(e.target.value)
                if (e.target.value === '') change({ ph: undefined })
                else if (n >= 3 && n <= 10) change({ ph: n })
              }}
              className={inputClass}
            />
          )}
        </Labelled>
      </fieldset>
      <p role="status">{planned ? say('In the plan: {{planned}}.', { planned }) : ''}</p>
    </section>
  )
}
