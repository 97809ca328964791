import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { say } from '../language/say.ts'

interface Props {
  name: string
  back: string
  backLabel: string
  children: ReactNode
}

/** A page for paper, with a way back. */
export function PrintSheet({ name, back, backLabel, children }: Props) {
  return (
    <main className="mx-auto max-w-4xl px-4 pb-16 print:p-0">
      <p className="no-print mb-3 flex flex-wrap gap-2">
        <button
          type="button"
          onClick={() => window.print()}
          className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm"
        >
          {say('Print')}
        </button>
        <Link to={back} className="flex min-h-12 items-center rounded-xl border border-rule px-4">
          {backLabel}
        </Link>
      </p>
      <article aria-label={name} className="rounded-2xl border border-rule bg-sheet p-6 print:border-0 print:p-0">
        {children}
      </article>
    </main>
  )
}
