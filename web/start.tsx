import { startTransition, useLayoutEffect, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router/dom'
import { makeRouter } from './router.tsx'
import { followOutbox } from './data/reads.ts'
import { pause } from './pause.ts'
import { registerServiceWorker } from './stores/fieldCache.ts'
import { useMode } from './stores/modeStore.ts'
import { letterMark } from '@/text/taxonNames.ts'
import { deviceId, ownMark } from './stores/device.ts'
import { keepDraining, openOutbox } from './stores/openOutbox.ts'

/** Most pages are read within this time: drawing first that they are being read would only make them later. */
const SOON_MS = 1000

const opened = (router: ReturnType<typeof makeRouter>) =>
  new Promise<void>((done) => {
    if (router.state.initialized) return done()
    const stop = router.subscribe((state) => {
      if (!state.initialized) return
      stop()
      done()
    })
  })

/** The places; what the router came to while the first screen was drawn piece by piece, nobody had heard yet. */
function Places({ router }: { router: ReturnType<typeof makeRouter> }) {
  const [drawn] = useState(router.state)
  useLayoutEffect(() => {
    if (router.state !== drawn) void router.revalidate()
  }, [router, drawn])
  return <RouterProvider router={router} />
}

/** The app, once its texts are there. */
export async function start(): Promise<void> {
  document.documentElement.dataset.mode = useMode.getState().mode
  // What waits to be sent is known before any screen asks for it.
  await openOutbox()
  await deviceId()
  letterMark(ownMark())
  followOutbox()
  keepDraining()
  registerServiceWorker().catch(() => undefined)
  await pause()
  const router = makeRouter()
  await Promise.race([opened(router), new Promise((r) => setTimeout(r, SOON_MS))])
  const root = createRoot(document.getElementById('root')!)
  const draw = () => root.render(<Places router={router} />)
  // In one piece, which is a small one: a place that is ready meanwhile must find somebody who hears of it.
  if (!router.state.initialized) draw()
  // Piece by piece: what stands there already stays, and a touch is heard meanwhile.
  else startTransition(draw)
}
