import type { Read } from '@/core/describe/description.ts'

interface Props {
  text: string
  read: readonly Read[]
  unread: readonly (readonly [number, number])[]
}

interface Piece {
  text: string
  as: 'read' | 'unread' | 'plain'
}

function piecesOf({ text, read, unread }: Props): Piece[] {
  const marks = [
    ...read.map((r) => ({ from: r.span[0], to: r.span[1], as: 'read' as const })),
    ...unread.map(([from, to]) => ({ from, to, as: 'unread' as const })),
  ].sort((a, b) => a.from - b.from)
  const pieces: Piece[] = []
  let at = 0
  for (const m of marks) {
    if (m.from < at) continue
    pieces.push({ text: text.slice(at, m.from), as: 'plain' }, { text: text.slice(m.from, m.to), as: m.as })
    at = m.to
  }
  return [...pieces, { text: text.slice(at), as: 'plain' }]
}

/** The text again, what was understood underlined, what was not faint. */
export function SaidEcho(props: Props) {
  return (
    <p className="mt-2 text-lg" data-testid="said">
      {piecesOf(props).map((p, i) =>
        p.as === 'read' ? (
          <u key={i} className="decoration-culm decoration-2 underline-offset-4">
            {p.text}
          </u>
        ) : (
          <span key={i} className={p.as === 'unread' ? 'text-ink-soft italic' : ''}>
            {p.text}
          </span>
        ),
      )}
    </p>
  )
}
