import { spawn } from 'node:child_process'
import { access, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'chai'
import { passphrasesApart } from './keeper/passphrases-apart.js'

describe('holding secrets in a process apart', function () {
  this.timeout(60_000)
  let folder = ''
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-secrets-'))
  })
  after(() => rm(folder, { recursive: true }))

  function run(variables: Record<string, string>) {
    const main = join(import.meta.dirname, '../dist/keep-secrets-main.js')
    const { SNOWDRIFT_PEPPER_FILE: _file, SNOWDRIFT_PEPPER_SOCKET: _socket, ...others } = process.env
    const child = spawn(process.execPath, [main], { env: { ...others, ...variables } })
    let output = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', chunk => (output += String(chunk)))
    const ended = new Promise<number | null>(resolve => child.once('close', resolve))
    const said = async (what: RegExp) => {
      while (!what.test(output)) {
        const isOver = await Promise.race([ended, new Promise(resolve => setTimeout(resolve, 20, 'waiting'))])
        if (isOver !== 'waiting') throw new Error(`It ended with ${String(isOver)}: ${output}`)
      }
    }
    return { child, output: () => output, ended, said }
  }

  it('answers until it is told to stop, and leaves nothing behind', async () => {
    const secret = 's'.repeat(44)
    const [file, socket] = [join(folder, 'peppers'), join(folder, 'socket')]
    await writeFile(file, `${secret}\n`, { mode: 0o600 })
    const holding = run({ SNOWDRIFT_PEPPER_FILE: file, SNOWDRIFT_PEPPER_SOCKET: socket })
    await holding.said(/Holds the secrets of passphrases at .*socket\./)
    const apart = passphrasesApart(socket)
    const made = await apart.hash('marmot bracket yonder pewter')
    expect(await apart.fits('marmot bracket yonder pewter', made)).to.equal(true)
    const [name] = await apart.names()
    expect(made.startsWith(`${name}$argon2id$`)).to.equal(true)
    holding.child.kill('SIGTERM')
    expect(await holding.ended).to.equal(0)
    expect(holding.output()).to.not.include(secret)
    expect(
      await access(socket).then(
        () => 'there',
        () => 'gone',
      ),
    ).to.equal('gone')
  })

  it('says in words what is missing', async () => {
    const nothing = run({})
    expect(await nothing.ended).to.equal(1)
    expect(nothing.output()).to.match(/^snowdrift: SNOWDRIFT_PEPPER_FILE names the secrets.*missing\.\n$/s)
    const nowhere = run({ SNOWDRIFT_PEPPER_FILE: join(folder, 'none'), SNOWDRIFT_PEPPER_SOCKET: 'socket' })
    expect(await nowhere.ended).to.equal(1)
    expect(nowhere.output()).to.match(/^snowdrift: SNOWDRIFT_PEPPER_FILE cannot be read/)
  })
})
