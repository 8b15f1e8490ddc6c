const loadNewCover = () => import('../screens/new-cover/NewCoverScreen')
const loadWorkspace = () => import('../screens/workspace/WorkspaceScreen')
const loadSettings = () => import('../screens/settings/SettingsScreen')
const loadCuttingList = () => import('../screens/cutting-list/CuttingListScreen')
const loadTakeAway = () => import('../screens/take-away/TakeAwayScreen')
const loadBench = () => import('../screens/bench/BenchScreen')
const loadSteps = () => import('../screens/bench/StepsScreen')
const loadFolded = () => import('../screens/folded/FoldedScreen')
const loadPractice = () => import('../screens/practice/PracticeScreen')
const loadDevices = () => import('../screens/devices/DevicesScreen')
const loadLog = () => import('../screens/log/LogScreen')
const loadSeries = () => import('../screens/series/SeriesScreen')
const loadTime = () => import('../screens/time/TimeScreen')
const loadStash = () => import('../screens/stash/StashScreen')

/** The screens that load on demand. The shelf comes with the page. */
export const screens = {
  loadNewCover,
  loadWorkspace,
  loadSettings,
  loadCuttingList,
  loadStash,
  loadLog,
  loadTime,
  loadSeries,
  loadDevices,
  loadTakeAway,
  loadBench,
  loadSteps,
  loadFolded,
  loadPractice,
}

/** What is shown when it is needed and not before; by then the server may be away. */
export const loadUndoDelete = () => import('./UndoDelete')
export const loadLooksOnNote = () => import('./LooksOnNote')

export const loadAhead = [...Object.values(screens), loadUndoDelete, loadLooksOnNote] as const

/** Where people sign in; not loaded with the others. */
export const peopleScreens = {
  loadSignIn: () => import('../screens/enter/SignInScreen'),
  loadJoin: () => import('../screens/enter/JoinScreen'),
  loadAccount: () => import('../screens/account/AccountScreen'),
  loadPeople: () => import('../screens/people/PeopleScreen'),
}

/** For a device that is not let in; not loaded with the others. */
export const loadPairScreen = () => import('../screens/pair/PairScreen')

/** For whoever has a link; not loaded with the others. */
export const loadSharedScreen = () => import('../screens/shared/SharedScreen')
