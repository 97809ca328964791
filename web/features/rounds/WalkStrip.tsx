import { skipWords } from '@/text/skipWords.ts'
import { skipReasons } from '@/core/records/round.ts'
import { bearing } from '@turf/bearing'
import { useEffect, useRef, useState } from 'react'
import type { PaddockPart, Stop } from '@/core/records/round.ts'
import { partAt } from '@/core/survey/layRoute.ts'
import { metresBetween, type Position } from '@/core/geo/route.ts'
import { browserPosition, simulatedPosition, type Fix, type PositionSource } from '../../instruments/position.ts'
import type { CountAction } from './countState.ts'
import { wayWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

interface Props {
  stop: Stop
  before: Stop | undefined
  /** Parts of the paddock: a stop that is moved or added lies in one of them. */
  parts: PaddockPart[]
  onAct: (action: CountAction) => void
  /** Told where one stands, each time it is known anew. */
  onFix: (at: Position) => void
}

const winds = () => [
  say('north'),
  say('north-east'),
  say('east'),
  say('south-east'),
  say('south'),
  say('south-west'),
  say('west'),
  say('north-west'),
]
const windOf = (degrees: number) => winds()[Math.round(((degrees + 360) % 360) / 45) % 8]!
const button = 'min-h-11 rounded-xl border border-rule px-3'

/** Follows a position source; the target may change while it walks. */
function useFix(
  kind: 'off' | 'device' | 'simulated',
  target: Position | null,
): { fix: Fix | undefined; problem: string } {
  const [fix, setFix] = useState<Fix>()
  const [problem, setProblem] = useState('')
  const goal = useRef(target)
  useEffect(() => void (goal.current = target), [target])
  useEffect(() => {
    if (kind === 'off') return
    const start = goal.current
    const source: PositionSource | undefined =
      kind === 'device'
        ? browserPosition
        : start
          ? simulatedPosition([start[0] - 0.0006, start[1] - 0.0004], () => goal.current)
          : undefined
    return source?.watch((f) => {
      setFix(f)
      setProblem('')
    }, setProblem)
  }, [kind])
  return kind === 'off' ? { fix: undefined, problem: '' } : { fix, problem }
}

/** The way to the stop: distance and bearing, and what to do when it cannot be counted where it was drawn. */
export function WalkStrip({ stop, before, parts, onAct, onFix }: Props) {
  const [kind, setKind] = useState<'off' | 'device' | 'simulated'>('off')
  const [skipping, setSkipping] = useState(false)
  const { fix, problem } = useFix(kind, stop.position)
  useEffect(() => {
    if (fix) onFix(fix.position)
  }, [fix, onFix])
  const from = fix?.position ?? before?.position ?? null
  const metres = from && stop.position ? Math.round(metresBetween(from, stop.position)) : undefined
  const degrees = from && stop.position ? (bearing(from, stop.position) + 360) % 360 : undefined
  const skip = (reason: string | null) => {
    setSkipping(false)
    onAct({ kind: 'skip', reason })
  }
  return (
    <details className="mt-2 border-t border-rule/70 pt-1">
      <summary className="min-h-11 content-center">
        <b>{say('The way')}</b>
        {metres !== undefined && degrees !== undefined ? (
          <span className="ml-2" data-testid="way">
            {say('{{wayWords}} {{windOf}} ({{degrees}}°) from {{what}}', {
              wayWords: wayWords(metres),
              windOf: windOf(degrees),
              degrees: Math.round(degrees),
              what: fix ? say('where you stand') : say('stop {{seq}}', { seq: before!.seq }),
            })}
          </span>
        ) : null}
        {stop.skipped !== null ? (
          <span className="ml-2 font-semibold">
            {say('skipped: {{skipped}}', { skipped: skipWords(stop.skipped) })}
          </span>
        ) : null}
      </summary>
      <div className="grid gap-2 pb-2">
        {degrees !== undefined ? (
          <svg
            viewBox="-50 -50 100 100"
            className="size-24"
            role="img"
            aria-label={say('Go {{windOf}}', { windOf: windOf(degrees) })}
          >
            <circle r="46" className="fill-sheet stroke-rule" strokeWidth="2" />
            <text y="-33" textAnchor="middle" className="fill-ink-soft text-[13px]">
              {say('N')}
            </text>
            <path d="M0 -30L11 20L0 12L-11 20Z" className="fill-culm" transform={`rotate(${degrees})`} />
          </svg>
        ) : null}
        <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label={say('Position from')}>
          <span className="text-ink-soft">{say('Position from')}</span>
          {(
            [
              ['off', say('the map alone')],
              ['device', say('this device')],
              ['simulated', say('simulated GPS')],
            ] as const
          ).map(([k, words]) => (
            <button
              key={k}
              type="button"
              aria-pressed={kind === k}
              onClick={() => setKind(k)}
              className={`${button} aria-pressed:border-culm aria-pressed:bg-culm/15`}
            >
              {words}
            </button>
          ))}
          {fix ? (
            <span className="text-ink-soft">
              {say('within {{wayWords}}{{what}}', {
                wayWords: wayWords(fix.accuracyM),
                what: kind === 'simulated' ? say(', simulated') : '',
              })}
            </span>
          ) : null}
        </div>
        {problem ? <p role="alert">{problem}</p> : null}
        <div className="flex flex-wrap gap-1.5">
          {fix ? (
            <button
              type="button"
              className={button}
              onClick={() => onAct({ kind: 'move', position: fix.position, stratum: partAt(fix.position, parts) })}
            >
              {say('Count it here instead')}
            </button>
          ) : null}
          {stop.skipped === null ? (
            <button type="button" className={button} aria-expanded={skipping} onClick={() => setSkipping((s) => !s)}>
              {say('Skip this stop')}
            </button>
          ) : (
            <button type="button" className={button} onClick={() => skip(null)}>
              {say('Count it after all')}
            </button>
          )}
          <button
            type="button"
            className={button}
            onClick={() =>
              onAct({
                kind: 'add',
                id: crypto.randomUUID(),
                position: fix?.position ?? null,
                stratum: fix ? partAt(fix.position, parts) : '',
              })
            }
          >
            {say('Add a stop {{what}}', { what: fix ? say('here') : say('at the end') })}
          </button>
        </div>
        {skipping ? (
          <div role="group" aria-label={say('Why it is skipped')} className="flex flex-wrap gap-1.5">
            {skipReasons.map((r) => (
              <button key={r} type="button" className={button} onClick={() => skip(r)}>
                {skipWords(r)}
              </button>
            ))}
          </div>
        ) : null}
      </div>
    </details>
  )
}
