import { insetWords } from '@/text/insetWords.ts'
import { memo, useId, type KeyboardEvent } from 'react'
import { merged, type Drawing } from '@/core/drawing/mark.ts'
import { dotted, known, type Inset, type Piece, type Portrait, type Traits } from '@/core/drawing/portrait/portrait.ts'
import { say } from '../language/say.ts'

interface Props {
  portrait: Portrait
  /** What a screen reader says; left out where the words stand beside the drawing. */
  label?: string
  className?: string
  /** The close looks in circles; off for a small picture. */
  insets?: boolean
  /** The close looks without the plant. */
  only?: 'insets'
  /** Where given, parts of which nothing is known are dotted. */
  traits?: Traits
  /** Makes the parts of the plant touchable. */
  onPart?: (piece: Piece) => void
}

const Marks = memo(({ marks }: { marks: Drawing }) =>
  merged(marks).map((m, i) => <path key={i} d={m.d} className={`ink-${m.ink}`} />),
)

const pressed = (act: () => void) => (e: KeyboardEvent) => {
  if (e.key !== 'Enter' && e.key !== ' ') return
  e.preventDefault()
  act()
}

function CloseLook({ inset, index, clip }: { inset: Inset; index: number; clip: string }) {
  return (
    <g transform={`translate(103 ${1 + index * 39.5})`} className="close-look">
      <clipPath id={clip}>
        <circle cx="17" cy="16" r="15.4" />
      </clipPath>
      <circle cx="17" cy="16" r="15.8" className="fill-sheet stroke-ink" strokeWidth="0.5" />
      <g clipPath={`url(#${clip})`}>
        <g transform="translate(5 4) scale(0.24)">
          <Marks marks={inset.marks} />
        </g>
      </g>
      <text x="17" y="36.6" textAnchor="middle" className="fill-ink text-[4.6px]">
        {inset.bar ? `${insetWords(inset.title)}, ${inset.bar.says}` : insetWords(inset.title)}
      </text>
      {inset.bar ? (
        <path
          d={`M${17 - inset.bar.units * 0.12} 28.6h${inset.bar.units * 0.24}`}
          className="stroke-ink"
          strokeWidth="0.9"
        />
      ) : null}
    </g>
  )
}

/** A whole plant of the core, on the page. */
export function PortraitView({ portrait, label, className, insets = true, only, traits, onPart }: Props) {
  const id = useId()
  const touchable = onPart !== undefined
  return (
    <svg
      viewBox={only ? '101 -3 38 123' : insets ? '-7 -3 146 123' : '-7 -3 112 123'}
      className={`portrait ${className ?? ''}`}
      {...(touchable
        ? { role: 'group', 'aria-label': label }
        : label
          ? { role: 'img', 'aria-label': label }
          : { 'aria-hidden': true })}
    >
      {(only ? [] : portrait.pieces).map((piece, i) => {
        const marks = traits && !known(piece, traits) ? dotted(piece.marks) : piece.marks
        // A part drawn in many pieces is one stop of the tab key.
        const before = portrait.pieces.slice(0, i).filter((p) => p.part === piece.part).length
        const first = before === 0
        const act = () => onPart?.(piece)
        return (
          <g
            // The same part stays the same node while the plant grows, so that it keeps the focus.
            key={`${piece.part} ${before}`}
            transform={piece.transform}
            {...(touchable
              ? {
                  className: 'plant-part',
                  onClick: act,
                  ...(first
                    ? {
                        role: 'button',
                        tabIndex: 0,
                        'aria-label': say('Look at the {{part}}', { part: piece.part }),
                        onKeyDown: pressed(act),
                      }
                    : {}),
                }
              : {})}
          >
            <Marks marks={marks} />
          </g>
        )
      })}
      {portrait.bar ? (
        <g>
          <path d={`M3 115v-1.6h${portrait.bar.units}v1.6`} className="fill-none stroke-ink" strokeWidth="0.7" />
          <text
            x={4 + portrait.bar.units}
            y="116"
            className="fill-ink stroke-sheet stroke-2 text-[4.6px] [paint-order:stroke]"
          >
            {portrait.bar.says}
          </text>
        </g>
      ) : null}
      {insets
        ? portrait.insets.map((inset, i) => <CloseLook key={i} inset={inset} index={i} clip={`${id}-${i}`} />)
        : null}
    </svg>
  )
}
