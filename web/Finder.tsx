import { lazy, Suspense, useEffect, useState } from 'react'
import { PanelBoundary } from './ui/PanelBoundary.tsx'
import { useFlora } from './stores/floraStore.ts'
import { say } from './language/say.ts'

// Its script comes when it is asked for.
const FindAnything = lazy(() =>
  Promise.all([import('./features/find/FindAnything.tsx'), useFlora.getState().load()]).then(([m]) => ({
    default: m.FindAnything,
  })),
)

/** The way to find anything: a button in the head, and Ctrl K. */
export function Finder() {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'k') return
      e.preventDefault()
      setOpen((now) => !now)
    }
    // Who goes back by the browser leaves it too.
    const leave = () => setOpen(false)
    window.addEventListener('keydown', onKey)
    window.addEventListener('popstate', leave)
    return () => {
      window.removeEventListener('keydown', onKey)
      window.removeEventListener('popstate', leave)
    }
  }, [])
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        aria-label={say('Find anything')}
        className="grid min-h-11 min-w-11 place-items-center rounded-lg border border-rule px-1.5 min-[901px]:flex min-[901px]:gap-3 min-[901px]:px-3"
      >
        <svg viewBox="0 0 24 24" className="size-5" fill="none" stroke="currentColor" strokeWidth="2.2" aria-hidden>
          <circle cx="10.5" cy="10.5" r="6.5" />
          <path d="M15.5 15.5L21 21" strokeLinecap="round" />
        </svg>
        <kbd className="hidden font-sans text-sm text-ink-soft min-[901px]:inline">{'Ctrl K'}</kbd>
      </button>
      {open ? (
        <PanelBoundary name={say('Find anything')}>
          <Suspense fallback={null}>
            <FindAnything onClose={() => setOpen(false)} />
          </Suspense>
        </PanelBoundary>
      ) : null}
    </>
  )
}
