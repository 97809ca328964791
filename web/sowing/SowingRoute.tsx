import { format } from 'date-fns'
import { useEffect, useState } from 'react'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import type { SowingCheck } from '@/core/records/sowingCheck.ts'
import { liveSeedsPerM2 } from '@/core/feed/seeding.ts'
import { ageInWeeks, judgedFrom, stocking, type Stocking } from '@/core/survey/stocking.ts'
import { getKept, getPaddock } from '../api/client.ts'
import { inputClass, Labelled } from '../parts/Labelled.tsx'
import { Leaf } from '../parts/Leaf.tsx'
import { PlantDrawing } from '../parts/PlantDrawing.tsx'
import { percent, percentRange } from '../parts/words.ts'
import { usePlanLines } from '../plan/usePlanLines.ts'
import { dayWords } from '../rounds/RoundList.tsx'
import { shortName, useFlora } from '../stores/floraStore.ts'
import { keptUrl } from '../stores/keptApart.ts'
import { useOutbox } from '../stores/outboxStore.ts'
import { useSowings } from './sowingStore.ts'

export async function loader({ params }: LoaderFunctionArgs) {
  const [{ paddock, events }, kept] = await Promise.all([getPaddock(params.id!), getKept().catch(() => [])])
  const event = events.find((e) => e.id === params.event && e.detail.sown)
  if (!event) throw new Response('', { status: 404 })
  const here = kept.find((k) => k.kind === 'sowing' && k.subject === event.id)
  const waiting = useOutbox.getState().letters.some((l) => l.url === keptUrl('sowing', event.id))
  if (here && !waiting)
    useSowings.setState((s) => ({
      checks: { ...s.checks, [event.id]: (here.value as { checks: SowingCheck[] }).checks },
    }))
  return { paddock, event }
}

const figure = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)))
const today = () => format(new Date(), 'yyyy-MM-dd')
const KEYS = 'asdfghjkl'
/** Live seed that comes up in fair ground: common practice, no source. */
const COMES_UP = [0.3, 0.6] as const

function Line({ s }: { s: Stocking }) {
  return (
    <li className="border-b border-rule/60 py-1.5">
      <b>{shortName(s.plant)}</b>: {s.seedlings} seedlings, <b>{figure(s.perM2)}</b> on a square metre (
      {figure(s.interval[0])} to {figure(s.interval[1])})
      {s.emerged && s.sownPerM2
        ? `; of ${figure(s.sownPerM2)} live seeds sown ${percent(s.emerged.share)} stand (${percentRange(s.emerged.interval)})`
        : '; not in the sown list'}
    </li>
  )
}

