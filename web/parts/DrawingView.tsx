import { memo } from 'react'
import type { Drawing } from '@/core/drawing/mark.ts'

interface Props {
  drawing: Drawing
  /** What a screen reader says; left out where the words stand beside the drawing. */
  label?: string
  className?: string
}

/** A drawing of the core, on the page. */
export const DrawingView = memo(function DrawingView({ drawing, label, className }: Props) {
  return (
    <svg
      viewBox="0 0 100 100"
      className={className}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {drawing.map((mark, i) => (
        <path key={i} d={mark.d} className={`ink-${mark.ink}`} />
      ))}
    </svg>
  )
})
