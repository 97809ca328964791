import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router/dom'
import { makeRouter } from './router.tsx'
import { keepForTheField } from './stores/fieldCache.ts'
import { useMode } from './stores/modeStore.ts'
import { keepDraining, openOutbox } from './stores/outboxStore.ts'

/** The app, once its texts are there. */
export async function start(): Promise<void> {
  document.documentElement.dataset.mode = useMode.getState().mode
  // What waits to be sent is known before any screen asks for it.
  await openOutbox()
  keepDraining()
  keepForTheField().catch(() => undefined)
  createRoot(document.getElementById('root')!).render(<RouterProvider router={makeRouter()} />)
}
