import { useEffect, useRef, useState } from 'react'
import type { Position } from '@/core/geo/route.ts'
import { localPlane, type Metres } from '@/core/geo/localPlane.ts'
import { TRACE_TOLERANCE_M, tracedCorners, type WalkedFix } from '@/core/geo/traced.ts'
import { browserPosition, simulatedPosition, type PositionSource } from '../../instruments/position.ts'
import { lengthWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

interface Props {
  /** Where the made walker starts, where no device tells. */
  origin: Position
  onCorners: (corners: Position[]) => void
}

const button = 'min-h-12 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15'
/** The made walker's round, metres. */
const MADE: Metres[] = [[0, 0], [90, 6], [104, 70], [40, 92], [-8, 48]] // prettier-ignore

function madeWalk(origin: Position): PositionSource {
  const plane = localPlane(origin)
  let next = 1
  let steps = 0
  const goal = () => {
    // A side takes the walker some sixteen steps.
    if (++steps % 16 === 0) next = (next + 1) % MADE.length
    return plane.toPosition(MADE[next]!)
  }
  return simulatedPosition(origin, goal)
}

/** The boundary as it is walked: the line follows the position, a corner is set by a touch, and what lies straight is cleaned up. */
export function WalkBoundary({ origin, onCorners }: Props) {
  const [kind, setKind] = useState<'off' | 'device' | 'simulated'>('off')
  const [fixes, setFixes] = useState<WalkedFix[]>([])
  const [touched, setTouched] = useState<Position[]>([])
  const [problem, setProblem] = useState('')
  const start = useRef(origin)
  useEffect(() => {
    if (kind === 'off') return
    const source = kind === 'device' ? browserPosition : madeWalk(start.current)
    return source.watch((fix) => {
      setFixes((f) => [...f, fix])
      setProblem('')
    }, setProblem)
  }, [kind])
  const end = () => {
    setKind('off')
    onCorners(touched.length >= 3 ? touched : tracedCorners(fixes))
  }
  const begin = (k: 'device' | 'simulated') => {
    setFixes([])
    setTouched([])
    setKind(k)
  }
  return (
    <div className="mt-2" role="group" aria-label={say('Walk round it')}>
      {kind === 'off' ? (
        <p className="flex flex-wrap items-center gap-2">
          <span className="text-ink-soft">{say('Walk round it with')}</span>
          <button type="button" className={button} onClick={() => begin('device')}>
            {say('this device')}
          </button>
          <button type="button" className={button} onClick={() => begin('simulated')}>
            {say('simulated GPS')}
          </button>
        </p>
      ) : (
        <p className="flex flex-wrap items-center gap-2">
          <button
            type="button"
            className={button}
            disabled={fixes.length === 0}
            onClick={() => setTouched((t) => [...t, fixes.at(-1)!.position])}
          >
            {say('A corner here')}
          </button>
          <button type="button" className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm" onClick={end}>
            {say('Round: take the line')}
          </button>
          <span role="status">
            {say('{{n}} places, {{corners}} corners touched{{what}}', {
              n: fixes.length,
              corners: touched.length,
              what: kind === 'simulated' ? say(', simulated') : '',
            })}
          </span>
        </p>
      )}
      <p className="text-sm text-ink-soft">
        {problem ||
          say(
            'Touch three corners or more, or none: then the walked line is taken, straight where it keeps within {{tolerance}}.',
            {
              tolerance: lengthWords(TRACE_TOLERANCE_M),
            },
          )}
      </p>
    </div>
  )
}
