import { loadAhead } from './screens'

/** Loads the other screens when there is time, and lets the service worker keep what was loaded. */
export function keepForOffline(): void {
  // Where the browser keeps nothing for this page, it takes no service worker either; all else works.
  const start = async () => register(navigator.serviceWorker)
  addEventListener('load', () => void start().catch(() => undefined), { once: true })
}

async function register(container: ServiceWorkerContainer): Promise<void> {
  await container.register('/service-worker.js')
  const { active } = await container.ready
  await Promise.all(loadAhead.map(load => load()))
  active?.postMessage({ keep: loadedFiles() })
}

function loadedFiles(): readonly string[] {
  const names = performance.getEntriesByType('resource').map(entry => new URL(entry.name))
  const ours = names.filter(url => url.origin === location.origin && url.pathname.startsWith('/assets/'))
  return [...new Set(ours.map(url => url.pathname))]
}
