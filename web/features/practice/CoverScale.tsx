import { randomLcg } from 'd3-random'
import { coverPattern } from '@/core/practice/coverPattern.ts'
import { say } from '../../language/say.ts'

const SIDE = 40
const wholePercent = (share: number) => `${Math.round(100 * share)}\u00a0%`
const SHARES = [0.02, 0.05, 0.1, 0.2, 0.35, 0.5, 0.65, 0.8, 0.95]

/** One path of all covered cells, a run of a row at a time. */
function pathOf(cells: readonly boolean[]): string {
  const runs: string[] = []
  for (let at = 0; at < cells.length; at++) {
    if (!cells[at]) continue
    const begin = at
    while (cells[at + 1] && (at + 1) % SIDE !== 0) at++
    runs.push(`M${begin % SIDE} ${Math.floor(begin / SIDE)}h${at - begin + 1}v1h${begin - at - 1}z`)
  }
  return runs.join('')
}

const made = () =>
  SHARES.map((share, i) => ({ share, path: pathOf(coverPattern(SIDE, share, randomLcg(0.13 + i / 10))) }))
let squares: ReturnType<typeof made> | undefined
/** Made once, when they are first shown. */
const knownCovers = () => (squares ??= made())

function Square({ share, path }: { share: number; path: string }) {
  return (
    <svg
      viewBox={`0 0 ${SIDE} ${SIDE}`}
      role="img"
      aria-label={say('{{share}} covered', { share: wholePercent(share) })}
      className="block w-full border-2 border-ink bg-sheet"
      shapeRendering="crispEdges"
    >
      <path d={path} className="fill-culm" />
    </svg>
  )
}

/** What was said and what was counted, as squares covered so far. */
export function SaidAndCounted({ said, counted }: { said: number; counted: number }) {
  return (
    <dl className="mt-3 grid max-w-md grid-cols-2 gap-4">
      {[
        { name: say('As you said'), share: said },
        { name: say('As it was counted'), share: counted },
      ].map(({ name, share }) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd className="mt-1 text-center font-bold">
            <Square share={share} path={pathOf(coverPattern(SIDE, share, randomLcg(0.4)))} />
            {wholePercent(share)}
          </dd>
        </div>
      ))}
    </dl>
  )
}

/** Squares of which a known share is covered, to hold a frame against. */
export function CoverScale() {
  return (
    <>
      <h3 className="mt-5 text-lg">{say('To compare with')}</h3>
      <ul className="mt-2 grid max-w-md grid-cols-3 gap-3">
        {knownCovers().map(({ share, path }) => (
          <li key={share} className="text-center">
            <Square share={share} path={path} />
            <b>{wholePercent(share)}</b>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-ink-soft">{say('Each is covered to the cell, in patches as plants make them.')}</p>
    </>
  )
}
