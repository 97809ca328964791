import { lazy, Suspense, type ComponentProps } from 'react'
import { say } from '../../../language/say.ts'

/** The words come with the line they are said into. */
const SayIt = lazy(() => import('./SayIt.tsx').then((m) => ({ default: m.SayIt })))

export function SayItLater(props: ComponentProps<typeof SayIt>) {
  return (
    <Suspense fallback={<p className="text-ink-soft">{say('Opening the book …')}</p>}>
      <SayIt {...props} />
    </Suspense>
  )
}
