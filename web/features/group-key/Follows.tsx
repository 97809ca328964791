import { codeWords } from '@/text/codeWords.ts'
import { sayRunnerShare } from '@/text/runnerWords.ts'
import { useState } from 'react'
import { runnerGroup, runnerGroups, runnerShare, type Runner, type RunnerGroup } from '@/core/naming/groupKey.ts'
import { cohenKappa } from '@/core/stats/agreement.ts'
import { download, fileSlug } from '../../parts/download.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { type Pulled } from './pulled.ts'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

const FILE = 'fold-sprig-runners'

export const groupWords = (g: RunnerGroup) => codeWords(g)

export const blank: Runner = { runnerHairy: null, calyxRed: null, stipuleRed: null }

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

export function Follows({
  pulled,
  onSuspect,
  name,
}: {
  pulled: Pulled
  onSuspect: (s: RunnerGroup[]) => void
  name: string
}) {
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
