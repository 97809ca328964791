import { createContext, startTransition, useContext, useEffect, useState, type ReactNode } from 'react'
import { Midrib, type MidribNode, type MidribTip } from './Midrib.tsx'

interface Props {
  left: ReactNode
  right: ReactNode
  nodes: MidribNode[]
  tip: MidribTip | undefined
  /** What each half is called on a phone, where they fold over each other. */
  names: { left: string; right: string }
  /** The left half works on what stands in the right one, so both come at once. */
  whole?: boolean
  /** The front of a place whose rest is still on its way. */
  busy?: boolean
}

type Fold = 'left' | 'right'

/** Which half lies on top, where that outlasts one leaf: what was turned to on the front of a place stays turned to. */
export const FoldOfPlace = createContext<[Fold, (fold: Fold) => void] | undefined>(undefined)

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

/** A working screen: what was seen, the midrib of steps, what follows. On a phone one half lies over the other. */
export function Leaf({ left, right, nodes, tip, names, whole = false, busy = false }: Props) {
  const own = useState<Fold>('left')
  const [fold, setFold] = useContext(FoldOfPlace) ?? own
  const follows = useFollows(whole, busy)
  return (
    <main className="leaf" data-fold={fold} aria-busy={busy || undefined}>
      <section className="leaf-left" aria-label={names.left}>
        {left}
      </section>
      <Midrib nodes={nodes} tip={tip} names={names} fold={fold} onFold={setFold} />
      <section className="leaf-right" aria-label={names.right}>
        {follows ? right : null}
      </section>
    </main>
  )
}
