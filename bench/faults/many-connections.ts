import { Agent, request } from 'node:http'
import { variedCover } from '../covers.js'
import { quantile, report } from '../measure.js'
import type { OwnServer } from './own-server.js'

const connections = 200
const limitMs = 1000

/** As many connections as a circle of makers would never open, each asking again as soon as it is answered, for a while. */
export async function benchConnections(server: OwnServer, seconds: number): Promise<void> {
  const agent = new Agent({ keepAlive: true, maxSockets: connections })
  const samples: number[] = []
  let errors = 0
  const held: number[] = []
  const until = performance.now() + seconds * 1000
  const ask = (path: string, method = 'GET', body?: string) =>
    new Promise<boolean>(resolve => {
      const headers = { 'Content-Type': 'application/json' }
      const sent = request(`${server.address}${path}`, { agent, method, headers }, response => {
        response.resume()
        response.once('end', () => resolve((response.statusCode ?? 500) < 400))
      })
      sent.once('error', () => resolve(false))
      sent.end(body)
    })
  const visitor = async (n: number) => {
    for (let turn = n; performance.now() < until; turn++) {
      const began = performance.now()
      const writes = turn % 10 === 0
      const body = JSON.stringify({ thingId: null, file: variedCover(turn) })
      const ok = await (writes ? ask('/api/covers', 'POST', body) : ask('/api/covers?limit=18'))
      samples.push(performance.now() - began)
      if (!ok) errors++
    }
  }
  const watch = setInterval(() => void server.memoryMb().then(mb => held.push(mb)), 500)
  await Promise.all(Array.from({ length: connections }, (_, n) => visitor(n)))
  clearInterval(watch)
  agent.destroy()
  console.log(
    `${connections} connections for ${seconds} s, one request in ten writes: ${samples.length} requests`,
  )
  report('errors', errors, '', 0)
  report('median', quantile(samples, 0.5), 'ms', limitMs)
  report('95th percentile', quantile(samples, 0.95), 'ms', limitMs)
  report('largest memory of the server', Math.max(...held), 'MB', 500)
  // It is warm after a fifth of the time; what it holds in the last is to be no more.
  const fifth = Math.floor(held.length / 5)
  const [warm, last] = [quantile(held.slice(fifth, 2 * fifth), 0.5), quantile(held.slice(-fifth), 0.5)]
  if (fifth > 0) report('memory at the end, of what it was once warm', last / warm, 'times', 1.15)
}
