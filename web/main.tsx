import './nonce.ts'
import './app.css'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router/dom'
import { router } from './router.tsx'
import { keepForTheField } from './stores/fieldCache.ts'
import { keepDraining } from './stores/outboxStore.ts'
import { useMode } from './stores/modeStore.ts'

document.documentElement.dataset.mode = useMode.getState().mode
keepDraining()
keepForTheField().catch(() => undefined)
createRoot(document.getElementById('root')!).render(<RouterProvider router={router} />)
