import { lazy, Suspense } from 'react'
import { useToasts } from './toastStore.ts'

const Toasts = lazy(() => import('./Toasts.tsx').then((m) => ({ default: m.Toasts })))

/** They come with the first thing that can be taken back, and stay from then on. */
export function ToastsLater() {
  const any = useToasts((s) => s.told.length > 0)
  return any ? (
    <Suspense>
      <Toasts />
    </Suspense>
  ) : null
}
