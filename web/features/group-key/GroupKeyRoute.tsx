import { useWindowKeys } from '../../ui/windowKeys.ts'
import { useState } from 'react'
import { useLoaderData } from 'react-router'
import { calyxDrawing, runnerDrawing } from '@/core/drawing/runnerParts.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Drawing } from '@/core/drawing/mark.ts'
import { runnerGroup, type Runner } from '@/core/naming/groupKey.ts'
import { fresh, reads } from '../../data/reads.ts'
import { useKept } from '../../data/useKept.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { readPlaces } from '../../data/readPlaces.ts'
import { nothingPulled, type Pulled } from './pulled.ts'
import { say } from '../../language/say.ts'
import { groupWords, blank, Follows } from './Follows.tsx'

/** What was pulled before must be known: what is written next takes its place. */
export async function loader() {
  const [places] = await Promise.all([readPlaces(), fresh(reads.kept)])
  return places
}

type Step = 'runnerHairy' | 'calyxRed' | 'stipuleRed'

const steps: { id: Step; asks: string; yes: string; no: string; drawings: () => [Drawing, Drawing] }[] = [
  {
    id: 'runnerHairy',
    get asks() {
      return say('Is the runner hairy?')
    },
    get yes() {
      return say('hairy')
    },
    get no() {
      return say('smooth')
    },
    drawings: () => [runnerDrawing(true), runnerDrawing(false)],
  },
  {
    id: 'calyxRed',
    get asks() {
      return say('Any red on the flower tube?')
    },
    get yes() {
      return say('some red')
    },
    get no() {
      return say('all green')
    },
    drawings: () => [calyxDrawing(true), calyxDrawing(false)],
  },
  {
    id: 'stipuleRed',
    get asks() {
      return say('Any red on the stipule?')
    },
    get yes() {
      return say('some red')
    },
    get no() {
      return say('all green')
    },
    drawings: () => [drawState('stipule.colour', 'red-veined')!, drawState('stipule.colour', 'green')!],
  },
]

/** Many runners of subterranean clover, fast: three drawn questions each, and what share falls in which group. */
export function Component() {
  const { paddocks, holdings } = useLoaderData<typeof loader>()
  const [paddockId, setPaddockId] = useState(paddocks[0]?.id ?? '')
  const { data: pulled = nothingPulled, set } = useKept<Pulled>('runners', paddockId)
  const [now, setNow] = useState<Runner>(blank)
  const [at, setAt] = useState(0)
  const step = steps[at]!
  const answer = (is: boolean | null) => {
    const next = { ...now, [step.id]: is }
    if (at < steps.length - 1) {
      setNow(next)
      setAt(at + 1)
      return
    }
    set({ ...pulled, runners: [...pulled.runners, { ...next, id: crypto.randomUUID() }] })
    setNow(blank)
    setAt(0)
  }
  const undo = () => {
    if (at > 0) return setAt(at - 1)
    const last = pulled.runners.at(-1)
    if (!last) return
    set({ ...pulled, runners: pulled.runners.slice(0, -1) })
    setNow(last)
    setAt(steps.length - 1)
  }
  useWindowKeys((e) => {
    const typing = e.target instanceof HTMLInputElement && e.target.type !== 'checkbox'
    if (typing || e.target instanceof HTMLSelectElement) return
    if (e.key === '1') answer(true)
    else if (e.key === '2') answer(false)
    else if (e.key === '?') answer(null)
    else if (e.key === 'z') undo()
  })
  const [yes, no] = step.drawings()
  const name = paddocks.find((p) => p.id === paddockId)?.name ?? ''
  return (
    <TwoPane
      names={{ left: say('The runner'), right: say('What it comes to') }}
      tip={{ label: step.asks, detail: say('runner {{n}}', { n: pulled.runners.length + 1 }) }}
      nodes={pulled.runners.slice(-8).map((r, i, all) => {
        const group = runnerGroup(r)
        return {
          id: String(pulled.runners.length - all.length + i),
          label: say('Runner {{n}}', { n: pulled.runners.length - all.length + i + 1 }),
          detail: group ? groupWords(group) : say('not placed'),
        }
      })}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('Runners of subterranean clover')}</h1>
          <div className="mt-2 max-w-md">
            <Labelled label={say('Paddock')}>
              {(id) => (
                <select id={id} value={paddockId} onChange={(e) => setPaddockId(e.target.value)} className={inputClass}>
                  {paddocks.map((p) => (
                    <option key={p.id} value={p.id}>
                      {holdings.find((h) => h.id === p.holdingId)?.name}, {p.name}
                    </option>
                  ))}
                </select>
              )}
            </Labelled>
          </div>
          <p className="mt-2 text-ink-soft">
            {say(
              'Early spring, full sun, one runner pulled out whole, youngest leaves first. The underside of the leaf is always hairy in this species: if it is not, it is another clover.',
            )}
          </p>
          <h2 className="mt-4 text-xl" data-testid="step">
            {step.asks}
          </h2>
          <div className="mt-2 grid max-w-xl grid-cols-2 gap-3">
            {(
              [
                [true, yes, step.yes, '1'],
                [false, no, step.no, '2'],
              ] as const
            ).map(([is, drawing, words, key]) => (
              <button
                key={key}
                type="button"
                onClick={() => answer(is)}
                className="flex flex-col items-center rounded-xl border-2 border-rule bg-sheet p-3 text-lg font-semibold hover:border-culm"
              >
                <DrawingView drawing={drawing} className="size-32" />
                <span>
                  {words} <kbd className="ml-1 text-sm font-normal text-ink-soft">{key}</kbd>
                </span>
              </button>
            ))}
          </div>
          <div className="mt-3 flex flex-wrap gap-2">
            <button type="button" onClick={() => answer(null)} className="min-h-12 rounded-xl border border-rule px-4">
              {say("can't tell")} <kbd className="text-sm text-ink-soft">?</kbd>
            </button>
            <button
              type="button"
              onClick={undo}
              disabled={pulled.runners.length === 0 && at === 0}
              className="min-h-12 rounded-xl border border-rule px-4 disabled:opacity-50"
            >
              {say('undo')} <kbd className="text-sm text-ink-soft">z</kbd>
            </button>
          </div>
        </>
      }
      right={<Follows pulled={pulled} name={name} onSuspect={(suspect) => set({ ...pulled, suspect })} />}
    />
  )
}
