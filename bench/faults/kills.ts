import { randomUUID } from 'node:crypto'
import { variedCover } from '../covers.js'
import { quantile, report } from '../measure.js'
import { answers, type OwnServer } from './own-server.js'

const writers = 20
const betweenMs = 400

type Kill = 'node' | 'database' | 'both' | 'worker'

/**
 * Kills of node, of its database, of both and of one of several processes by turns, while twenty writers save without a pause, each save under a key that
 * is sent again until it is answered. Afterwards every save that was acknowledged must be there, once, and nothing else.
 */
export async function benchKills(server: OwnServer, kills: number): Promise<void> {
  const going = { on: true }
  const written = Array.from({ length: writers }, () => ({ id: '', acknowledged: 0, sent: 0, odd: 0 }))
  const work = written.map(state => write(server.address, state, going))
  const kinds: readonly Kill[] = ['node', 'database', 'both', 'worker']
  const backOf: Record<Kill, number[]> = { node: [], database: [], both: [], worker: [] }
  for (let n = 0; n < kills; n++) {
    await new Promise(resolve => setTimeout(resolve, betweenMs))
    const kind = kinds[n % kinds.length] ?? 'node'
    backOf[kind].push(await kill(server, kind))
  }
  going.on = false
  await Promise.all(work)
  let lost = 0
  for (const { id, acknowledged } of written) {
    const row = (await (await fetch(`${server.address}/api/covers/${id}`)).json()) as {
      version: number
      file: { name: string }
    }
    // Each save made the next version and said its number: whatever is missing or doubled shows in both.
    if (row.version !== acknowledged || row.file.name !== `Save ${acknowledged}`) lost++
  }
  const { items } = (await (await fetch(`${server.address}/api/covers?limit=500`)).json()) as {
    items: unknown[]
  }
  const saves = written.reduce((sum, { acknowledged }) => sum + acknowledged, 0)
  console.log(
    `${kills} kills, ${writers} writers, ${saves} saves acknowledged, ${written.reduce((sum, { sent }) => sum + sent, 0)} sent`,
  )
  report('rows in which an acknowledged save is missing or doubled', lost, '', 0)
  report('rows made beside those that were asked for', items.length - writers, '', 0)
  report(
    'answers of another kind than done or “away”',
    written.reduce((sum, { odd }) => sum + odd, 0),
    '',
    0,
  )
  for (const [kind, times] of Object.entries(backOf))
    if (times.length > 0) console.log(`back after a kill of ${kind}: ${times.map(inSeconds).join(' ')} s`)
  const back = Object.values(backOf).flat()
  report('back after a kill, median', quantile(back, 0.5) / 1000, 's', 5)
  report('back after a kill, longest', Math.max(...back) / 1000, 's', 5)
}

function inSeconds(ms: number): string {
  return (ms / 1000).toFixed(1)
}

/** Gives how many milliseconds it took until pages were answered again. */
async function kill(server: OwnServer, what: Kill): Promise<number> {
  const began = performance.now()
  if (what === 'worker') {
    if (!(await server.killWorker())) await server.killNode().then(server.start)
    await answers(server.address)
    return performance.now() - began
  }
  if (what !== 'node') await server.killDatabase()
  if (what === 'database') await new Promise(resolve => setTimeout(resolve, 50))
  else {
    await server.killNode()
    await server.start()
  }
  await answers(server.address)
  return performance.now() - began
}

interface State {
  id: string
  acknowledged: number
  sent: number
  odd: number
}

async function write(address: string, state: State, going: { readonly on: boolean }): Promise<void> {
  state.id = randomUUID()
  while (going.on || state.acknowledged === 0) {
    const next = state.acknowledged + 1
    const base = next === 1 ? { 'If-None-Match': '*' } : { 'If-Match': `"v${state.acknowledged}"` }
    const headers = { 'Content-Type': 'application/json', 'Idempotency-Key': randomUUID(), ...base }
    const body = JSON.stringify({ thingId: null, file: { ...variedCover(next), name: `Save ${next}` } })
    for (;;) {
      state.sent++
      const status = await fetch(`${address}/api/covers/${state.id}`, {
        method: 'PUT',
        headers,
        body,
        signal: AbortSignal.timeout(15_000),
      }).then(
        async response => (await response.arrayBuffer(), response.status),
        () => 0,
      )
      if (status === 200) break
      if (status !== 0 && status !== 503) state.odd++
      await new Promise(resolve => setTimeout(resolve, 30))
    }
    state.acknowledged = next
  }
}
