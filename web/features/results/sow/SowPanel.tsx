import { useMemo, useState } from 'react'
import { codeWords } from '@/text/codeWords.ts'
import { sowingAdvice } from '@/core/assess/sowing/sowingAdvice.ts'
import { nextSowingDay } from '@/core/assess/sowing/sowingDay.ts'
import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import type { SowingTime } from '@/core/flora/flora.ts'
import { heldBackWords } from '@/text/sowingFitWords.ts'
import { areaHa } from '@/core/geo/route.ts'
import { lineOf } from '../../../entities/plan/lineOf.ts'
import { usePlanLines } from '../../../entities/plan/usePlanLines.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { say } from '../../../language/say.ts'
import { today } from '../../../language/dates.ts'
import type { ChapterProps } from '../chapter.ts'
import { siteOf } from './site.ts'
import { Fit } from './SowArithmetic.tsx'

const SHOWN = 8

/** What could be sown into this sward, and the arithmetic of sowing it. */
export function SowPanel({ round, weighed: { composition: made } }: ChapterProps) {
  const { plants } = useFlora()
  const { put } = usePlanLines(round.paddockId)
  const { animal, said, year, management } = useGrazing(round, made)
  const [all, setAll] = useState(false)
  const [planned, setPlanned] = useState('')
  const kind = said ? animal.kind : undefined
  const { ph } = management
  const { fits, held } = useMemo(() => {
    const { region, outlook, sown } = round.paddock
    const site = siteIndicators(round, plants).flatMap((s) => siteOf[s.id] ?? [])
    return sowingAdvice(plants, {
      ...{ made, region, outlook, sown, site, curve: year?.year.mixture },
      ...(kind ? { animal: kind } : {}),
      ...(ph === undefined ? {} : { ph }),
    })
  }, [made, round, plants, year, kind, ph])
  const hectares = round.paddock.boundary ? areaHa(round.paddock.boundary) : undefined
  const plan = (text: string, when: readonly SowingTime[]) => {
    put(
      lineOf(round, {
        text,
        dueOn: nextSowingDay(when, today(), round.paddock.region),
        lookFor: say('Rows, seedlings a square metre, gaps'),
      }),
    )
    setPlanned(text)
  }
  return (
    <section aria-labelledby="sow">
      <h2 id="sow" className="text-[1.65rem]">
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
                ? say(', and without harm for {{kind}} that neither seed nor grazing settles', {
                    kind: codeWords(kind),
                  })
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
      <p role="status">{planned ? say('In the plan: {{planned}}.', { planned }) : ''}</p>
    </section>
  )
}
