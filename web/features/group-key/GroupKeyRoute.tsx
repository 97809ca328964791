import { saysApart } from '@/contract/applied.ts'
import { useWindowKeys } from '../../ui/windowKeys.ts'
import { sayRunnerShare } from '@/text/runnerWords.ts'
import { useState } from 'react'
import { useLoaderData } from 'react-router'
import { calyxDrawing, runnerDrawing } from '@/core/drawing/runnerParts.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Drawing } from '@/core/drawing/mark.ts'
import { runnerGroup, runnerGroups, runnerShare, type Runner, type RunnerGroup } from '@/core/naming/groupKey.ts'
import { cohenKappa } from '@/core/stats/agreement.ts'
import { getKept } from '../../api/client.ts'
import { download, fileSlug } from '../../parts/download.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { FileButton } from '../../parts/FileButton.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { Leaf } from '../../parts/Leaf.tsx'
import { readPlaces } from '../../data/readPlaces.ts'
import { pendingCommands } from '../../stores/outboxStore.ts'
import { nothingPulled, useRunners, type Pulled } from './runnersStore.ts'
import { say, word } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

const FILE = 'fold-sprig-runners'

export async function loader() {
  const [places, kept] = await Promise.all([readPlaces(), getKept().catch(() => [])])
  const waiting = pendingCommands()
  const pulled = { ...useRunners.getState().pulled }
  for (const k of kept)
    if (k.kind === 'runners' && !waiting.some((c) => saysApart(c, 'runners', k.subject)))
      pulled[k.subject] = k.value as Pulled
  useRunners.setState({ pulled })
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
const groupWords = (g: RunnerGroup) => word(g.replace('-', ', '))
const blank: Runner = { runnerHairy: null, calyxRed: null, stipuleRed: null }

/** A second person's runners: do the two agree on the groups of the same runners? */
function Second({ mine, theirs }: { mine: Runner[]; theirs: Runner[] }) {
  const n = Math.min(mine.length, theirs.length)
  const pairs = Array.from({ length: n }, (_, i) => [runnerGroup(mine[i]!), runnerGroup(theirs[i]!)] as const).filter(
    (p): p is readonly [RunnerGroup, RunnerGroup] => p[0] !== undefined && p[1] !== undefined,
  )
  if (pairs.length === 0) return <p>{say('No runner of the file can be held against yours.')}</p>
  const table = runnerGroups.map((a) => runnerGroups.map((b) => pairs.filter((p) => p[0] === a && p[1] === b).length))
  const same = pairs.filter(([a, b]) => a === b).length
  const { kappa, interval } = cohenKappa(table)
  return (
    <p data-testid="second">
      {say('Of {{n}} runners that both placed, in the order pulled, {{same}} are in the same group{{what}}.', {
        n: pairs.length,
        same,
        what: Number.isFinite(kappa)
          ? say(': kappa {{kappa}} ({{interval}} to {{interval2}}; Cohen 1960)', {
              kappa: fixed(kappa, 2),
              interval: fixed(interval[0], 2),
              interval2: fixed(interval[1], 2),
            })
          : '',
      })}
    </p>
  )
}

function Follows({ pulled, onSuspect, name }: { pulled: Pulled; onSuspect: (s: RunnerGroup[]) => void; name: string }) {
  const [theirs, setTheirs] = useState<Runner[]>()
  const [problem, setProblem] = useState('')
  const share = runnerShare(pulled.runners, pulled.suspect)
  const open = async (file: File) => {
    setProblem('')
    try {
      const read = JSON.parse(await file.text()) as { kind?: string; runners?: Runner[] }
      if (read.kind !== FILE || !Array.isArray(read.runners)) throw new Error(say('no runners'))
      setTheirs(read.runners.map((r) => ({ ...blank, ...r })))
    } catch {
      setProblem(say('{{name}} is not a file of runners.', { name: file.name }))
    }
  }
  return (
    <>
      <h2 className="text-[1.65rem]">{say('What it comes to')}</h2>
      {share ? (
        <p className="mt-1 text-lg first-letter:uppercase" data-testid="runner-share">
          {pulled.suspect.length > 0
            ? `${sayRunnerShare(share)}.`
            : say('{{placed}} runners placed. Tick the groups in which your register has an oestrogenic cultivar.', {
                placed: share.placed,
              })}
        </p>
      ) : (
        <p className="mt-1">
          {say('No runner is placed yet. Thirty or so, pulled along the whole walk, make a share worth having.')}
        </p>
      )}
      <ul className="mt-3">
        {runnerGroups.map((g) => {
          const n = share?.byGroup[g] ?? 0
          return (
            <li key={g} className="border-b border-rule/60">
              <label className="flex min-h-12 items-center gap-3">
                <input
                  type="checkbox"
                  checked={pulled.suspect.includes(g)}
                  onChange={(e) =>
                    onSuspect(e.target.checked ? [...pulled.suspect, g] : pulled.suspect.filter((x) => x !== g))
                  }
                  className="size-6 accent-culm"
                />
                <span className="grow first-letter:uppercase">{groupWords(g)}</span>
                <span className="flex gap-0.5" aria-hidden>
                  {Array.from({ length: Math.min(n, 30) }, (_, i) => (
                    <span
                      key={i}
                      className={`h-4 w-1.5 rounded-sm ${pulled.suspect.includes(g) ? 'bg-harm' : 'bg-culm'}`}
                    />
                  ))}
                </span>
                <b className="w-8 text-right">{n}</b>
              </label>
            </li>
          )
        })}
      </ul>
      {share && share.unplaced > 0 ? (
        <p className="mt-1">
          {say('{{unplaced}} could not be placed and are left out.', { unplaced: share.unplaced })}
        </p>
      ) : null}
      <section className="mt-4 rounded-2xl rounded-tl-sm border-2 border-harm bg-harm-wash p-4">
        <h3 className="text-lg text-harm">{say('What it means for ewes')}</h3>
        <p>
          {say(
            'Oestrogenic clover can lower the fertility of ewes, for good when it is eaten season after season; the more of the feed and the longer, the more. A group is not a cultivar: these runners could be of one, and only some are. Old cultivars also cost winter feed (common practice, no source). What they hold is told by a laboratory (isoflavones), what it does by a veterinarian; keep breeding ewes off dense stands about mating until then.',
          )}
        </p>
      </section>
      <section className="mt-4" aria-label={say('Second opinion')}>
        <h3 className="text-lg">{say('A second opinion')}</h3>
        <p>{say('The same runners, in the order they were pulled, looked at by somebody else.')}</p>
        <div className="mt-1 flex flex-wrap gap-2">
          <button
            type="button"
            disabled={pulled.runners.length === 0}
            onClick={() =>
              download(
                `${fileSlug(say('{{name}} runners', { name }))}.json`,
                JSON.stringify({ kind: FILE, version: 1, place: name, ...pulled }, null, 1),
                'application/json',
              )
            }
            className="min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm disabled:opacity-50"
          >
            {say('Save the runners')}
          </button>
          <FileButton label={say("Open a colleague's runners")} accept=".json" onFile={(f) => void open(f)} />
        </div>
        <p role="alert" className="font-semibold text-harm">
          {problem}
        </p>
        {theirs ? <Second mine={pulled.runners} theirs={theirs} /> : null}
      </section>
    </>
  )
}

/** Many runners of subterranean clover, fast: three drawn questions each, and what share falls in which group. */
export function Component() {
  const { paddocks, holdings } = useLoaderData<typeof loader>()
  const [paddockId, setPaddockId] = useState(paddocks[0]?.id ?? '')
  const pulled = useRunners((s) => s.pulled[paddockId]) ?? nothingPulled
  const set = useRunners((s) => s.set)
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
    set(paddockId, { ...pulled, runners: [...pulled.runners, next] })
    setNow(blank)
    setAt(0)
  }
  const undo = () => {
    if (at > 0) return setAt(at - 1)
    const last = pulled.runners.at(-1)
    if (!last) return
    set(paddockId, { ...pulled, runners: pulled.runners.slice(0, -1) })
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
    <Leaf
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
      right={<Follows pulled={pulled} name={name} onSuspect={(suspect) => set(paddockId, { ...pulled, suspect })} />}
    />
  )
}
