import {
  createContext,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react'
import { ChapterStrip, StepRail, type RailChapter, type RailStep, type NextStep } from './StepRail.tsx'

interface Props {
  left: ReactNode
  right: ReactNode
  nodes: RailStep[]
  /** Chapters of a long screen; both halves turn with them. */
  chapters?: RailChapter[]
  tip: NextStep | undefined
  /** What each half is called on a phone, where they fold over each other. */
  names: { left: string; right: string }
  /** The left half works on what stands in the right one, so both come at once. */
  whole?: boolean
  /** The front of a place whose rest is still on its way. */
  busy?: boolean
  /** The half that lies on top on a phone when the screen opens. */
  first?: Fold
}

export type Fold = 'left' | 'right'
const NONE: RailChapter[] = []

/** Which half lies on top, where that outlasts one leaf: what was turned to on the front of a place stays turned to. */
export const PaneOfPlace = createContext<[Fold, (fold: Fold) => void] | undefined>(undefined)

/** On a phone the first screen of a visit comes before the half that is folded away; later ones come whole. */
let first = true

function useFollows(whole: boolean, busy: boolean): boolean {
  const [follows, setFollows] = useState(() => whole || busy || !first || !matchMedia('(max-width: 900px)').matches)
  useEffect(() => {
    // A front is not the first screen yet.
    if (busy) return
    first = false
    // After the picture, not in it.
    const frame = requestAnimationFrame(() => setTimeout(() => startTransition(() => setFollows(true))))
    return () => cancelAnimationFrame(frame)
  }, [busy])
  return follows
}

/** Where one half lies over the other: the one a place opens with is found again where it was left, the other read from its top. */
function useTurning([fold, setFold]: [Fold, (fold: Fold) => void], opens: Fold): (to: Fold) => void {
  const left = useRef(0)
  const lain = useRef(fold)
  useLayoutEffect(() => {
    if (lain.current === fold) return
    lain.current = fold
    if (matchMedia('(max-width: 699px)').matches) window.scrollTo(0, fold === opens ? left.current : 0)
  }, [fold, opens])
  return useCallback(
    (to) => {
      if (to !== opens) left.current = window.scrollY
      setFold(to)
    },
    [opens, setFold],
  )
}

/** A working screen: what was seen, the rail of steps, what follows. On a phone one half lies over the other. */
export function TwoPane(props: Props) {
  const { left, right, nodes, chapters = NONE, tip, names, whole = false, busy = false, first: opens = 'left' } = props
  const own = useState<Fold>(opens)
  const pane = useContext(PaneOfPlace) ?? own
  const [fold] = pane
  const turn = useTurning(pane, opens)
  const follows = useFollows(whole, busy)
  return (
    <main className="leaf" data-fold={fold} aria-busy={busy || undefined}>
      {chapters.length > 0 ? <ChapterStrip chapters={chapters} /> : null}
      <section className="leaf-left" aria-label={names.left}>
        {follows || opens === 'left' ? left : null}
      </section>
      <StepRail nodes={nodes} chapters={chapters} tip={tip} names={names} fold={fold} onFold={turn} />
      <section className="leaf-right" aria-label={names.right}>
        {follows || opens === 'right' ? right : null}
      </section>
    </main>
  )
}
