import './nonce.ts'
import './app.css'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router/dom'
import { makeRouter } from './router.tsx'
import { keepForTheField } from './stores/fieldCache.ts'
import { keepDraining, openOutbox } from './stores/outboxStore.ts'
import { useMode } from './stores/modeStore.ts'

document.documentElement.dataset.mode = useMode.getState().mode
// What waits to be sent is known before any screen asks for it.
await openOutbox()
keepDraining()
keepForTheField().catch(() => undefined)
createRoot(document.getElementById('root')!).render(<RouterProvider router={makeRouter()} />)