/** What the counts say, against what was sown, and whether it is time to judge. */
function Follows({
  check,
  sownOn,
  onPlan,
}: {
  check: SowingCheck | undefined
  sownOn: string
  onPlan: (day: string) => void
}) {
  const { event } = useLoaderData<typeof loader>()
  const byId = useFlora((s) => s.byId)
  const from = judgedFrom(sownOn)
  const counted = check && check.frames.length > 0
  const list = counted ? stocking(check, event.detail.sown!, (id) => byId.get(id)?.sowing?.seedsPerKg) : []
  const early = (check?.on ?? today()) < from
  return (
    <>
      <h2 className="text-[1.65rem]">What stands</h2>
      <p className={`mt-1 text-lg ${early ? 'font-semibold' : ''}`} data-testid="verdict-sowing">
        {early
          ? `Too early to judge until ${dayWords(from)}: what is missing now may still be seed in the ground.`
          : 'Old enough to be judged.'}{' '}
        <span className="font-normal text-ink-soft">
          {ageInWeeks(sownOn, check?.on ?? today())} weeks after sowing. Northern seasons; common practice, no source.
        </span>
      </p>
      {counted ? (
        <ul className="mt-2">
          {list.map((s) => (
            <Line key={s.plant} s={s} />
          ))}
        </ul>
      ) : (
        <p className="mt-2">Figures appear with the first frame.</p>
      )}
      {counted && check.frames.length < 10 ? (
        <p className="mt-1 text-ink-soft">
          {check.frames.length} frames: the ranges shrink with more. Ten or more over the whole field are usual.
        </p>
      ) : null}
      <button
        type="button"
        onClick={() => onPlan(early ? from : today())}
        className="mt-3 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
      >
        Put the next look in the plan{early ? `, ${dayWords(from)}` : ''}
      </button>
      <h3 className="mt-5 text-lg">The seedlings, to be told from weeds</h3>
      <ul className="mt-1 grid grid-cols-2 gap-3 sm:grid-cols-3">
        {event.detail.sown!.flatMap(({ plant }) => {
          const p = byId.get(plant)
          return p
            ? [
                <li key={plant} className="text-center">
                  <PlantDrawing
                    plant={p}
                    stage="seedling"
                    insets={false}
                    className="mx-auto h-40 w-full"
                    label={p.commonName}
                  />
                  {shortName(plant)}
                </li>,
              ]
            : []
        })}
      </ul>
      <p className="mt-2 text-ink-soft">
        Tug: a seedling of weeks comes out with its old seed, a plant of years holds. Drilled plants stand in rows. Mow
        to see them where weeds hide them; drought leaves gaps that fill with the rain.
      </p>
    </>
  )
}

