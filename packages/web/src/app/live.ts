import type { Change } from '@snowdrift/core'
import { api } from '../api/api'
import { meetAccount } from './account'
import type { AppStore } from './store'
import { followChanges } from '../drafts/follow-changes'
import { liveChanged } from './server-slice'

/** What comes within so long is followed together: an answer to what this window did itself comes meanwhile. */
const gatherMs = 120
const comeAgainMs = [1000, 3000, 10_000, 30_000] as const

/**
 * Follows what is changed anywhere else, for as long as the window is seen: a browser has only so many connections for all
 * of its windows. What was missed meanwhile is told on coming back. Gives the function that ends it.
 */
export function followServer(store: AppStore): () => void {
  let source: EventSource | undefined
  let lastId = ''
  let failed = 0
  let again: ReturnType<typeof setTimeout> | undefined
  let gathering: ReturnType<typeof setTimeout> | undefined
  let gathered: (Change | null)[] = []

  const gather = (change: Change | null, id: string) => {
    lastId = id || lastId
    gathered.push(change)
    gathering ??= setTimeout(() => {
      const changes = gathered
      gathered = []
      gathering = undefined
      void store.dispatch(followChanges(changes.includes(null) ? 'missed' : (changes as readonly Change[])))
    }, gatherMs)
  }
  const open = () => {
    if (source || document.visibilityState !== 'visible' || store.getState().server.shutOut) return
    source = new EventSource(`/api/live${lastId && `?after=${encodeURIComponent(lastId)}`}`)
    source.addEventListener('open', () => {
      failed = 0
      store.dispatch(liveChanged(true))
    })
    source.addEventListener('change', ({ data, lastEventId }: MessageEvent<string>) =>
      gather(JSON.parse(data) as Change, lastEventId),
    )
    source.addEventListener('missed', ({ lastEventId }) => gather(null, lastEventId))
    source.addEventListener('error', () => {
      store.dispatch(liveChanged(false))
      // Left to itself the browser comes back where it was only cut off, and never where it was refused.
      if (source?.readyState !== EventSource.CLOSED) return
      close()
      // Why, only another question tells: whoever is no longer let in learns it by that.
      void lookWhoIsHere(store)
      clearTimeout(again)
      again = setTimeout(open, comeAgainMs[Math.min(failed++, comeAgainMs.length - 1)])
    })
  }
  const close = () => {
    source?.close()
    source = undefined
    store.dispatch(liveChanged(false))
  }
  const look = () => (document.visibilityState === 'visible' ? open() : close())
  document.addEventListener('visibilitychange', look)
  addEventListener('online', open)
  open()
  return () => {
    document.removeEventListener('visibilitychange', look)
    removeEventListener('online', open)
    clearTimeout(again)
    clearTimeout(gathering)
    close()
  }
}

/** Whoever belongs to this workshop no longer is shown nothing of it, or the one in which they are now. */
async function lookWhoIsHere({ dispatch }: AppStore): Promise<void> {
  const { data } = await dispatch(
    api.endpoints.here.initiate(undefined, { forceRefetch: true, subscribe: false }),
  )
  if (data && meetAccount(data.account)) location.reload()
}
