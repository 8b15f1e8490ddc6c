import { mkdtemp, readdir, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import { openServerLog } from './server-log.js'

const numberOf = (name: string) => Number(/\d+/.exec(name)?.[0] ?? 0)

describe('the log', () => {
  let folder = ''
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-log-'))
  })
  after(() => rm(folder, { recursive: true }))

  it('goes on in another file after 5 MB, and keeps no more than three', async () => {
    const { log, close } = await openServerLog(folder, () => undefined)
    const line = { text: 'x'.repeat(10_000) }
    const full = 5 * 1024 * 1024
    /** Of the file that is written now; `server.10.log` comes after `server.9.log`. */
    const sizeNow = async () => {
      const newest = (await readdir(folder)).toSorted((one, other) => numberOf(other) - numberOf(one))[0]
      return newest === undefined ? 0 : (await stat(join(folder, newest))).size
    }
    // Thirty megabytes in gulps. Before the next, a file that is full has made way for another, however slow the disk is.
    for (let gulp = 0; gulp < 60; gulp++) {
      for (let n = 0; n < 50; n++) log.info(line, 'answered')
      do await new Promise(resolve => setTimeout(resolve, 10))
      while ((await sizeNow()) >= full)
    }
    await close()
    const files = (await readdir(folder)).filter(name => name.endsWith('.log'))
    expect(files.length).to.be.within(2, 3)
    for (const name of files) expect((await stat(join(folder, name))).size).to.be.below(7_000_000)
  })
})
