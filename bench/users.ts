import { randomUUID } from 'node:crypto'
import { variedCover } from './covers.js'
import { quantile, report, timed } from './measure.js'
import { createCover, startServer } from './running-server.js'

const users = 200
const seconds = 25
/** They come one after the other, and what comes meanwhile is not counted: the server has only just been started. */
const comingMs = 5000
const covers = 300
/** Nobody does two things within the same moment. */
const thinkMs = 1000
/** Of so many things that somebody does, one is a save. */
const saveEvery = 4

interface Counted {
  readonly reads: number[]
  readonly saves: number[]
  errors: number
}

/** Two hundred people at once before one process and before four, and how soon one sees what another changed. */
export async function benchUsers(): Promise<void> {
  for (const workers of [1, 4]) {
    const { address, stop } = await startServer(workers)
    try {
      for (let n = 0; n < covers; n++) await createCover(address, n)
      const counted = await crowd(address)
      const by = `${users} people, ${workers} process${workers === 1 ? '' : 'es'}`
      report(`${by}: reading, 95th percentile`, quantile(counted.reads, 0.95), 'ms', 150)
      report(`${by}: saving, 95th percentile`, quantile(counted.saves, 0.95), 'ms', 200)
      report(`${by}: errors`, counted.errors, '', 0)
      if (workers === 4) await benchSeeing(address)
    } finally {
      await stop()
    }
  }
}

async function crowd(address: string): Promise<Counted> {
  const counted: Counted = { reads: [], saves: [], errors: 0 }
  const began = performance.now()
  const until = began + seconds * 1000
  const person = async (n: number) => {
    const id = randomUUID()
    let version = 0
    await pause((n / users) * comingMs)
    for (let done = 0; performance.now() < until; done++) {
      const isSave = (done + n) % saveEvery === 0
      let status = 0
      const ms = await timed(async () => {
        const answer = isSave
          ? await save(address, id, version, n + done)
          : await fetch(`${address}/api/covers?limit=18`)
        await answer.arrayBuffer()
        status = answer.status
      })
      if (status >= 300) counted.errors++
      if (isSave) version++
      if (performance.now() - began > comingMs) (isSave ? counted.saves : counted.reads).push(ms)
      await pause(thinkMs * (0.5 + Math.random()))
    }
  }
  await Promise.all(Array.from({ length: users }, (_, n) => person(n)))
  return counted
}

/** From a change on one device to its being told on another, by way of whichever processes. */
async function benchSeeing(address: string): Promise<void> {
  const leave = new AbortController()
  const answer = await fetch(`${address}/api/live`, { signal: leave.signal })
  let text = ''
  let tell = () => undefined as void
  const reading = (async () => {
    const decoder = new TextDecoder()
    for await (const part of answer.body ?? []) {
      text += decoder.decode(part, { stream: true })
      tell()
    }
  })().catch(() => undefined)
  const samples: number[] = []
  for (let n = 0; n < 50; n++) {
    const id = randomUUID()
    samples.push(
      await timed(async () => {
        await (await save(address, id, 0, n)).arrayBuffer()
        while (!text.includes(id)) await new Promise<void>(resolve => (tell = resolve))
      }),
    )
  }
  leave.abort()
  await reading
  report('a change, until another device hears of it, 95th percentile', quantile(samples, 0.95), 'ms', 1000)
}

function save(address: string, id: string, version: number, n: number): Promise<Response> {
  return fetch(`${address}/api/covers/${id}`, {
    method: 'PUT',
    headers: {
      'Content-Type': 'application/json',
      ...(version === 0 ? { 'If-None-Match': '*' } : { 'If-Match': `"v${version}"` }),
    },
    body: JSON.stringify({ thingId: null, file: variedCover(n) }),
  })
}

function pause(ms: number): Promise<void> {
  return new Promise(resolve => setTimeout(resolve, ms))
}
