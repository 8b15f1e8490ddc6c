import type { Server as NodeServer } from 'node:http'
import { createServer as createSealedServer } from 'node:https'
import { serve } from '@hono/node-server'

export interface Listening {
  readonly port: number
  /** Takes no more, and ends once everything that was begun is answered, or the longest wait is over. */
  readonly close: () => Promise<void>
}

export type Fetch = Parameters<typeof serve>[0]['fetch']

/** A certificate with what proves that it is ours, both in PEM. */
export interface Certificate {
  readonly cert: string
  readonly key: string
}

export interface ListenOptions {
  /** 0 is any free one. */
  readonly port: number
  /** How long a server that stops waits for what it has begun. */
  readonly stopWithinMs: number
  readonly hostname?: string
  readonly certificate?: Certificate
}

/** Slow heads and slow bodies are not waited for any longer. */
const limits = { headersTimeout: 15_000, requestTimeout: 30_000 }

/** Listens with `fetch`, on 127.0.0.1 unless said; sealed where there is a certificate. Throws where the port is taken. */
export async function listen(
  fetch: Fetch,
  { port, stopWithinMs, hostname = '127.0.0.1', certificate }: ListenOptions,
): Promise<Listening> {
  const sealing = certificate
    ? { createServer: createSealedServer, serverOptions: { ...limits, ...certificate } }
    : { serverOptions: limits }
  return new Promise((resolve, reject) => {
    const server = serve({ fetch, port, hostname, ...sealing }, info =>
      resolve({ port: info.port, close: () => close(server as NodeServer, stopWithinMs) }),
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
