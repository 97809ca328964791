import type { ComponentType } from 'react'
import { createBrowserRouter, redirect, type LoaderFunctionArgs } from 'react-router'
import { ErrorScreen } from './ErrorScreen.tsx'
import { Opening, Shell } from './Shell.tsx'
import { useMe } from './stores/meStore.ts'
import { useWords } from './language/useWords.ts'
import { useFlora } from './stores/floraStore.ts'

/** One part of the script per place, read when the place is opened. */
const signInFor = ({ pathname, search }: Location) => `/sign-in?to=${encodeURIComponent(pathname + search)}`

interface Place {
  Component: ComponentType
  loader?: (args: LoaderFunctionArgs) => unknown
}

/** A screen that is drawn anew when the language or the units change; what was typed in it stays. */
const spoken = ({ Component }: Place) =>
  function Spoken() {
    useWords()
    return <Component />
  }

const screen = (read: () => Promise<Place>) => async () => {
  const place = await read()
  return { ...place, Component: spoken(place) }
}

/** A screen that speaks of plants: the book is there before it is shown, read beside what the screen reads itself. */
const withBook = (read: () => Promise<Place>) => async () => {
  const place = await read()
  const loader = async (args: LoaderFunctionArgs) => {
    const [own] = await Promise.all([place.loader?.(args), useFlora.getState().load()])
    return own ?? null
  }
  return { Component: spoken(place), loader }
}

export const makeRouter = () =>
  createBrowserRouter([
    {
      path: '/',
      Component: Shell,
      HydrateFallback: Opening,
      ErrorBoundary: ErrorScreen,
      loader: async () => {
        try {
          await useMe.getState().load()
        } catch (error) {
          if (!useMe.getState().mustSignIn()) throw error
        }
        if (useMe.getState().mustSignIn()) throw redirect(signInFor(location))
        return null
      },
      shouldRevalidate: () => false,
      children: [
        { index: true, loader: () => redirect('/rounds') },
        { path: 'rounds', lazy: screen(() => import('./rounds/RoundsRoute.tsx')) },
        { path: 'plan', lazy: screen(() => import('./rounds/plan/PlanRoute.tsx')) },
        { path: 'places/:id', lazy: withBook(() => import('./places/PlaceRoute.tsx')) },
        { path: 'places/:id/sowing/:event', lazy: withBook(() => import('./sowing/SowingRoute.tsx')) },
        { path: 'glossary', lazy: withBook(() => import('./teach/GlossaryRoute.tsx')) },
        { path: 'first-round', lazy: screen(() => import('./teach/FirstRoundRoute.tsx')) },
        { path: 'group-key', lazy: withBook(() => import('./group-key/GroupKeyRoute.tsx')) },
        { path: 'rounds/bring-in', lazy: withBook(() => import('./rounds/bring-in/BringInRoute.tsx')) },
        { path: 'rounds/:id', lazy: screen(() => import('./rounds/CountRoute.tsx')) },
        { path: 'rounds/:id/pocket', lazy: withBook(() => import('./rounds/sheets/PocketRoute.tsx')) },
        { path: 'rounds/:id/field-sheet', lazy: withBook(() => import('./rounds/sheets/FieldSheetRoute.tsx')) },
        { path: 'rounds/:id/beside', lazy: withBook(() => import('./rounds/beside/BesideRoute.tsx')) },
        { path: 'rounds/:id/name/:letter', lazy: screen(() => import('./bench/BenchRoute.tsx')) },
        { path: 'rounds/:id/weigh-up', lazy: screen(() => import('./weigh-up/WeighUpRoute.tsx')) },
        { path: 'rounds/:id/hand-over', lazy: screen(() => import('./hand-over/HandOverRoute.tsx')) },
        { path: 'bench/sheet', lazy: withBook(() => import('./bench/SheetRoute.tsx')) },
        { path: 'bench', lazy: screen(() => import('./bench/BenchRoute.tsx')) },
        { path: 'plants', lazy: screen(() => import('./plant-book/PlantBookRoute.tsx')) },
        { path: 'drawings', lazy: withBook(() => import('./drawings/DrawingsRoute.tsx')) },
        { path: 'plants/map', lazy: withBook(() => import('./plant-book/MapRoute.tsx')) },
        { path: 'compare', lazy: withBook(() => import('./plant-book/CompareRoute.tsx')) },
        { path: 'practice', lazy: screen(() => import('./practice/PracticeRoute.tsx')) },
        { path: 'practice/set', lazy: withBook(() => import('./practice/SetSheetRoute.tsx')) },
        { path: 'team', lazy: screen(() => import('./access/TeamRoute.tsx')) },
        { path: 'daybook', lazy: screen(() => import('./daybook/DaybookRoute.tsx')) },
        { path: 'plants/:id', lazy: screen(() => import('./plant-book/PlantRoute.tsx')) },
        {
          path: '*',
          loader: () => {
            throw new Response('', { status: 404 })
          },
        },
      ],
    },
    { path: '/sign-in', ErrorBoundary: ErrorScreen, lazy: screen(() => import('./access/SignInRoute.tsx')) },
    { path: '/shared', ErrorBoundary: ErrorScreen, lazy: screen(() => import('./access/SharedRoute.tsx')) },
  ])
