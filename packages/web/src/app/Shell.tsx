import { lazy, Suspense, useEffect, useState } from 'react'
import { Link, Outlet, useLocation, useNavigate } from 'react-router'
import { BookOpenCheck, CalendarClock, Keyboard, Layers2, Settings } from 'lucide-react'
import { buttonLooks, buttonShape } from '../parts/Button'
import { currentAccount, isSomebodys } from './account'
import { IconButton } from '../parts/IconButton'
import { KeepingNote } from './KeepingNote'
import { OnceSettled } from './OnceSettled'
import { loadLooksOnNote, loadPairScreen, loadUndoDelete, peopleScreens } from './screens'
import type { ShutOut } from './server-slice'
import { useAppSelector, useAppStore } from './store'
import { isTyping } from './shortcuts'

/** What is shown where nothing of a workshop is. */
const insteadOf = {
  unpaired: lazy(async () => ({ default: (await loadPairScreen()).Screen })),
  'signed-out': lazy(async () => ({ default: (await peopleScreens.loadSignIn()).Screen })),
  'no-workshop': lazy(() => import('../screens/enter/NoWorkshop')),
} as const satisfies Readonly<Record<ShutOut, unknown>>
const LooksOnNote = lazy(loadLooksOnNote)
const AccountNews = lazy(() => import('./AccountNews'))
const UndoDelete = lazy(loadUndoDelete)
const ShortcutsDialog = lazy(() => import('./ShortcutsDialog'))
const WaitsElsewhere = lazy(() => import('./WaitsElsewhere'))
const TapeBar = lazy(() => import('../devices/tape/TapeBar'))

/** What surrounds every screen: the name, the way to the shelf and settings, the list of shortcuts. */
export function Shell() {
  const [helpOpen, setHelpOpen] = useState(false)
  const navigate = useNavigate()
  const shutOut = useAppSelector(({ server }) => server.shutOut)
  const looksOn = useAppSelector(({ server }) => server.looksOn)
  const keeping = useAppSelector(({ device }) => device.keeping)
  const hasDeleted = useAppSelector(({ deleted }) => Boolean(deleted.last))
  const hasTape = useAppSelector(state => state.devices.tape)
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === '?') setHelpOpen(true)
      if (event.key === 's') void navigate('/')
      if (event.key === 'c') void navigate('/stash')
      if (event.key === 'n') void navigate('/new')
      if (event.key === 't') void navigate('/time')
      if (event.key === 'l') void navigate('/log')
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [navigate])
  useFollowingServer(shutOut === null)
  const { pathname } = useLocation()
  // Whoever is not let in sees nothing that is kept in memory either; their own account they do.
  if (shutOut !== null && !(shutOut === 'no-workshop' && pathname === '/account')) {
    const Instead = insteadOf[shutOut]
    return (
      <Suspense>
        <Instead />
      </Suspense>
    )
  }
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only bg-surface p-2 focus:not-sr-only">
        To the content
      </a>
      <header className="no-print flex h-13 shrink-0 items-center border-b sm:gap-3 border-rule px-4 sm:px-6">
        <Link
          to="/"
          className="group flex items-baseline gap-2 text-xl font-semibold tracking-tight text-ink no-underline"
        >
          Snowdrift
          <span aria-hidden className="stitched h-0.5 w-9 self-center max-sm:hidden" />
        </Link>
        <span className="flex-1" />
        <Link to="/stash" className={`${buttonShape} ${buttonLooks.quiet}`}>
          <Layers2 className="size-5" aria-hidden />
          <span className="max-sm:sr-only">Stash</span>
        </Link>
        <Link to="/time" className={`${buttonShape} ${buttonLooks.quiet}`}>
          <CalendarClock className="size-5" aria-hidden />
          <span className="max-sm:sr-only">Time</span>
        </Link>
        <Link to="/log" className={`${buttonShape} ${buttonLooks.quiet}`}>
          <BookOpenCheck className="size-5" aria-hidden />
          <span className="max-sm:sr-only">Log</span>
        </Link>
        <IconButton icon={Keyboard} large onClick={() => setHelpOpen(true)} label="Keyboard shortcuts" />
        <Link to="/settings" className={`${buttonShape} ${buttonLooks.quiet}`}>
          <Settings className="size-5" aria-hidden />
          <span className="max-sm:sr-only">Settings</span>
        </Link>
      </header>
      {keeping && <KeepingNote keeping={keeping} />}
      {isSomebodys(currentAccount()) && (
        <Suspense>
          <AccountNews />
        </Suspense>
      )}
      {looksOn && (
        <Suspense>
          <LooksOnNote />
        </Suspense>
      )}
      <div id="main" className="flex flex-1 flex-col">
        <OnceSettled>
          <Outlet />
        </OnceSettled>
      </div>
      {hasDeleted && (
        <Suspense>
          <UndoDelete />
        </Suspense>
      )}
      {hasTape && (
        <Suspense>
          <TapeBar />
        </Suspense>
      )}
      <Suspense>
        <WaitsElsewhere />
      </Suspense>
      {helpOpen && (
        <Suspense>
          <ShortcutsDialog onClose={() => setHelpOpen(false)} />
        </Suspense>
      )}
    </div>
  )
}

/** Follows what is changed anywhere else; what does so comes once the page stands. */
function useFollowingServer(isLetIn: boolean) {
  const store = useAppStore()
  useEffect(() => {
    if (!isLetIn) return
    let end = () => undefined as void
    let isOver = false
    void import('./live').then(({ followServer }) => {
      if (!isOver) end = followServer(store)
    })
    return () => {
      isOver = true
      end()
    }
  }, [store, isLetIn])
}
