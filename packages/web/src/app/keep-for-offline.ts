import { api } from '../api/api'
import { loadAhead } from './screens'
import { store } from './store'

/** Loads the other screens once this one has what it asked for, and lets the service worker keep what was loaded. */
export function keepForOffline(): void {
  // Where the browser keeps nothing for this page, it takes no service worker either; all else works.
  const start = async () => register(navigator.serviceWorker)
  addEventListener('load', () => void start().catch(() => undefined), { once: true })
}

async function register(container: ServiceWorkerContainer): Promise<void> {
  await container.register('/service-worker.js')
  const { active } = await container.ready
  await untilAnswered()
  await Promise.all(loadAhead.map(load => load()))
  active?.postMessage({ keep: loadedFiles() })
}

/** With what is asked for when the first answers are drawn. */
async function untilAnswered(): Promise<void> {
  const running = store.dispatch(api.util.getRunningQueriesThunk())
  if (running.length === 0) return
  await Promise.allSettled(running)
  await new Promise(resolve => setTimeout(resolve, drawnMs))
  return untilAnswered()
}

/** So long a screen may take to draw what came. */
const drawnMs = 200

function loadedFiles(): readonly string[] {
  const names = performance.getEntriesByType('resource').map(entry => new URL(entry.name))
  const ours = names.filter(url => url.origin === location.origin && url.pathname.startsWith('/assets/'))
  return [...new Set(ours.map(url => url.pathname))]
}
