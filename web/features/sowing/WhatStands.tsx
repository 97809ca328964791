import { useMemo } from 'react'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import { ANY_SOWN, type SowingCheck } from '@/core/records/sowingCheck.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { ageInWeeks, gridStand, judgedFrom, standWord, stocking, type Stocking } from '@/core/assess/sowing/stocking.ts'
import { wilson } from '@/core/stats/proportionIntervals.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { ShareChart } from '../../ui/charts/ShareChart.tsx'
import { Word } from '../../parts/Word.tsx'
import { percent, percentRange } from '../../parts/words.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import { figure, flagWords } from './sowingWords.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { dayWords, today } from '../../language/dates.ts'

const standWords = {
  get full() {
    return say('a full stand')
  },
  get adequate() {
    return say('a thin stand that is usually kept')
  },
  get 'partial failure'() {
    return say('a partial failure')
  },
  get undecided() {
    return say('not decided yet: more grids narrow it')
  },
} as const

function Line({ s }: { s: Stocking }) {
  const byId = useFlora((f) => f.byId)
  const harmful = byId.get(s.plant)?.role === 'toxic'
  return (
    <li className="border-b border-rule/60 py-1.5">
      {harmful ? <GroupMark group="harm" className="mr-1 inline size-4" /> : null}
      <Say
        text="<b/>: {{seedlings}} seedlings, <b2/> on a square metre ({{figure}} to {{figure2}}){{what}}"
        values={{
          seedlings: s.seedlings,
          figure: figure(s.interval[0]),
          figure2: figure(s.interval[1]),
          what:
            s.emerged && s.sownPerM2
              ? say('; of {{figure}} live seeds sown {{share}} stand ({{interval}})', {
                  figure: figure(s.sownPerM2),
                  share: percent(s.emerged.share),
                  interval: percentRange(s.emerged.interval),
                })
              : say('; not in the sown list'),
        }}
        components={{ b: <b>{shortName(s.plant)}</b>, b2: <b>{figure(s.perM2)}</b> }}
      />
    </li>
  )
}

function Seedlings({ check, event }: { check: SowingCheck; event: PaddockEvent }) {
  const byId = useFlora((s) => s.byId)
  const list = stocking(check, event.detail.sown!, (id) => byId.get(id)?.sowing?.seedsPerKg)
  return (
    <ul className="mt-2">
      {list.map((s) => (
        <Line key={s.plant} s={s} />
      ))}
    </ul>
  )
}

function Grid({ check, event }: { check: SowingCheck; event: PaddockEvent }) {
  const byId = useFlora((s) => s.byId)
  const list = useMemo(() => gridStand(check, event.detail.sown!), [check, event])
  const any = list.find((g) => g.plant === ANY_SOWN)!
  return (
    <>
      <p className="mt-2" data-testid="grid-stand">
        <Say
          text="A sown plant stands in <b/> of {{n}} cells ({{interval}}): {{standWords}}{{what}}. <word>Half of the cells</word> is a full stand, under a quarter a partial failure (Vogel and Masters 2001, from memory)."
          values={{
            n: check.frames.length * check.cells!,
            interval: percentRange(any.interval),
            standWords: standWords[standWord(any.interval)],
            what:
              any.perM2 === undefined
                ? ''
                : say(', at the least {{figure}} plants on a square metre', { figure: figure(any.perM2) }),
          }}
          components={{ b: <b>{percent(any.frequency)}</b>, word: <Word id="frequency" /> }}
        />
      </p>
      <div className="mt-2">
        <ShareChart
          rows={list
            .filter((g) => g.plant !== ANY_SOWN)
            .map((g) => ({
              id: g.plant,
              name: shortName(g.plant),
              group: groupOf(g.plant, byId),
              harmful: byId.get(g.plant)?.role === 'toxic',
              share: {
                estimate: g.frequency,
                interval: g.interval,
                se: undefined,
                designEffect: undefined,
                method: 'exact' as const,
              },
            }))}
          label={say('Cells that hold each plant: {{list}}', {
            list: list
              .map((g) => `${g.plant === ANY_SOWN ? say('any sown') : shortName(g.plant)} ${percent(g.frequency)}`)
              .join(', '),
          })}
        />
      </div>
    </>
  )
}

