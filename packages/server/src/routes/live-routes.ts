import { Hono } from 'hono'
import { streamSSE } from 'hono/streaming'
import { answerProblem } from '../http/problems.js'
import type { Changes, Heard } from '../live/changes.js'
import { createInbox } from '../live/inbox.js'
import type { WorkshopEnv } from './workshop.js'

export interface LiveOptions {
  readonly changes: Changes
  /** Ends every stream, when the server stops. */
  readonly closing: AbortSignal
}

/** So many follow one workshop at once; more would be a mistake or malice. */
const mostFollowers = 100
/** A line so often keeps whatever stands between from cutting the connection, and finds those that are dead. */
const beatMs = 20_000
const comeAgainMs = 1000

/** What changes in a workshop, as it changes, as server-sent events: `change`, or `missed` where some may be unheard. */
export function createLiveRoutes({ changes, closing }: LiveOptions): Hono<WorkshopEnv> {
  const followers = new Map<string, number>()
  const count = (workshop: string, by: number) => followers.set(workshop, (followers.get(workshop) ?? 0) + by)
  return new Hono<WorkshopEnv>().get('/', context => {
    const { workshop, isStillIn } = context.var
    if ((followers.get(workshop) ?? 0) >= mostFollowers)
      return answerProblem(context, { kind: 'busy', detail: 'Too many windows look on already. Close some.' })
    // The browser names it where it comes back by itself; a window that looked away for a while does so in the address.
    const after = context.req.header('Last-Event-ID') ?? context.req.query('after')
    return streamSSE(context, async stream => {
      const inbox = createInbox<Heard>(beatMs)
      const leave = changes.follow(workshop, after, inbox.put)
      count(workshop, 1)
      stream.onAbort(inbox.close)
      closing.addEventListener('abort', inbox.close)
      try {
        await stream.writeSSE({ event: 'open', data: '', retry: comeAgainMs })
        for await (const heard of inbox.items()) {
          const concernsWho =
            heard === 'nothing' || heard.change?.kind === 'device' || heard.change?.kind === 'people'
          if (concernsWho && !(await isStillIn())) return
          await stream.writeSSE(heard === 'nothing' ? { event: 'beat', data: '' } : eventOf(heard))
        }
      } finally {
        leave()
        count(workshop, -1)
        closing.removeEventListener('abort', inbox.close)
      }
    })
  })
}

function eventOf({ id, change }: Heard) {
  return { id, event: change ? 'change' : 'missed', data: change ? JSON.stringify(change) : '' }
}
