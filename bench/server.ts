import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { serve, startCluster } from '@snowdrift/server'
import { variedCover } from './covers.js'
import { quantile, report, timed } from './measure.js'

const quiet = { info: () => undefined, error: () => undefined }
const rows = 1000
const atOnce = 20

/** Listing 1,000 covers in pages with 20 requests at once, and saving one, over HTTP on a real database. */
export async function benchServer(): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-bench-'))
  const cluster = await startCluster(folder)
  const server = await serve({ databaseUrl: cluster.url, port: 0, log: quiet })
  try {
    for (let n = 0; n < rows; n++)
      await server.repositories.covers.create(server.workshop, { thingId: null, file: variedCover(n) })
    await benchListing(server.address)
    await benchSaving(server.address)
  } finally {
    await server.close()
    await cluster.stop()
    await rm(folder, { recursive: true })
  }
}

async function benchListing(address: string): Promise<void> {
  const pages = await pageAddresses(address)
  const samples: number[] = []
  const visitor = async (start: number) => {
    for (let turn = 0; turn < pages.length; turn++) {
      const page = pages[(start + turn) % pages.length] ?? ''
      samples.push(await timed(async () => (await fetch(page)).text()))
    }
  }
  await visitor(0)
  samples.length = 0
  await Promise.all(Array.from({ length: atOnce }, (_, index) => visitor(index)))
  report(
    `listing ${rows} covers, ${samples.length} pages, 20 at once, median`,
    quantile(samples, 0.5),
    'ms',
    30,
  )
  report('listing, 95th percentile', quantile(samples, 0.95), 'ms', 30)
}

/** The address of every page of 24, as the shelf asks for them. */
async function pageAddresses(address: string): Promise<readonly string[]> {
  const pages: string[] = []
  let after = ''
  do {
    const page = `${address}/api/covers?limit=24${after && `&after=${after}`}`
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
