import { useState } from 'react'
import { dailyNeeds } from '@/core/assess/feed/needs.ts'
import { useShare } from '@/core/assess/grazing/sward.ts'
import { readNormals } from '@/core/assess/season/readNormals.ts'
import { yearPlan } from '@/core/assess/season/year.ts'
import type { Normals } from '@/core/records/management.ts'
import { fillerWords, normalsProblemWords } from '@/text/seasonWords.ts'
import { useManagement } from '../../../entities/round/herd.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { monthNames, monthRuns } from '../../../parts/words.ts'
import { forField, massFigure, typedIn, unitOf } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { NumberInput } from '../../../parts/NumberInput.tsx'
import { YearChart } from '../../../entities/round/YearChart.tsx'
import type { ChapterProps } from '../chapter.ts'
import { NormalsChart } from './NormalsChart.tsx'

/** A row of twelve figures, each under the name of its month. */
function Months({ label, values, min, max, onChange }: MonthsProps) {
  return (
    <fieldset>
      <legend className="text-ink-soft">{label}</legend>
      <div className="grid grid-cols-4 gap-1 @md:grid-cols-6">
        {monthNames().map((month, i) => (
          <NumberInput
            key={month}
            label={month}
            value={values[i]!}
            min={min}
            max={max}
            onChange={(n) => onChange(values.map((v, j) => (j === i ? n : v)))}
          />
        ))}
      </div>
    </fieldset>
  )
}

interface MonthsProps {
  label: string
  values: readonly number[]
  min: number
  max: number
  onChange: (values: number[]) => void
}

/** Monthly means by hand; they begin as what is drawn now. */
function TypedNormals({ normals, onChange }: { normals: Normals; onChange: (n: Normals) => void }) {
  const { meanC, rainMm } = normals
  const rounded = (list: readonly number[]) => list.map((n) => Number(n.toFixed(1)))
  return (
    <>
      <Months
        label={say('Mean temperature, °C')}
        values={rounded(meanC)}
        min={-60}
        max={50}
        onChange={(to) => onChange({ ...normals, meanC: to, rainMm: rounded(rainMm) })}
      />
      <Months
        label={say('Rain of the month, mm')}
        values={rounded(rainMm)}
        min={0}
        max={2000}
        onChange={(to) => onChange({ ...normals, rainMm: to, meanC: rounded(meanC) })}
      />
    </>
  )
}

/** Monthly means of the place from a file of somebody's own. */
function OwnNormals({ paddockId, now }: { paddockId: string; now: Normals }) {
  const { data, change, problem: unread } = useManagement(paddockId)
  const [problem, setProblem] = useState('')
  const take = async (file: File | undefined) => {
    if (!file) return
    const read = readNormals(await file.text())
    if ('code' in read) return setProblem(normalsProblemWords(read))
    setProblem('')
    change({ normals: { ...read, latitude: now.latitude } })
  }
  return (
    <fieldset disabled={unread !== undefined} className="mt-2 grid items-end gap-3 @md:grid-cols-2">
      <label className="block">
        {say('Means of the place, a CSV file')}
        <input
          type="file"
          accept=".csv,text/csv"
          onChange={(e) => void take(e.target.files?.[0])}
          className="block min-h-12 w-full py-2 file:mr-3 file:min-h-11 file:rounded-xl file:border-2 file:border-culm file:bg-transparent file:px-4 file:font-semibold file:text-culm"
        />
      </label>
      {data?.normals ? (
        <>
          <NumberInput
            label={say('Latitude, degrees north')}
            value={data.normals.latitude}
            min={-65}
            max={65}
            onChange={(to) => change({ normals: { ...data.normals!, latitude: to } })}
          />
          <button
            type="button"
            onClick={() => change({ normals: undefined })}
            className="min-h-11 justify-self-start px-1 underline"
          >
            {say('Back to the simulated ones')}
          </button>
        </>
      ) : null}
      <details className="@md:col-span-2">
        <summary className="min-h-11 py-2 font-semibold text-culm">{say('Type the twelve means')}</summary>
        <TypedNormals normals={now} onChange={(normals) => change({ normals })} />
      </details>
      {problem ? (
        <p role="alert" className="font-semibold text-harm @md:col-span-2">
          {problem}
        </p>
      ) : null}
    </fieldset>
  )
}

