import type { ReactNode } from 'react'
import { drawState } from '@/core/drawing/drawState.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import type { Term } from '../../parts/term.ts'

const at = (x: number, y: number, filled = true) => (
  <circle key={`${x} ${y}`} cx={x} cy={y} r="5" className={filled ? 'fill-culm' : 'fill-none stroke-culm'} />
)
const bar = (x: number, height: number, key: string) => (
  <rect key={key} x={x} y={84 - height} width="18" height={height} className="fill-culm" />
)
const square = <rect x="14" y="14" width="72" height="72" className="fill-none stroke-ink" strokeWidth="2" />
const whisker = (y: number, from: number, to: number) => (
  <path key={y} d={`M${from} ${y}H${to}`} className="stroke-culm" strokeWidth="4" strokeLinecap="round" />
)
const grid = [38, 62].flatMap((t) => [
  <path key={`v${t}`} d={`M${t} 14V86`} className="stroke-ink" />,
  <path key={`h${t}`} d={`M14 ${t}H86`} className="stroke-ink" />,
])

/** Words of counting, each as a sketch in a box of 100 by 100. */
const sketches: Record<string, ReactNode> = {
  cover: (
    <>
      {square}
      <path d="M22 40Q36 18 52 34T78 60Q62 76 44 66T22 40Z" className="fill-culm" />
    </>
  ),
  frequency: (
    <>
      {square}
      {grid}
      {[at(26, 26), at(74, 26), at(50, 50), at(26, 74), at(44, 44), at(56, 56)]}
    </>
  ),
  'first-hit': (
    <>
      <path d="M50 8V52" className="stroke-ink" strokeWidth="2" />
      <path d="M50 52l-4 -9h8z" className="fill-ink" />
      <path d="M20 88Q40 60 50 53Q66 62 82 84" className="fill-none stroke-culm" strokeWidth="4" />
      <path d="M10 90H90" className="stroke-ink" />
    </>
  ),
  'dry-weight-rank': <>{[bar(14, 66, 'a'), bar(41, 34, 'b'), bar(68, 16, 'c')]}</>,
  interval: (
    <>
      <path d="M50 10V90" className="stroke-ink" strokeDasharray="3 4" />
      {[whisker(24, 30, 66), whisker(42, 38, 80), whisker(60, 22, 58), whisker(78, 58, 90)]}
    </>
  ),
  'design-effect': (
    <>{[at(24, 26), at(34, 22), at(30, 36), at(72, 34), at(80, 42), at(68, 44), at(44, 76), at(54, 80), at(50, 68)]}</>
  ),
  stratum: (
    <>
      <path d="M12 30L70 14L88 62L60 88L18 76Z" className="fill-none stroke-ink" strokeWidth="2" />
      <path d="M50 60Q62 46 78 56L70 76L54 80Z" className="fill-culm" />
    </>
  ),
  'double-sampling': (
    <>
      <path d="M16 84L84 20" className="stroke-culm" strokeWidth="3" />
      {[at(24, 72), at(44, 60), at(66, 34), at(78, 30)]}
      {[at(32, 78, false), at(54, 44, false), at(58, 56, false), at(36, 60, false), at(72, 42, false)]}
    </>
  ),
  'none-found': <>{[20, 40, 60, 80].flatMap((x) => [24, 50, 76].map((y) => at(x, y, false)))}</>,
  residual: (
    <>
      <path d="M10 88H90M10 58H90" className="stroke-ink" strokeDasharray="none" />
      {[20, 34, 48, 62, 76].map((x) => (
        <path key={x} d={`M${x} 88V58`} className="stroke-culm" strokeWidth="5" />
      ))}
      {[20, 34, 48, 62, 76].map((x) => (
        <path
          key={`c${x}`}
          d={`M${x} 54V${22 + (x % 9)}`}
          className="stroke-culm"
          strokeWidth="3"
          strokeDasharray="3 4"
        />
      ))}
    </>
  ),
  pls: (
    <>
      {[24, 50, 76].map((x) => at(x, 30))}
      {[24, 50].map((x) => at(x, 56))}
      {[at(76, 56, false), at(24, 80, false)]}
      <path d="M46 76l10 10M56 76l-10 10M72 76l10 10M82 76l-10 10" className="stroke-ink" strokeWidth="2" />
    </>
  ),
  kappa: (
    <>
      {square}
      <path d="M50 14V86M14 50H86" className="stroke-ink" />
      {[at(26, 26), at(38, 34), at(28, 40), at(62, 62), at(74, 72), at(66, 76), at(74, 30, false), at(30, 70, false)]}
    </>
  ),
  brier: (
    <>
      <path d="M14 86L86 14" className="stroke-ink" strokeDasharray="3 4" />
      <path d="M14 86V14M14 86H86" className="stroke-ink" />
      {[at(30, 66), at(50, 58), at(70, 44)]}
    </>
  ),
}

export const isDrawn = (term: Term): boolean => term.drawn !== undefined || term.id in sketches

interface Props {
  term: Term
  className?: string
  /** Its word stands beside it. */
  silent?: boolean
}

/** What a word means, drawn: a part of a plant from the book, or a sketch. Words of the laboratory have none. */
export function TermSketch({ term, className = 'size-16 shrink-0', silent = false }: Props) {
  const part = term.drawn && drawState(...term.drawn)
  if (part) return <DrawingView drawing={part} {...(silent ? {} : { label: term.term })} className={className} />
  const sketch = sketches[term.id]
  return sketch ? (
    <svg
      viewBox="0 0 100 100"
      {...(silent ? { 'aria-hidden': true } : { role: 'img', 'aria-label': term.term })}
      className={className}
    >
      {sketch}
    </svg>
  ) : null
}
