import { createBrowserRouter, redirect } from 'react-router'
import { ErrorScreen } from './ErrorScreen.tsx'
import { Shell } from './Shell.tsx'
import { useMe } from './stores/meStore.ts'
import { useFlora } from './stores/floraStore.ts'
import { say } from './language/say.ts'

/** One part of the script per place, read when the place is opened. */
const signInFor = ({ pathname, search }: Location) => `/sign-in?to=${encodeURIComponent(pathname + search)}`

export const makeRouter = () =>
  createBrowserRouter([
    {
      path: '/',
      Component: Shell,
      HydrateFallback: () => <p className="p-8 text-ink-soft">{say('Opening the book …')}</p>,
      ErrorBoundary: ErrorScreen,
      loader: async () => {
        // Both are asked for at once; where nobody is signed in the book is not given out either.
        const [me] = await Promise.allSettled([useMe.getState().load(), useFlora.getState().load()])
        if (useMe.getState().mustSignIn()) throw redirect(signInFor(location))
        if (me.status === 'rejected') throw me.reason
        await useFlora.getState().load()
        return null
      },
      shouldRevalidate: () => false,
      children: [
        { index: true, loader: () => redirect('/rounds') },
        { path: 'rounds', lazy: () => import('./rounds/RoundsRoute.tsx') },
        { path: 'plan', lazy: () => import('./rounds/plan/PlanRoute.tsx') },
        { path: 'places/:id', lazy: () => import('./places/PlaceRoute.tsx') },
        { path: 'places/:id/sowing/:event', lazy: () => import('./sowing/SowingRoute.tsx') },
        { path: 'glossary', lazy: () => import('./teach/GlossaryRoute.tsx') },
        { path: 'first-round', lazy: () => import('./teach/FirstRoundRoute.tsx') },
        { path: 'group-key', lazy: () => import('./group-key/GroupKeyRoute.tsx') },
        { path: 'rounds/bring-in', lazy: () => import('./rounds/bring-in/BringInRoute.tsx') },
        { path: 'rounds/:id', lazy: () => import('./rounds/CountRoute.tsx') },
        { path: 'rounds/:id/pocket', lazy: () => import('./rounds/sheets/PocketRoute.tsx') },
        { path: 'rounds/:id/field-sheet', lazy: () => import('./rounds/sheets/FieldSheetRoute.tsx') },
        { path: 'rounds/:id/beside', lazy: () => import('./rounds/beside/BesideRoute.tsx') },
        { path: 'rounds/:id/name/:letter', lazy: () => import('./bench/BenchRoute.tsx') },
        { path: 'rounds/:id/weigh-up', lazy: () => import('./weigh-up/WeighUpRoute.tsx') },
        { path: 'rounds/:id/hand-over', lazy: () => import('./hand-over/HandOverRoute.tsx') },
        { path: 'bench/sheet', lazy: () => import('./bench/SheetRoute.tsx') },
        { path: 'bench', lazy: () => import('./bench/BenchRoute.tsx') },
        { path: 'plants', lazy: () => import('./plant-book/PlantBookRoute.tsx') },
        { path: 'drawings', lazy: () => import('./drawings/DrawingsRoute.tsx') },
        { path: 'plants/map', lazy: () => import('./plant-book/MapRoute.tsx') },
        { path: 'compare', lazy: () => import('./plant-book/CompareRoute.tsx') },
        { path: 'practice', lazy: () => import('./practice/PracticeRoute.tsx') },
        { path: 'practice/set', lazy: () => import('./practice/SetSheetRoute.tsx') },
        { path: 'team', lazy: () => import('./access/TeamRoute.tsx') },
        { path: 'daybook', lazy: () => import('./daybook/DaybookRoute.tsx') },
        { path: 'plants/:id', lazy: () => import('./plant-book/PlantRoute.tsx') },
        {
          path: '*',
          loader: () => {
            throw new Response('', { status: 404 })
          },
        },
      ],
    },
    { path: '/sign-in', ErrorBoundary: ErrorScreen, lazy: () => import('./access/SignInRoute.tsx') },
    { path: '/shared', ErrorBoundary: ErrorScreen, lazy: () => import('./access/SharedRoute.tsx') },
  ])
