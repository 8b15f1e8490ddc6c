import type { Server as NodeServer } from 'node:http'
import { serve } from '@hono/node-server'

export interface Listening {
  readonly port: number
  /** Takes no more, and ends once everything that was begun is answered, or the longest wait is over. */
  readonly close: () => Promise<void>
}

/** Listens on 127.0.0.1 with `fetch`; port 0 is any free one. A server that stops waits so long for what it has begun. */
export async function listen(
  fetch: Parameters<typeof serve>[0]['fetch'],
  port: number,
  longestMs: number,
): Promise<Listening> {
  return new Promise((resolve, reject) => {
    const server = serve(
      { fetch, port, hostname: '127.0.0.1', serverOptions: { requestTimeout: 30_000 } },
      info => resolve({ port: info.port, close: () => close(server as NodeServer, longestMs) }),
    )
    server.once('error', reject)
  })
}

function close(server: NodeServer, longestMs: number): Promise<void> {
  return new Promise(resolve => {
    // A connection that is kept open would be idle for a moment only: each is ended as soon as it is answered.
    const sweep = setInterval(() => server.closeIdleConnections(), 20)
    const force = setTimeout(() => server.closeAllConnections(), longestMs)
    server.close(() => {
      clearInterval(sweep)
      clearTimeout(force)
      resolve()
    })
    server.closeIdleConnections()
  })
}
