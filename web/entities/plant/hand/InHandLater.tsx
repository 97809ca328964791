import { lazy, Suspense, useState } from 'react'
import type { Plant } from '@/core/flora/flora.ts'
import { say } from '../../../language/say.ts'
import { PanelBoundary } from '../../../ui/PanelBoundary.tsx'

const InHand = lazy(() => import('./InHand.tsx').then((m) => ({ default: m.InHand })))

/** The plant in space, fetched and built only when somebody takes it up. */
export function InHandLater({ plant }: { plant: Plant }) {
  const [taken, setTaken] = useState(false)
  if (!taken)
    return (
      <button
        type="button"
        onClick={() => setTaken(true)}
        className="mx-auto mt-3 block min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm"
      >
        {say('Take it in the hand')}
      </button>
    )
  return (
    <PanelBoundary name={say('In the hand')}>
      <Suspense fallback={<p className="mt-4 text-ink-soft">{say('It is being taken up …')}</p>}>
        <InHand plant={plant} />
      </Suspense>
    </PanelBoundary>
  )
}
