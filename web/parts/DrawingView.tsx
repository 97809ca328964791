import { memo } from 'react'
import type { Drawing } from '@/core/drawing/mark.ts'

interface Props {
  drawing: Drawing
  /** What a screen reader says; left out where the words stand beside the drawing. */
  label?: string
  className?: string
  /** One of many, of a size that `className` gives: below the edge of the screen it is not laid out before it is scrolled to. */
  whenSeen?: boolean
}

/** A drawing of the core, on the page. */
export const DrawingView = memo(function DrawingView({ drawing, label, className, whenSeen }: Props) {
  const drawn = (
    <svg
      viewBox="0 0 100 100"
      className={whenSeen ? 'size-full' : className}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {drawing.map((mark, i) => (
        <path key={i} d={mark.d} className={`ink-${mark.ink}`} />
      ))}
    </svg>
  )
  return whenSeen ? <span className={`block [content-visibility:auto] ${className ?? ''}`}>{drawn}</span> : drawn
})
