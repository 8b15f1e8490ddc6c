import { chmod, lstat, rm } from 'node:fs/promises'
import { connect, type Server } from 'node:net'
import { createAdaptorServer } from '@hono/node-server'
import type { Fetch } from '../http/listen.js'
import { StartFailure } from '../start-failure.js'

/** Its owner and its group may ask. */
const mode = 0o660

/**
 * Listens at a Unix socket, which nobody reaches from the network. Takes the place of one that was left behind by a process that
 * is gone; a StartFailure where another listens there, something else stands there, or none can be made. Gives the function that ends it.
 */
export async function listenAtSocket(fetch: Fetch, path: string): Promise<() => Promise<void>> {
  await clear(path)
  const server = createAdaptorServer({ fetch, serverOptions: { requestTimeout: 15_000 } }) as Server
  await new Promise<void>((resolve, reject) => {
    server.once('error', error =>
      reject(new StartFailure(`SNOWDRIFT_PEPPER_SOCKET cannot be opened: ${error.message}`)),
    )
    server.listen(path, resolve)
  })
  await chmod(path, mode)
  return () => new Promise(resolve => void server.close(() => resolve()))
}

async function clear(path: string): Promise<void> {
  const there = await lstat(path).catch(() => undefined)
  if (!there) return
  if (!there.isSocket())
    throw new StartFailure(`SNOWDRIFT_PEPPER_SOCKET is to be a socket; at ${path} is something else.`)
  if (await isListening(path)) throw new StartFailure(`Another one holds secrets at ${path} already.`)
  await rm(path)
}

function isListening(path: string): Promise<boolean> {
  return new Promise(resolve => {
    const socket = connect(path)
    const settle = (is: boolean) => {
      socket.destroy()
      resolve(is)
    }
    socket.once('connect', () => settle(true))
    socket.once('error', () => settle(false))
  })
}
