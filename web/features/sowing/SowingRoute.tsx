import { useWindowKeys } from '../../ui/windowKeys.ts'
import { useState } from 'react'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import { ANY_SOWN, type SowingCheck } from '@/core/records/sowingCheck.ts'
import { GRID_CELLS } from '@/core/methods/estimators/frequency.ts'
import { GRID_CELL_M2 } from '@/core/assess/sowing/stocking.ts'
import { getPaddock } from '../../api/client.ts'
import { fresh, reads } from '../../data/reads.ts'
import { useKept } from '../../data/useKept.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { usePlanLines } from '../../entities/plan/usePlanLines.ts'
import { AddPlant } from '../../entities/plant/AddPlant.tsx'
import { StandNotes } from './StandNotes.tsx'
import { WhatStands } from './WhatStands.tsx'
import { say } from '../../language/say.ts'
import { dayWords, today } from '../../language/dates.ts'
import { WasSown, HowCounted, CountLine } from './SowingParts.tsx'

/** What was counted before must be known: what is written next takes its place. */
export async function loader({ params }: LoaderFunctionArgs) {
  const [{ paddock, events }] = await Promise.all([getPaddock(params.id!), fresh(reads.kept)])
  const event = events.find((e) => e.id === params.event && e.detail.sown)
  if (!event) throw new Response('', { status: 404 })
  return { paddock, event }
}

const KEYS = 'asdfghjklqwertyuiop'

