import type { ArchiveNews } from '@snowdrift/core'
import { report, timed } from './measure.js'
import { createCover, startServer } from './running-server.js'

const few = 200
const many = 1000

/** A workshop of so many covers out of one server and into another, and what that adds to what each holds in memory. */
export async function benchArchive(): Promise<void> {
  const from = await startServer()
  try {
    for (let n = 0; n < few; n++) await createCover(from.address, n)
    // Once for warming up: what is loaded and compiled then is not the archive's.
    const small = await takeOut(from.address)
    for (let n = few; n < many; n++) await createCover(from.address, n)
    const held = await from.memory()
    let whole = new Uint8Array()
    const peak = highest(from.memory)
    const out = await timed(async () => (whole = await takeOut(from.address)))
    report(`archive of ${many} covers, out (${Math.round(whole.length / 1024)} kB)`, out, 'ms', 20_000)
    report('memory that this added', (await peak()) - held, 'MB', 60)
    await takeIntoAnother(small, whole)
  } finally {
    await from.stop()
  }
}

async function takeIntoAnother(
  small: Uint8Array<ArrayBuffer>,
  whole: Uint8Array<ArrayBuffer>,
): Promise<void> {
  const into = await startServer()
  try {
    await takeIn(into.address, small)
    const held = await into.memory()
    const peak = highest(into.memory)
    let added = 0
    const milliseconds = await timed(async () => (added = await takeIn(into.address, whole)))
    report(`archive of ${many} covers, in (${added} new)`, milliseconds, 'ms', 20_000)
    report('memory that this added', (await peak()) - held, 'MB', 60)
  } finally {
    await into.stop()
  }
}

/** Looks again and again; the function that it gives ends that, and says the most that was seen. */
function highest(look: () => Promise<number>): () => Promise<number> {
  let most = 0
  const timer = setInterval(() => void look().then(now => (most = Math.max(most, now))), 20)
  return async () => {
    clearInterval(timer)
    return Math.max(most, await look())
  }
}

async function takeOut(address: string): Promise<Uint8Array<ArrayBuffer>> {
  const answer = await fetch(`${address}/api/archive`)
  if (!answer.ok) throw new Error(`The archive answered ${answer.status}`)
  return new Uint8Array(await answer.arrayBuffer())
}

/** Gives how many covers were added. */
async function takeIn(address: string, body: Uint8Array<ArrayBuffer>): Promise<number> {
  const answer = await fetch(`${address}/api/archive`, { method: 'POST', body })
  const last = JSON.parse((await answer.text()).trim().split('\n').at(-1) ?? '') as ArchiveNews
  if (!('report' in last) || !last.taken) throw new Error(JSON.stringify(last))
  return last.report.counts.covers.added
}
