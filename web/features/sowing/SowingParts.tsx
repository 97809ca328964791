import { type MouseEvent } from 'react'
import { liveSeedsPerM2 } from '@/core/assess/sowing/seeding.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import { ANY_SOWN } from '@/core/records/sowingCheck.ts'
import { GRID_CELLS } from '@/core/methods/estimators/frequency.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import { figure } from './sowingWords.ts'
import { rateWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

/** Live seed that comes up in fair ground: common practice, no source. */
const COMES_UP = [0.3, 0.6] as const

const nameOf = (plant: string) => (plant === ANY_SOWN ? say('Any of the sown') : shortName(plant))

/** After a touch or a click, Enter writes the frame again: a button that was only touched does not keep it. */
const letGo = (e: MouseEvent<HTMLButtonElement>) => {
  if (e.detail > 0) e.currentTarget.blur()
}

export function WasSown({ event }: { event: PaddockEvent }) {
  const byId = useFlora((s) => s.byId)
  return (
    <details className="mt-1">
      <summary className="min-h-11 content-center">
        {say('What was sown, and how many seedlings would be usual')}
      </summary>
      <ul className="text-ink-soft">
        {event.detail.sown!.map((s) => {
          const seeds = byId.get(s.plant)?.sowing?.seedsPerKg
          const live = seeds ? liveSeedsPerM2(s.kgPerHa, s.pls, seeds) : undefined
          return (
            <li key={s.plant}>
              {say('{{shortName}}: {{rateWords}} at {{pls}} % live{{what}}', {
                shortName: shortName(s.plant),
                rateWords: rateWords(s.kgPerHa),
                pls: Math.round(100 * s.pls),
                what: live
                  ? say(
                      ', {{figure}} live seeds on a square metre: {{figure2}} to {{figure3}} seedlings would be usual',
                      {
                        figure: figure(live),
                        figure2: figure(live * COMES_UP[0]),
                        figure3: figure(live * COMES_UP[1]),
                      },
                    )
                  : say(', seed weight not on file'),
              })}
            </li>
          )
        })}
      </ul>
      <p className="text-ink-soft">{say('Common practice, no source.')}</p>
    </details>
  )
}

/** Seedlings counted, or cells of a grid: chosen before the first frame. */
export function HowCounted({
  grid,
  onGrid,
  fixed,
}: {
  grid: boolean
  onGrid: (grid: boolean) => void
  fixed: boolean
}) {
  return (
    <div role="radiogroup" aria-label={say('What is counted')} className="mt-3 flex max-w-xl flex-wrap gap-2">
      {[
        { is: false, words: say('Seedlings in frames') },
        { is: true, words: say('Cells of a grid, {{GRIDCELLS}} of 15 × 15 cm', { GRIDCELLS: GRID_CELLS }) },
      ].map(({ is, words }) => (
        <button
          key={words}
          type="button"
          role="radio"
          aria-checked={grid === is}
          disabled={fixed && grid !== is}
          onClick={(e) => {
            onGrid(is)
            letGo(e)
          }}
          className={`min-h-12 rounded-xl border-2 px-4 disabled:opacity-50 ${grid === is ? 'border-culm bg-culm/15 font-semibold' : 'border-rule'}`}
        >
          {words}
        </button>
      ))}
    </div>
  )
}

export function CountLine({
  plant,
  hotkey,
  count,
  onTap,
}: {
  plant: string
  hotkey: string | undefined
  count: number
  onTap: (by: number) => void
}) {
  return (
    <li className="flex items-center gap-3 border-b border-rule/60 py-1.5">
      <button
        type="button"
        aria-label={say('One {{nameOf}} fewer', { nameOf: nameOf(plant) })}
        onClick={(e) => {
          onTap(-1)
          letGo(e)
        }}
        className="size-13 rounded-xl border border-rule text-2xl"
      >
        −
      </button>
      <button
        type="button"
        aria-label={say('One {{nameOf}} more', { nameOf: nameOf(plant) })}
        onClick={(e) => {
          onTap(1)
          letGo(e)
        }}
        className="flex min-h-13 grow items-center justify-between rounded-xl border-2 border-culm px-4 text-lg"
      >
        <span>
          {nameOf(plant)} {hotkey ? <kbd className="ml-1 text-sm text-ink-soft">{hotkey}</kbd> : null}
        </span>
        <b className="text-2xl">{count}</b>
      </button>
    </li>
  )
}
