import { lazy, Suspense } from 'react'
import type { Plant } from '@/core/flora/flora.ts'

const OursBeside = lazy(() => import('./OursBeside.tsx').then((m) => ({ default: m.OursBeside })))

/** What is named stands without them; they come beside it. */
export const OursBesideLater = ({ plant }: { plant: Plant }) => (
  <Suspense>
    <OursBeside plant={plant} />
  </Suspense>
)