function Rows({ rows }: { rows: NonNullable<SowingCheck['rows']> }) {
  const share = Math.min(1, rows.bare / rows.metres)
  // Metres of row are taken as the looks: a rough range, as gaps come in runs.
  const range = wilson({ x: share * Math.max(1, Math.round(rows.metres)), n: Math.max(1, Math.round(rows.metres)) })
  return (
    <p className="mt-2">
      <Say
        text="Of {{figure}} m of row <b/> is bare ({{range}}, roughly: gaps come in runs)."
        values={{ figure: figure(rows.metres), range: percentRange(range) }}
        components={{ b: <b>{percent(share)}</b> }}
      />
    </p>
  )
}

/** What the counts say, against what was sown, and whether it is time to judge. */
export function WhatStands({
  check,
  event,
  onPlan,
}: {
  check: SowingCheck | undefined
  event: PaddockEvent
  onPlan: (day: string) => void
}) {
  const byId = useFlora((s) => s.byId)
  const from = judgedFrom(event.onDate)
  const counted = check && check.frames.length > 0
  const early = (check?.on ?? today()) < from
  const flags = check?.flags ?? []
  return (
    <>
      <h2 className="text-[1.65rem]">{say('What stands')}</h2>
      <p className={`mt-1 text-lg ${early ? 'font-semibold' : ''}`} data-testid="verdict-sowing">
        {early
          ? say('Too early to judge until {{dayWords}}: what is missing now may still be seed in the ground.', {
              dayWords: dayWords(from),
            })
          : say('Old enough to be judged.')}{' '}
        <span className="font-normal text-ink-soft">
          {say('{{ageInWeeks}} weeks after sowing. Northern seasons; common practice, no source.', {
            ageInWeeks: ageInWeeks(event.onDate, check?.on ?? today()),
          })}
        </span>
      </p>
      {counted ? (
        check.cells ? (
          <Grid check={check} event={event} />
        ) : (
          <Seedlings check={check} event={event} />
        )
      ) : (
        <p className="mt-2">{say('Figures appear with the first frame.')}</p>
      )}
      {counted && check.frames.length < 10 && !check.cells ? (
        <p className="mt-1 text-ink-soft">
          {say('{{n}} frames: the ranges shrink with more. Ten or more over the whole field are usual.', {
            n: check.frames.length,
          })}
        </p>
      ) : null}
      {check?.rows ? <Rows rows={check.rows} /> : null}
      {flags.length > 0 ? (
        <ul className="mt-2 list-disc pl-5" aria-label={say('What was noted')}>
          {flags.map((f) => (
            <li key={f}>{flagWords[f].means}</li>
          ))}
        </ul>
      ) : null}
      <button
        type="button"
        onClick={() => onPlan(early ? from : today())}
        className="mt-3 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
      >
        {say('Put the next look in the plan{{what}}', { what: early ? `, ${dayWords(from)}` : '' })}
      </button>
      <h3 className="mt-5 text-lg">{say('The seedlings, to be told from weeds')}</h3>
      <ul className="mt-1 grid grid-cols-2 gap-3 @md:grid-cols-3">
        {[...event.detail.sown!.map((s) => s.plant), ...(check?.others ?? [])].flatMap((plant) => {
          const p = byId.get(plant)
          return p
            ? [
                <li key={plant} className="text-center">
                  <PlantPicture plant={p} stage="seedling" className="mx-auto h-40 w-full object-contain" />
                  {shortName(plant)}
                </li>,
              ]
            : []
        })}
      </ul>
    </>
  )
}
