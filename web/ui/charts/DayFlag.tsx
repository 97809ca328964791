import { addDays } from 'date-fns/addDays'
import { addMonths } from 'date-fns/addMonths'
import { parseISO } from 'date-fns/parseISO'
import type { ScaleTime } from 'd3-scale'
import { useState, type KeyboardEvent, type PointerEvent } from 'react'
import { dayWords, isoDay } from '../../language/dates.ts'

/** A day on which something is due. */
export interface Flag {
  id: string
  /** ISO. */
  day: string
  says: string
  /** Drawn hollow: nothing is to do then but to look. */
  hollow?: boolean
  /** Earliest day it can be moved to, ISO. */
  earliest?: string
  /** It can be moved: by dragging it, or by arrows (a day) and page keys (a month). */
  onMove?: (day: string) => void
}

interface Props {
  flag: Flag
  y: number
  height: number
  x: ScaleTime<number, number>
}

const DAY_MS = 86_400_000
const dayNumber = (iso: string) => Math.round(parseISO(iso).getTime() / DAY_MS)

const steps: Record<string, (day: Date) => Date> = {
  ArrowLeft: (d) => addDays(d, -1),
  ArrowDown: (d) => addDays(d, -1),
  ArrowRight: (d) => addDays(d, 1),
  ArrowUp: (d) => addDays(d, 1),
  PageDown: (d) => addMonths(d, -1),
  PageUp: (d) => addMonths(d, 1),
}

/** A flag on the strip of the year. What is moved counts when it is let go of, or by Enter or leaving it; Escape puts it back. */
export function DayFlag({ flag, y, height, x }: Props) {
  const { day, says, hollow, earliest, onMove } = flag
  const [held, setHeld] = useState<string>()
  const [dragged, setDragged] = useState(false)
  const shown = held ?? day
  const no = (iso: string) => (earliest !== undefined && iso < earliest ? earliest : iso)
  const settle = () => {
    setDragged(false)
    setHeld(undefined)
    if (held !== undefined && held !== day) onMove?.(held)
  }
  const drag = (e: PointerEvent<SVGGElement>) => {
    if (!dragged) return
    const svg = e.currentTarget.ownerSVGElement!
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse())
    setHeld(no(isoDay(x.invert(at.x))))
  }
  const press = (e: KeyboardEvent) => {
    const step = steps[e.key]
    if (step) setHeld(no(isoDay(step(parseISO(shown)))))
    else if (e.key === 'Enter') settle()
    else if (e.key === 'Escape' && held !== undefined) setHeld(undefined)
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const at = x(parseISO(shown))
  const middle = y + height / 2
  const [from, to] = x.domain() as [Date, Date]
  const words = `${says}, ${dayWords(shown)}`
  const mark = (
    <path
      d={`M${at} ${middle - 13}l9 -1v10l-9 1v17`}
      className={`stroke-ink ${held !== undefined ? 'fill-culm' : hollow ? 'fill-sheet' : 'fill-straw'}`}
      strokeWidth="1.6"
    />
  )
  if (!onMove)
    return (
      <g>
        <title>{words}</title>
        {mark}
      </g>
    )
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={says}
      aria-valuemin={Math.min(dayNumber(isoDay(from)), dayNumber(day))}
      aria-valuemax={Math.max(dayNumber(isoDay(to)), dayNumber(day))}
      aria-valuenow={dayNumber(shown)}
      aria-valuetext={dayWords(shown)}
      className="day-flag cursor-ew-resize touch-none outline-none"
      onKeyDown={press}
      onBlur={settle}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        setDragged(true)
      }}
      onPointerMove={drag}
      onPointerUp={settle}
      onPointerCancel={() => {
        setDragged(false)
        setHeld(undefined)
      }}
    >
      <title>{words}</title>
      <rect x={at - 18} y={y} width={44} height={height} rx={8} className="fill-transparent" />
      {mark}
      {held === undefined ? null : (
        <text
          x={at}
          y={y - 4}
          textAnchor={at > x.range()[1]! - 80 ? 'end' : 'start'}
          paintOrder="stroke"
          className="fill-ink stroke-sheet text-[15px] font-bold"
          strokeWidth="5"
        >
          {dayWords(held)}
        </text>
      )}
    </g>
  )
}
