import { useEffect, useRef } from 'react'
import { NavLink, Outlet, ScrollRestoration, useLocation, useMatches, useNavigation } from 'react-router'
import { screenChanged } from './letters.ts'
import type { Titled } from './titled.ts'
import { useOutbox } from './stores/outboxStore.ts'
import { ToastsLater } from './ui/toast/ToastsLater.tsx'
import { Finder } from './Finder.tsx'
import { Sprig } from './parts/Sprig.tsx'
import { HatchDefs } from './parts/HatchDefs.tsx'
import { modes, useMode } from './stores/modeStore.ts'
import { NewVersionNotice } from './parts/NewVersionNotice.tsx'
import { OutboxNotice, Waiting } from './parts/OutboxNotice.tsx'
import { RecordConflicts } from './parts/RecordConflicts.tsx'
import { useMe } from './stores/meStore.ts'
import { useWords } from './language/useWords.ts'
import { say } from './language/say.ts'

const places: { to: string; name: string; short?: string }[] = [
  {
    to: '/rounds',
    get name() {
      return say('Rounds')
    },
  },
  {
    to: '/bench',
    get name() {
      return say('Bench')
    },
  },
  {
    to: '/plants',
    get name() {
      return say('Plant book')
    },
    get short() {
      return say('Plants')
    },
  },
  {
    to: '/practice',
    get name() {
      return say('Practice')
    },
  },
  {
    to: '/daybook',
    get name() {
      return say('Daybook')
    },
  },
]

/** Whose device this is, where there are accounts: the way to the team and out. */
function Who() {
  const account = useMe((s) => s.account)
  if (!account) return null
  const initials = account.name
    .split(/\s+/)
    .map((w) => [...w][0])
    .slice(0, 2)
    .join('')
  return (
    <NavLink
      to="/team"
      aria-label={say('{{name}}: team', { name: account.name })}
      className="grid size-11 shrink-0 place-items-center rounded-full border-2 border-culm font-bold text-culm"
    >
      {initials}
    </NavLink>
  )
}

/** The thin line above every screen: where one is, the light, and what still waits to be sent. */
function Head() {
  const { mode, setMode } = useMode()
  const busy = useNavigation().state !== 'idle'
  return (
    <>
      <header className="no-print flex h-14 items-center gap-1 px-2 min-[901px]:h-17 min-[901px]:gap-3 min-[901px]:px-8">
        <Sprig className="hidden size-8 min-[901px]:block" />
        <span className="mr-4 hidden font-plant text-xl font-semibold min-[901px]:block">{'Fold Sprig'}</span>
        <nav aria-label={say('Places')} className="flex">
          {places.map((p) => (
            <NavLink
              key={p.to}
              to={p.to}
              className={({ isActive }) =>
                `flex min-h-11 items-center border-b-3 px-1 text-[0.88rem] min-[901px]:px-4 min-[901px]:text-base ${isActive ? 'border-culm font-bold' : 'border-transparent hover:border-rule'}`
              }
            >
              {p.short ? (
                <>
                  <span className="min-[901px]:hidden">{p.short}</span>
                  <span className="hidden min-[901px]:inline">{p.name}</span>
                </>
              ) : (
                p.name
              )}
            </NavLink>
          ))}
        </nav>
        <span className="grow" aria-live="polite">
          {busy ? <span className="pl-3 text-ink-soft">{say('Opening …')}</span> : null}
        </span>
        <Waiting />
        <Finder />
        <button
          type="button"
          className="min-h-11 rounded-lg border border-rule px-1.5 min-[901px]:px-3"
          onClick={() => setMode(modes[(modes.indexOf(mode) + 1) % modes.length]!)}
          aria-label={say('Light: {{mode}}. Change', { mode })}
        >
          {mode === 'day' ? say('Day') : mode === 'sun' ? say('Sun') : say('Dusk')}
        </button>
        <Who />
      </header>
      <NewVersionNotice />
      <OutboxNotice />
      <RecordConflicts />
    </>
  )
}

/** The title of the window, for whoever has many open or hears it read. */
function useTitle() {
  const [matches, waiting] = [useMatches(), useOutbox((o) => o.pending.length)]
  const handle = matches.map((m) => m.handle as Partial<Titled> | undefined).findLast((h) => h?.title)
  const name = handle?.title?.()
  const title = `${waiting > 0 ? `(${waiting}) ` : ''}${name ? `${name}: ` : ''}Fold Sprig`
  useEffect(() => {
    document.title = title
  }, [title])
}

/** A new screen has the focus, unless something in it took it: the next tab begins there, and it is read out. */
function useFocusOnArrival() {
  const { pathname } = useLocation()
  const content = useRef<HTMLDivElement>(null)
  const before = useRef(pathname)
  useEffect(() => {
    if (before.current === pathname) return
    before.current = pathname
    screenChanged()
    if (!content.current?.contains(document.activeElement)) content.current?.focus({ preventScroll: true })
  }, [pathname])
  return content
}

export function Shell() {
  useWords()
  useTitle()
  const content = useFocusOnArrival()
  const { pathname, search } = useLocation()
  return (
    <>
      <a
        href="#content"
        className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:m-2 focus:rounded-lg focus:bg-culm focus:px-4 focus:py-3 focus:text-on-culm"
      >
        {say('Skip to the screen')}
      </a>
      <HatchDefs />
      <Head />
      <div id="content" ref={content} data-at={pathname + search} tabIndex={-1} className="outline-none">
        <Outlet />
      </div>
      <ToastsLater />
      {/* Another screen is read from its top; going back, where it was left. */}
      <ScrollRestoration />
    </>
  )
}

/** While a first page is read: all other places can be gone to already. */
export function Opening() {
  return (
    <>
      <Head />
      <main aria-busy className="p-8 text-ink-soft">
        {say('Opening …')}
      </main>
    </>
  )
}