/** A new sowing: frames counted by key, seedlings against live seed, and whether it is too early to judge. */
export function Component() {
  const { paddock, event } = useLoaderData<typeof loader>()
  const { data: kept, set: keep } = useKept<{ checks: SowingCheck[] }>('sowing', event.id)
  const set = (checks: SowingCheck[]) => keep({ checks })
  const checks = kept?.checks ?? []
  const check = checks.at(-1)?.on === today() ? checks.at(-1) : undefined
  const [frameText, setFrameText] = useState('0.1')
  const [wantsGrid, setWantsGrid] = useState(false)
  const [adding, setAdding] = useState(false)
  const [now, setNow] = useState<Record<string, number>>({})
  const { put } = usePlanLines(paddock.id)
  const [planned, setPlanned] = useState('')
  const frames = check?.frames.length ?? 0
  const grid = frames > 0 ? check!.cells !== undefined : wantsGrid
  const frameM2 = grid ? GRID_CELL_M2 : frames > 0 ? check!.frameM2 : Number(frameText.replace(',', '.'))
  const good = frameM2 > 0 && frameM2 <= 100
  const plants = [...(grid ? [ANY_SOWN] : []), ...event.detail.sown!.map((s) => s.plant), ...(check?.others ?? [])]
  const most = grid ? GRID_CELLS : 10_000
  const tap = (plant: string, by: number) =>
    setNow((n) => ({ ...n, [plant]: Math.min(most, Math.max(0, (n[plant] ?? 0) + by)) }))
  const write = (patch: Partial<SowingCheck>) => {
    const base: SowingCheck = check ?? { on: today(), frameM2: good ? frameM2 : 0.1, frames: [], note: '' }
    set([...checks.filter((c) => c !== check), { ...base, ...patch }])
  }
  const next = () => {
    if (!good) return
    // A cell that holds one of the sown plants holds any of them.
    const most = Math.max(0, ...event.detail.sown!.map((s) => now[s.plant] ?? 0))
    const frame = grid ? { ...now, [ANY_SOWN]: Math.max(now[ANY_SOWN] ?? 0, most) } : now
    const rest: Partial<SowingCheck> = { ...check }
    delete rest.cells
    set([
      ...checks.filter((c) => c !== check),
      {
        on: today(),
        note: '',
        ...rest,
        frameM2,
        frames: [...(check?.frames ?? []), frame],
        ...(grid ? { cells: GRID_CELLS } : {}),
      },
    ])
    setNow({})
  }
  const undo = () => {
    const last = check?.frames.at(-1)
    if (!last) return
    setWantsGrid(grid)
    write({ frames: check!.frames.slice(0, -1) })
    setNow(last)
  }
  useWindowKeys((e) => {
    if (e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement) return
    const letter = e.key.toLowerCase()
    const plant = letter.length === 1 ? plants[KEYS.indexOf(letter)] : undefined
    if (plant && KEYS.includes(letter)) tap(plant, e.shiftKey ? -1 : 1)
    else if (e.key === 'Enter' && !(e.target instanceof HTMLButtonElement)) next()
    else if (e.key === 'z') undo()
  })
  const plan = (day: string) => {
    put({
      id: crypto.randomUUID(),
      paddockId: paddock.id,
      roundId: null,
      plant: null,
      text: say('Look at the sowing of {{dayWords}} again', { dayWords: dayWords(event.onDate) }),
      owner: '',
      dueOn: day,
      backOn: null,
      lookFor: say('Seedlings a square metre, rows, gaps, weeds'),
      doneOn: null,
      outcome: '',
      paddock: paddock.name,
      holding: '',
    })
    setPlanned(say('In the plan for {{dayWords}}.', { dayWords: dayWords(day) }))
  }
  const thing = grid ? 'grid' : 'frame'
  return (
    <TwoPane
      names={{ left: say('Frames'), right: say('What stands') }}
      tip={{
        label: say('Write the {{thing}}', { thing }),
        detail: `${thing} ${frames + 1}`,
        hotkey: '↵',
        onPress: next,
      }}
      nodes={[
        { id: 'sown', label: say('Sown'), detail: dayWords(event.onDate) },
        ...checks.map((c) => ({
          id: c.on,
          label: dayWords(c.on),
          detail:
            c.frames.length === 0
              ? say('noted')
              : c.cells
                ? say('{{count}} grids', { count: c.frames.length })
                : say('{{count}} frames', { count: c.frames.length }),
        })),
      ]}
      left={
        <>
          <p className="text-ink-soft">{paddock.name}</p>
          <h1 className="text-[1.65rem]">{say('The sowing of {{dayWords}}', { dayWords: dayWords(event.onDate) })}</h1>
          <WasSown event={event} />
          <HowCounted grid={grid} onGrid={setWantsGrid} fixed={frames > 0} />
          {grid ? (
            <p className="mt-2 max-w-xl text-ink-soft">
              {say(
                'Lay the grid down and count the cells that hold the plant at all, first those that hold any sown plant. Four grids or more.',
              )}
            </p>
          ) : (
            <div className="mt-3 max-w-xs">
              <Labelled label={say('Frame, square metres')}>
                {(id) => (
                  <input
                    id={id}
                    inputMode="decimal"
                    value={frames > 0 ? String(frameM2) : frameText}
                    disabled={frames > 0}
                    onChange={(e) => setFrameText(e.target.value)}
                    className={inputClass}
                  />
                )}
              </Labelled>
            </div>
          )}
          {good ? null : (
            <p className="font-semibold text-harm">{say('A frame is larger than 0 and at most 100 square metres.')}</p>
          )}
          <h2 className="mt-4 text-xl first-letter:uppercase">
            {thing} {frames + 1}
          </h2>
          <ul className="mt-1 max-w-xl">
            {plants.map((plant, i) => (
              <CountLine
                key={plant}
                plant={plant}
                hotkey={KEYS[i]}
                count={now[plant] ?? 0}
                onTap={(by) => tap(plant, by)}
              />
            ))}
          </ul>
          {adding ? (
            <div className="max-w-xl">
              <AddPlant
                onAdd={(id) => {
                  if (!plants.includes(id)) write({ others: [...(check?.others ?? []), id] })
                }}
                onClose={() => setAdding(false)}
              />
            </div>
          ) : null}
          <div className="mt-3 flex flex-wrap gap-2">
            <button
              type="button"
              onClick={next}
              disabled={!good}
              className="min-h-13 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm disabled:opacity-50"
            >
              {say('Write the {{thing}}', { thing })}
            </button>
            <button
              type="button"
              onClick={undo}
              disabled={frames === 0}
              className="min-h-13 rounded-xl border border-rule px-4 disabled:opacity-50"
            >
              {say('undo')}
            </button>
            <button
              type="button"
              onClick={() => setAdding(true)}
              className="min-h-13 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
            >
              {say('Add a weed seedling')}
            </button>
          </div>
          <StandNotes check={check} onWrite={write} />
          <p role="status">{planned}</p>
        </>
      }
      right={<WhatStands check={check ?? checks.at(-1)} event={event} onPlan={plan} />}
    />
  )
}
