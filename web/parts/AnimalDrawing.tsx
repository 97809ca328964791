import type { ReactNode } from 'react'

type Kind = 'cattle' | 'sheep' | 'goats' | 'horses'

/** Side views in a box of 64 by 48, ink with one tint: what tells the four apart is head, back line and legs. */
const drawings: Record<Kind, ReactNode> = {
  cattle: (
    <>
      <path d="M8 14 C16 11 34 12 42 13 L46 10 L54 11 L60 16 L58 20 L51 21 L47 26 L45 30 L45 42 L41 42 L40 31 L22 31 L20 42 L16 42 L16 32 C13 30 11 24 10 20 L8 34 L6 34 L7 17 Z" />
      <path d="M46 10 C44 6 46 4 48 5 M53 11 C55 7 57 6 58 7" fill="none" />
      <path d="M24 31 C25 35 31 35 32 31" />
      <circle cx="53.5" cy="14.5" r="0.9" fill="currentColor" stroke="none" />
    </>
  ),
  sheep: (
    <>
      <path d="M12 18 C10 14 15 11 18 13 C20 9 26 9 28 12 C31 8 37 9 38 13 C42 11 46 14 44 18 C47 21 46 27 42 28 C41 32 35 33 32 31 C29 34 23 34 21 31 C16 33 11 30 12 26 C8 25 9 19 12 18 Z" />
      <path d="M44 14 L50 12 L56 16 L56 20 L51 22 L45 20 Z M45 14 L41 16 L44 18" />
      <path d="M17 32 L17 42 L20 42 L20 32 M24 33 L24 42 M36 32 L36 42 L39 42 L39 31" fill="none" />
      <circle cx="51" cy="16" r="0.9" fill="currentColor" stroke="none" />
    </>
  ),
  goats: (
    <>
      <path d="M9 15 L14 16 C24 13 34 14 41 16 L45 9 L51 9 L57 14 L56 17 L50 18 L47 24 L44 30 L44 42 L41 42 L40 31 L22 30 L20 42 L17 42 L16 30 C13 28 12 22 13 19 L8 12 Z" />
      <path d="M46 9 C43 5 40 3 37 4 M49 9 C47 4 44 2 42 2" fill="none" />
      <path d="M53 18 L52 24 L50 18" />
      <path d="M24 30 C25 33 29 33 30 30" />
      <circle cx="51.5" cy="12.5" r="0.9" fill="currentColor" stroke="none" />
    </>
  ),
  horses: (
    <>
      <path d="M9 17 C16 13 28 14 36 15 C40 12 43 7 46 4 L49 2 L50 5 C54 8 58 12 59 15 L56 18 L51 15 C49 18 47 21 46 24 L45 29 L46 43 L43 43 L41 31 C34 31 27 30 22 29 L20 43 L17 43 L16 29 C12 27 10 22 10 19 Z" />
      <path d="M9 17 C5 19 4 26 5 35 C8 30 8 24 10 20" />
      <path d="M46 4 C41 7 38 11 36 15 C41 14 44 10 47 7" />
      <circle cx="52" cy="9.5" r="0.9" fill="currentColor" stroke="none" />
    </>
  ),
}

/** A kind of stock, drawn; its name stands beside it. */
export const AnimalDrawing = ({ kind, className }: { kind: Kind; className?: string }) => (
  <svg
    viewBox="0 0 64 48"
    aria-hidden
    className={className}
    fill="var(--color-husk, #eef0e6)"
    stroke="currentColor"
    strokeWidth="1.4"
    strokeLinejoin="round"
    strokeLinecap="round"
  >
    {drawings[kind]}
  </svg>
)