/** Warmth, rain and yield of the place that the year is worked out from. */
export function PlaceOfYear({ round, weighed: { composition: made } }: ChapterProps) {
  const { hectares, said, management, year } = useGrazing(round, made)
  const { change, problem } = useManagement(round.paddockId)
  if (!year) return null
  const { simulated, yieldKgPerHa, normals } = year
  const ground = management.groundHa ?? hectares
  return (
    <>
      <NormalsChart normals={normals} simulated={simulated} now={Number(round.plannedOn.slice(5, 7)) - 1} />
      <fieldset disabled={problem !== undefined} className="mt-2 grid items-end gap-3 @md:grid-cols-2">
        <NumberInput
          label={say('Grown in a year, {{unit}}', { unit: unitOf('perArea') })}
          value={forField('perArea', yieldKgPerHa)}
          max={60_000}
          onChange={(typed) => change({ yieldKgPerHaYear: typedIn('perArea', typed) })}
        />
        {said && ground ? (
          <NumberInput
            label={say('Ground of the herd in all, {{unit}}', { unit: unitOf('area') })}
            value={Number(forField('area', ground).toFixed(2))}
            min={0.01}
            max={100_000}
            onChange={(typed) => change({ groundHa: typedIn('area', typed) })}
          />
        ) : null}
      </fieldset>
      <OwnNormals paddockId={round.paddockId} now={normals} />
    </>
  )
}

/** When the sward grows, what the herd eats, where that leaves a gap, and what could fill it. */
export function SeasonPanel({ round, weighed: { composition: made } }: ChapterProps) {
  const { plan, animal, hectares, said, system, management, year } = useGrazing(round, made)
  if (!year) return <p>{say('No plant with a season was counted.')}</p>
  const { year: grown, shares, simulated, yieldKgPerHa, measuredYield, normals } = year
  const ground = management.groundHa ?? hectares
  const [low, high] = useShare[system]
  const isFeed = round.paddock.outlook === 'grazing' || round.paddock.outlook === 'hay'
  const planned =
    said && isFeed && ground
      ? yearPlan(
          grown,
          {
            yieldKgPerHa,
            useShare: (low + high) / 2,
            needKgPerHaDay: (dailyNeeds(animal).eatsKg * plan.count) / ground,
          },
          normals.latitude,
        )
      : undefined
  return (
    <section aria-labelledby="season">
      <h2 id="season" className="text-[1.65rem]">
        {say('Through the year')}
      </h2>
      <YearChart year={grown} plan={planned} warm={shares.warm} now={Number(round.plannedOn.slice(5, 7)) - 1} />
      <p>
        {say('{{cool}} in 100 of the plants grow in the cool, {{warm}} in the warm.', {
          cool: Math.round(100 * shares.cool),
          warm: Math.round(100 * shares.warm),
        })}{' '}
        {planned
          ? planned.short.length === 0
            ? say('On such a year what grows is as much as the herd eats in every month.')
            : say(
                'The herd eats more than grows in {{months}}; {{lacking}} of dry matter are lacking over them. What could fill it: {{fillers}}.',
                {
                  months: monthRuns(planned.short),
                  lacking: `${massFigure(planned.lackingKgPerHa)} ${unitOf('perArea')}`,
                  fillers: planned.fillers.map(fillerWords).join(', '),
                },
              )
          : isFeed
            ? say('Say what stock is kept, and the year shows where growth and needs part.')
            : ''}
      </p>
      <p className="mt-1 text-ink-soft">
        {say(
          'Growth by temperature (Yan & Hunt 1999), water in the ground (Thornthwaite 1948; Thornthwaite & Mather 1955) and light (Fitzpatrick & Nix 1970), with the flush of stems in spring and the rest after it, from memory. Nitrogen and grazing are not in it. {{where}} {{yield}}',
          {
            where: simulated
              ? say('Temperatures and rain: simulated normals of the region, from no real place.')
              : say('Temperatures and rain: means of this place, typed or from a file.'),
            yield: measuredYield ? '' : say('The yield of the year is a guess by region.'),
          },
        )}
      </p>
    </section>
  )
}
