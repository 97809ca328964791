import { startTransition, useEffect, useState, type ComponentType, type ReactNode } from 'react'
import { PaneOfPlace, TwoPane, type Fold } from './TwoPane.tsx'
import type { RailStep } from './StepRail.tsx'

/** The whole of a place: what draws it, and what it is drawn from. */
export interface Whole<P extends object> {
  View: ComponentType<P>
  props: P
}

export interface Deferred<P extends object> {
  coming: Promise<Whole<P>>
  /** Set where it came before the front was worth showing. */
  came: Whole<P> | undefined
}

/** From one place to the next the whole is mostly there within this time: a front that is shown so shortly only flickers. */
const SOON_MS = 150

let firstOfVisit = true

/**
 * For the loader of a place that comes in two steps: its front at once, the whole when its script and its records are
 * there.
 */
export async function deferred<P extends object>(coming: Promise<Whole<P>>): Promise<Deferred<P>> {
  // Whoever shows the place says what went wrong; until then nobody listens.
  coming.catch(() => undefined)
  if (firstOfVisit) {
    firstOfVisit = false
    return { coming, came: undefined }
  }
  const soon = new Promise<undefined>((r) => setTimeout(() => r(undefined), SOON_MS))
  return { coming, came: await Promise.race([coming, soon]) }
}

interface SkeletonProps {
  /** As those of the whole. */
  names: { left: string; right: string }
  nodes?: RailStep[]
  left: ReactNode
  right?: ReactNode
  first?: Fold
}

/** The front of a working screen: nothing to be done next is said yet. */
export const Skeleton = ({ nodes = [], right = null, ...halves }: SkeletonProps) => (
  <TwoPane busy tip={undefined} nodes={nodes} right={right} {...halves} />
)

interface DeferredScreenProps<P extends object> {
  place: Deferred<P>
  front: ReactNode
  /** The half that lies on top on a phone when the place opens. */
  first?: Fold
}

/** The front of a place until the whole of it is there. */
export function DeferredScreen<P extends object>({ place, front, first = 'left' }: DeferredScreenProps<P>) {
  const { coming, came } = place
  const fold = useState<Fold>(first)
  const [later, setLater] = useState<{ of: Promise<Whole<P>>; whole?: Whole<P>; failed?: unknown }>()
  useEffect(() => {
    if (came) return
    let current = true
    coming.then(
      // Piece by piece: keys are heard meanwhile.
      (whole) =>
        startTransition(() => {
          if (current) setLater({ of: coming, whole })
        }),
      (failed: unknown) => current && setLater({ of: coming, failed }),
    )
    return () => {
      current = false
    }
  }, [coming, came])
  const known = later?.of === coming ? later : undefined
  if (known && !known.whole) throw known.failed
  const whole = came ?? known?.whole
  return <PaneOfPlace value={fold}>{whole ? <whole.View {...whole.props} /> : front}</PaneOfPlace>
}
