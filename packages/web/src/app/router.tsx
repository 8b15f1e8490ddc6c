import { createBrowserRouter, Link, useRouteError, type RouteObject } from 'react-router'
import { ShelfScreen } from '../screens/shelf/ShelfScreen'
import { Shell } from './Shell'
import { loadPairScreen, loadSharedScreen, peopleScreens, screens } from './screens'

const lazily = (load: () => Promise<{ Screen: () => React.ReactNode }>) => async () => ({
  Component: (await load()).Screen,
})

/** A screen with nothing around it. */
function alone(path: string, load: Parameters<typeof lazily>[0]): RouteObject {
  return { path, lazy: lazily(load), errorElement: <Failed />, HydrateFallback: () => null }
}

const routes: RouteObject[] = [
  // Whoever has a link sees what it shows, and no way into the workshop.
  alone('/shared/:token', loadSharedScreen),
  alone('/pair', loadPairScreen),
  alone('/sign-in', peopleScreens.loadSignIn),
  alone('/join', peopleScreens.loadJoin),
  {
    element: <Shell />,
    errorElement: <Failed />,
    HydrateFallback: () => null,
    children: [
      { path: '/', element: <ShelfScreen /> },
      { path: '/new', lazy: lazily(screens.loadNewCover) },
      { path: '/stash', lazy: lazily(screens.loadStash) },
      { path: '/log', lazy: lazily(screens.loadLog) },
      { path: '/series', lazy: lazily(screens.loadSeries) },
      { path: '/time', lazy: lazily(screens.loadTime) },
      { path: '/practice', lazy: lazily(screens.loadPractice) },
      { path: '/devices', lazy: lazily(screens.loadDevices) },
      { path: '/account', lazy: lazily(peopleScreens.loadAccount) },
      { path: '/people', lazy: lazily(peopleScreens.loadPeople) },
      { path: '/settings', lazy: lazily(screens.loadSettings) },
      { path: '/covers/:id/cutting-list', lazy: lazily(screens.loadCuttingList) },
      { path: '/covers/:id/take-away', lazy: lazily(screens.loadTakeAway) },
      { path: '/covers/:id/bench', lazy: lazily(screens.loadBench) },
      { path: '/covers/:id/steps', lazy: lazily(screens.loadSteps) },
      { path: '/covers/:id/folded', lazy: lazily(screens.loadFolded) },
      { path: '/covers/:id/:station?', lazy: lazily(screens.loadWorkspace) },
      { path: '*', element: <NotHere /> },
    ],
  },
]

export const router = createBrowserRouter(routes)

function NotHere() {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">There is nothing at this address</h1>
      <p className="mt-2 text-soft">A cover may have been deleted, or the address was cut short.</p>
      <Link className="mt-4 inline-flex items-center text-thread underline" to="/">
        To the shelf
      </Link>
    </main>
  )
}

/** What is shown when a screen breaks: the work is saved, and the way back is named. */
function Failed() {
  const error = useRouteError()
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="text-2xl font-semibold">This screen broke</h1>
      <p className="mt-2 text-soft">That is our mistake. What you typed is kept; load the page again.</p>
      <pre className="mt-4 overflow-auto bg-sunken p-3 text-sm">
        {error instanceof Error ? error.message : String(error)}
      </pre>
      <a className="mt-4 inline-flex items-center text-thread underline" href="/">
        To the shelf
      </a>
    </main>
  )
}
