import { titled } from './titled.ts'
import { say } from './language/say.ts'
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
        {
          // The head and what waits to be sent stay, whatever happens to a screen.
          ErrorBoundary: ErrorScreen,
          children: [
            { index: true, loader: () => redirect('/rounds') },
            {
              path: 'rounds',
              handle: titled(() => say('Rounds')),
              lazy: screen(() => import('./features/rounds/RoundsRoute.tsx')),
            },
            {
              path: 'plan',
              handle: titled(() => say('Plan a round')),
              lazy: screen(() => import('./features/rounds/plan/PlanRoute.tsx')),
            },
            {
              path: 'places/:id',
              handle: titled(() => say('Paddock')),
              lazy: withBook(() => import('./features/paddocks/PaddockRoute.tsx')),
            },
            {
              path: 'places/:id/sowing/:event',
              handle: titled(() => say('What came up')),
              lazy: withBook(() => import('./features/sowing/SowingRoute.tsx')),
            },
            {
              path: 'glossary/:chapter?',
              handle: titled(() => say('Glossary')),
              lazy: withBook(() => import('./features/help/GlossaryRoute.tsx')),
            },
            {
              path: 'first-round',
              handle: titled(() => say('A first round')),
              lazy: screen(() => import('./features/help/FirstRoundRoute.tsx')),
            },
            {
              path: 'group-key',
              handle: titled(() => say('Runners of subterranean clover')),
              lazy: withBook(() => import('./features/group-key/GroupKeyRoute.tsx')),
            },
            {
              path: 'rounds/bring-in',
              handle: titled(() => say('Read a file of finds')),
              lazy: withBook(() => import('./features/rounds/import/ImportRoute.tsx')),
            },
            {
              path: 'count-here',
              handle: titled(() => say('Count here')),
              lazy: screen(() => import('./features/rounds/CountHereRoute.tsx')),
            },
            {
              path: 'rounds/:id',
              handle: titled(() => say('Counting')),
              lazy: screen(() => import('./features/rounds/CountRoute.tsx')),
            },
            {
              path: 'rounds/:id/pocket',
              handle: titled(() => say('For the pocket')),
              lazy: withBook(() => import('./features/rounds/sheets/PocketRoute.tsx')),
            },
            {
              path: 'rounds/:id/field-sheet',
              handle: titled(() => say('Field sheet')),
              lazy: withBook(() => import('./features/rounds/sheets/FieldSheetRoute.tsx')),
            },
            {
              path: 'rounds/:id/beside',
              handle: titled(() => say('Two rounds side by side')),
              lazy: withBook(() => import('./features/rounds/compare/CompareRoundsRoute.tsx')),
            },
            {
              path: 'rounds/:id/name/:letter',
              handle: titled(() => say('Bench')),
              lazy: screen(() => import('./features/identify/BenchRoute.tsx')),
            },
            {
              path: 'rounds/:id/weigh-up/:chapter?',
              handle: titled(() => say('Weigh-up')),
              lazy: screen(() => import('./features/results/WeighUpRoute.tsx')),
            },
            {
              path: 'rounds/:id/hand-over',
              handle: titled(() => say('The pages')),
              lazy: screen(() => import('./features/report/HandOverRoute.tsx')),
            },
            {
              path: 'bench/sheet',
              handle: titled(() => say('Specimen sheet')),
              lazy: withBook(() => import('./features/identify/SheetRoute.tsx')),
            },
            {
              path: 'bench',
              handle: titled(() => say('Bench')),
              lazy: screen(() => import('./features/identify/BenchRoute.tsx')),
            },
            {
              path: 'plants',
              handle: titled(() => say('Plant book')),
              lazy: screen(() => import('./features/plant-book/PlantBookRoute.tsx')),
            },
            {
              path: 'drawings',
              handle: titled(() => say('Drawings')),
              lazy: withBook(() => import('./features/drawings/DrawingsRoute.tsx')),
            },
            {
              path: 'gallery',
              handle: titled(() => say('States of a screen')),
              lazy: screen(() => import('./features/gallery/GalleryRoute.tsx')),
            },
            {
              path: 'plants/map',
              handle: titled(() => say('Map of look-alikes')),
              lazy: withBook(() => import('./features/plant-book/MapRoute.tsx')),
            },
            {
              path: 'compare',
              handle: titled(() => say('Compare')),
              lazy: withBook(() => import('./features/plant-book/CompareRoute.tsx')),
            },
            {
              path: 'practice',
              handle: titled(() => say('Practice')),
              lazy: screen(() => import('./features/practice/PracticeRoute.tsx')),
            },
            {
              path: 'practice/set',
              handle: titled(() => say('A set on paper')),
              lazy: withBook(() => import('./features/practice/SetSheetRoute.tsx')),
            },
            {
              path: 'team',
              handle: titled(() => say('Team')),
              lazy: screen(() => import('./features/team/TeamRoute.tsx')),
            },
            {
              path: 'daybook/:chapter?',
              handle: titled(() => say('Daybook')),
              lazy: screen(() => import('./features/history/DaybookRoute.tsx')),
            },
            {
              path: 'plants/:id/:chapter?',
              handle: titled(() => say('Plant book')),
              lazy: screen(() => import('./features/plant-book/PlantRoute.tsx')),
            },
            {
              path: '*',
              loader: () => {
                throw new Response('', { status: 404 })
              },
            },
          ],
        },
      ],
    },
    { path: '/sign-in', ErrorBoundary: ErrorScreen, lazy: screen(() => import('./features/team/SignInRoute.tsx')) },
    { path: '/shared', ErrorBoundary: ErrorScreen, lazy: screen(() => import('./features/report/SharedRoute.tsx')) },
  ])
