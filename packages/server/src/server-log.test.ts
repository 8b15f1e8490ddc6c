import { mkdtemp, readdir, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import { openServerLog } from './server-log.js'

describe('the log', () => {
  let folder = ''
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-log-'))
  })
  after(() => rm(folder, { recursive: true }))

  it('goes on in another file after 5 MB, and keeps no more than three', async () => {
    const { log, close } = await openServerLog(folder, () => undefined)
    const line = { text: 'x'.repeat(10_000) }
    // Thirty megabytes in gulps, each of which the disk takes before the next.
    for (let gulp = 0; gulp < 60; gulp++) {
      for (let n = 0; n < 50; n++) log.info(line, 'answered')
      await new Promise(resolve => setTimeout(resolve, 10))
    }
    await close()
    const files = (await readdir(folder)).filter(name => name.endsWith('.log'))
    expect(files.length).to.be.within(2, 3)
    for (const name of files) expect((await stat(join(folder, name))).size).to.be.below(7_000_000)
  })
})
