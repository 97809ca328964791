import { useState, type ReactNode } from 'react'
import { Midrib, type MidribNode, type MidribTip } from './Midrib.tsx'

interface Props {
  left: ReactNode
  right: ReactNode
  nodes: MidribNode[]
  tip: MidribTip | undefined
  /** What each half is called on a phone, where they fold over each other. */
  names: { left: string; right: string }
}

/** A working screen: what was seen, the midrib of steps, what follows. On a phone one half lies over the other. */
export function Leaf({ left, right, nodes, tip, names }: Props) {
  const [fold, setFold] = useState<'left' | 'right'>('left')
  return (
    <main className="leaf" data-fold={fold}>
      <section className="leaf-left" aria-label={names.left}>
        {left}
      </section>
      <Midrib nodes={nodes} tip={tip} names={names} fold={fold} onFold={setFold} />
      <section className="leaf-right" aria-label={names.right}>
        {right}
      </section>
    </main>
  )
}
