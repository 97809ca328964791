import { lazy, Suspense, useMemo, type ReactNode } from 'react'
import type { PractiseSpecimen } from '@/core/practice/specimen.ts'
import type { HandLook } from '../../entities/plant/hand/Hand.tsx'
import { say } from '../../language/say.ts'
import { canDraw } from '../../likeness/canDraw.ts'
import { stateWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { fixed } from '../../language/numbers.ts'
import { heldOf } from './heldOf.ts'

const Hand = lazy(() => import('../../entities/plant/hand/Hand.tsx').then((m) => ({ default: m.Hand })))

// Nothing is in flower when it has to be told.
const NO_HEAD: readonly HandLook[] = ['head']
const NO_PULLING: readonly HandLook[] = [...NO_HEAD, 'pull']

/** A practice specimen handed over, where the browser draws in three dimensions; else what is given for it. */
export function TakenUp({
  specimen,
  onLook,
  children,
}: {
  specimen: PractiseSpecimen
  onLook: (look: HandLook) => void
  children: ReactNode
}) {
  const plant = useFlora((s) => s.byId.get(specimen.plant))!
  const held = useMemo(() => heldOf(plant, specimen), [plant, specimen])
  if (!canDraw()) return children
  const of = (character: string) => {
    const state = specimen.traits.states[character]
    const size = specimen.traits.sizes[character]
    if (state) return stateWords(state)
    return size === undefined ? say('not to be seen on this one') : say('{{size}} mm', { size: fixed(size, 1) })
  }
  return (
    <PanelBoundary name={say('The specimen')}>
      <Suspense fallback={<p className="mt-4 text-ink-soft">{say('It is being taken up …')}</p>}>
        <Hand
          held={held}
          label={say(
            'The specimen in three dimensions. Arrow keys turn it, plus and minus bring it nearer and farther.',
          )}
          of={of}
          onLook={onLook}
          without={specimen.condition === 'no roots' ? NO_PULLING : NO_HEAD}
        />
      </Suspense>
    </PanelBoundary>
  )
}
