import { expect } from 'chai'
import { execFileSync } from 'node:child_process'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { loadWithCode } from './kept-code.js'

describe('kept code', () => {
  let folder = ''
  const file = () => join(folder, 'sums.cjs')
  const load = () => loadWithCode<{ readonly double: (value: number) => number }>(file())

  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-code-'))
    await writeFile(file(), 'exports.double = value => 2 * value')
  })

  afterEach(() => rm(folder, { recursive: true }))

  it('runs a file that has none, and takes it the next time', () => {
    const first = load()
    expect(first.isKept).to.equal(false)
    expect(first.exports.double(4)).to.equal(8)
    first.keep()
    const second = load()
    expect(second.isKept).to.equal(true)
    expect(second.exports.double(4)).to.equal(8)
  })

  it('leaves code of an older file alone, also where both are as long', async () => {
    load().keep()
    await writeFile(file(), 'exports.double = value => 3 * value')
    expect(load().exports.double(4)).to.equal(12)
    expect(load().isKept).to.equal(false)
  })

  it('leaves alone what the engine does not take: cut off, or no code at all', async () => {
    load().keep()
    const kept = await readFile(`${file()}.code`)
    expect(elsewhere(file())).to.deep.equal({ isKept: true, double: 8 })
    for (const broken of [kept.subarray(0, kept.length - 8), Buffer.concat([kept.subarray(0, 32), kept])]) {
      await writeFile(`${file()}.code`, broken)
      expect(elsewhere(file()), `${broken.length} bytes`).to.deep.equal({ isKept: false, double: 8 })
    }
  })

  it('lets the file require what stands beside it', async () => {
    await writeFile(join(folder, 'factor.cjs'), 'module.exports = 5')
    await writeFile(file(), "exports.double = value => value * require('./factor.cjs')")
    expect(load().exports.double(4)).to.equal(20)
  })
})

/** Loads it in a process of its own: an engine that has compiled a source once does not look at kept code again. */
function elsewhere(file: string): unknown {
  const module = JSON.stringify(join(import.meta.dirname, 'kept-code.ts'))
  const script = `import { loadWithCode } from ${module}
    const { exports, isKept } = loadWithCode(${JSON.stringify(file)})
    console.log(JSON.stringify({ isKept, double: exports.double(4) }))`
  const args = ['--import', 'tsx', '--input-type', 'module', '--eval', script]
  return JSON.parse(execFileSync(process.execPath, args, { encoding: 'utf8' }))
}