/** A new sowing: frames counted by key, seedlings against live seed, and whether it is too early to judge. */
export function Component() {
  const { paddock, event } = useLoaderData<typeof loader>()
  const byId = useFlora((s) => s.byId)
  const sown = event.detail.sown!
  const kept = useSowings((s) => s.checks[event.id])
  const set = useSowings((s) => s.set)
  const checks = kept ?? []
  const check = checks.at(-1)?.on === today() ? checks.at(-1) : undefined
  const [frameText, setFrameText] = useState('0.1')
  const [now, setNow] = useState<Record<string, number>>({})
  const { put } = usePlanLines(paddock.id)
  const [planned, setPlanned] = useState('')
  const frameM2 = check?.frameM2 ?? Number(frameText.replace(',', '.'))
  const good = frameM2 > 0 && frameM2 <= 100
  const plants = sown.map((s) => s.plant)
  const tap = (plant: string, by: number) => setNow((n) => ({ ...n, [plant]: Math.max(0, (n[plant] ?? 0) + by) }))
  const write = (patch: Partial<SowingCheck>) => {
    const base: SowingCheck = check ?? { on: today(), frameM2, frames: [], note: '' }
    set(event.id, [...checks.filter((c) => c !== check), { ...base, ...patch }])
  }
  const next = () => {
    if (!good) return
    write({ frames: [...(check?.frames ?? []), now] })
    setNow({})
  }
  const undo = () => {
    const last = check?.frames.at(-1)
    if (!last) return
    write({ frames: check!.frames.slice(0, -1) })
    setNow(last)
  }
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement || e.ctrlKey || e.metaKey)
        return
      const plant = plants[KEYS.indexOf(e.key.toLowerCase())]
      if (plant && KEYS.includes(e.key.toLowerCase())) tap(plant, e.shiftKey ? -1 : 1)
      else if (e.key === 'Enter' && !(e.target instanceof HTMLButtonElement)) next()
      else if (e.key === 'z') undo()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  })
  const plan = (day: string) => {
    put({
      id: crypto.randomUUID(),
      paddockId: paddock.id,
      roundId: null,
      plant: null,
      text: `Look at the sowing of ${dayWords(event.onDate)} again`,
      owner: '',
      dueOn: day,
      backOn: null,
      lookFor: 'Seedlings a square metre, rows, gaps, weeds',
      doneOn: null,
      outcome: '',
      paddock: paddock.name,
      holding: '',
    })
    setPlanned(`In the plan for ${dayWords(day)}.`)
  }
  const frames = check?.frames.length ?? 0
  return (
    <Leaf
      names={{ left: 'Frames', right: 'What stands' }}
      tip={{ label: 'Write the frame', detail: `frame ${frames + 1}`, hotkey: '↵', onPress: next }}
      nodes={[
        { id: 'sown', label: 'Sown', detail: dayWords(event.onDate) },
        ...checks.map((c) => ({ id: c.on, label: dayWords(c.on), detail: `${c.frames.length} frames` })),
      ]}
      left={
        <>
          <p className="text-ink-soft">{paddock.name}</p>
          <h1 className="text-[1.65rem]">The sowing of {dayWords(event.onDate)}</h1>
          <details className="mt-1">
            <summary className="min-h-11 content-center">What was sown, and how many seedlings would be usual</summary>
            <ul className="text-ink-soft">
              {sown.map((s) => {
                const seeds = byId.get(s.plant)?.sowing?.seedsPerKg
                const live = seeds ? liveSeedsPerM2(s.kgPerHa, s.pls, seeds) : undefined
                return (
                  <li key={s.plant}>
                    {shortName(s.plant)}: {s.kgPerHa} kg/ha at {Math.round(100 * s.pls)} % live
                    {live
                      ? `, ${figure(live)} live seeds on a square metre: ${figure(live * COMES_UP[0])} to ${figure(live * COMES_UP[1])} seedlings would be usual`
                      : ', seed weight not on file'}
                  </li>
                )
              })}
            </ul>
            <p className="text-ink-soft">Common practice, no source.</p>
          </details>
          <div className="mt-3 max-w-xs">
            <Labelled label="Frame, square metres">
              {(id) => (
                <input
                  id={id}
                  inputMode="decimal"
                  value={check ? String(check.frameM2) : frameText}
                  disabled={check !== undefined}
                  onChange={(e) => setFrameText(e.target.value)}
                  className={inputClass}
                />
              )}
            </Labelled>
          </div>
          {good ? null : (
            <p className="font-semibold text-harm">A frame is larger than 0 and at most 100 square metres.</p>
          )}
          <h2 className="mt-4 text-xl">Frame {frames + 1}</h2>
          <ul className="mt-1 max-w-xl">
            {plants.map((plant, i) => (
              <li key={plant} className="flex items-center gap-3 border-b border-rule/60 py-1.5">
                <button
                  type="button"
                  aria-label={`One ${shortName(plant)} fewer`}
                  onClick={() => tap(plant, -1)}
                  className="size-13 rounded-xl border border-rule text-2xl"
                >
                  −
                </button>
                <button
                  type="button"
                  aria-label={`One ${shortName(plant)} more`}
                  onClick={() => tap(plant, 1)}
                  className="flex min-h-13 grow items-center justify-between rounded-xl border-2 border-culm px-4 text-lg"
                >
                  <span>
                    {shortName(plant)} <kbd className="ml-1 text-sm text-ink-soft">{KEYS[i]}</kbd>
                  </span>
                  <b className="text-2xl">{now[plant] ?? 0}</b>
                </button>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex flex-wrap gap-2">
            <button
              type="button"
              onClick={next}
              disabled={!good}
              className="min-h-13 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm disabled:opacity-50"
            >
              Write the frame
            </button>
            <button
              type="button"
              onClick={undo}
              disabled={frames === 0}
              className="min-h-13 rounded-xl border border-rule px-4 disabled:opacity-50"
            >
              undo
            </button>
          </div>
          <label className="mt-4 block max-w-xl">
            <span className="block text-ink-soft">Tug test, drought, mowing, rows and gaps</span>
            <textarea
              value={check?.note ?? ''}
              maxLength={2000}
              rows={3}
              onChange={(e) => write({ note: e.target.value })}
              className="w-full rounded-xl border border-rule bg-sheet px-3 py-2"
            />
          </label>
          <p role="status">{planned}</p>
        </>
      }
      right={<Follows check={check ?? checks.at(-1)} sownOn={event.onDate} onPlan={plan} />}
    />
  )
}
