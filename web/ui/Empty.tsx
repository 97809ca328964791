import type { ReactNode } from 'react'
import { Link } from 'react-router'

interface Props {
  children: ReactNode
  /** What would fill it. */
  to?: string
  act?: string
}

/** A half in which there is nothing yet: a sprig still dotted, what will stand here, and the way to it. */
export function Empty({ children, to, act }: Props) {
  return (
    <div className="mt-6 flex flex-col items-center gap-4 text-center">
      <svg viewBox="0 0 32 34" className="h-56 w-52 text-culm/70" aria-hidden fill="none" stroke="currentColor">
        <g strokeWidth="0.5" strokeDasharray="0.9 1" strokeLinecap="round">
          <path d="M16 33C15 23 15 15 16 4" />
          <path d="M16 20C7 20 3 14 3 6c8 0 13 5 13 14Z" />
          <path d="M16 20c9 0 13-6 13-14-8 0-13 5-13 14Z" />
          <path d="M16 28c-5 0-8-3-8-7 5 0 8 2 8 7Z" />
          <path d="M6 9c3 2 7 6 10 11M26 9c-3 2-7 6-10 11" />
        </g>
        <path d="M8 33H24" strokeWidth="0.6" />
      </svg>
      <div className="max-w-md text-lg">{children}</div>
      {to && act ? (
        <Link
          to={to}
          className="flex min-h-12 items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm hover:bg-culm/8"
        >
          {act}
        </Link>
      ) : null}
    </div>
  )
}
