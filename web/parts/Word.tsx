import type { ReactNode } from 'react'
import { Link } from 'react-router'

/** A word of the trade where it stands, linked to what it means. */
export function Word({ id, children }: { id: string; children?: ReactNode }) {
  return (
    <Link to={`/glossary#${id}`} className="decoration-dotted underline underline-offset-4">
      {children}
    </Link>
  )
}
