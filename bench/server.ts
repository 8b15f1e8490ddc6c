import { spawn } from 'node:child_process'
import { Agent, request } from 'node:http'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { findFreePort } from '../packages/server/src/cluster/free-port.js'
import { variedCover } from './covers.js'
import { quantile, report, timed } from './measure.js'

const rows = 1000
const atOnce = 20

/** Listing 1,000 covers in pages with 20 requests at once, and saving one: the server as it is started, over HTTP. */
export async function benchServer(): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-bench-'))
  const port = await findFreePort()
  const address = `http://127.0.0.1:${port}`
  const main = join(import.meta.dirname, '../packages/server/dist/main.js')
  const server = spawn(process.execPath, [main], {
    env: { ...process.env, PORT: String(port), SNOWDRIFT_DATA: folder },
    stdio: 'ignore',
  })
  try {
    await answers(address)
    for (let n = 0; n < rows; n++) await create(address, n)
    await rowsCounted()
    await benchListing(address)
    await benchSaving(address)
  } finally {
    server.kill('SIGTERM')
    await new Promise(resolve => server.once('close', resolve))
    await rm(folder, { recursive: true })
  }
}

/** The database counts its rows every ten seconds; until then it plans as if there were a handful. */
function rowsCounted(): Promise<void> {
  return new Promise(resolve => setTimeout(resolve, 25_000))
}

async function answers(address: string): Promise<void> {
  for (let tries = 0; tries < 300; tries++) {
    const healthy = await fetch(`${address}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (healthy) return
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  throw new Error('The server did not start')
}

async function create(address: string, n: number): Promise<void> {
  const body = JSON.stringify({ thingId: null, file: variedCover(n) })
  const response = await fetch(`${address}/api/covers`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  })
  if (response.status !== 201) throw new Error(`Creating answered ${response.status}`)
  await response.text()
}

const rounds = 5

/** The middle of five rounds, after two to warm up; in each, twenty visitors turn all the pages. */
async function benchListing(address: string): Promise<void> {
  const pages = await pageAddresses(address)
  const round = async () => {
    const samples: number[] = []
    const visitor = async (start: number) => {
      for (let turn = 0; turn < pages.length; turn++) {
        const page = pages[(start + turn) % pages.length] ?? ''
        samples.push(await timed(() => get(page)))
      }
    }
    await Promise.all(Array.from({ length: atOnce }, (_, index) => visitor(index)))
    return samples
  }
  const all: number[][] = []
  for (let turn = 0; turn < rounds + 2; turn++) all.push(await round())
  const middle = (q: number) =>
    quantile(
      all.slice(2).map(samples => quantile(samples, q)),
      0.5,
    )
  report(`listing ${rows} covers, ${pages.length * atOnce} pages, 20 at once, median`, middle(0.5), 'ms', 30)
  report('listing, 95th percentile', middle(0.95), 'ms', 30)
}

const agent = new Agent({ keepAlive: true, maxSockets: atOnce })

/** The lightest client there is: what is measured is the server. */
function get(address: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const sent = request(address, { agent }, response => {
      response.resume()
      response.once('end', resolve)
    })
    sent.once('error', reject)
    sent.end()
  })
}

/** The address of every page of 18, as the shelf asks for them. */
async function pageAddresses(address: string): Promise<readonly string[]> {
  const pages: string[] = []
  let after = ''
  do {
    const page = `${address}/api/covers?limit=18${after && `&after=${after}`}`
    pages.push(page)
    const { next } = (await (await fetch(page)).json()) as { next: string | null }
    after = next ?? ''
  } while (after)
  return pages
}

async function benchSaving(address: string): Promise<void> {
  const list = (await (await fetch(`${address}/api/covers?limit=1`)).json()) as {
    items: { id: string; version: number }[]
  }
  const [row] = list.items
  if (!row) throw new Error('No cover to save')
  const samples: number[] = []
  for (let turn = 0; turn < 200; turn++) {
    const body = JSON.stringify({ thingId: null, file: variedCover(turn) })
    const headers = { 'Content-Type': 'application/json', 'If-Match': `"v${row.version + turn}"` }
    const save = async () => {
      const response = await fetch(`${address}/api/covers/${row.id}`, { method: 'PUT', headers, body })
      if (response.status !== 200) throw new Error(`Saving answered ${response.status}`)
      await response.text()
    }
    samples.push(await timed(save))
  }
  report('saving a cover, median', quantile(samples, 0.5), 'ms', 40)
  report('saving a cover, 95th percentile', quantile(samples, 0.95), 'ms', 40)
}
