import { expect } from 'chai'
import { mkdtemp, rename, rm, stat, writeFile } from 'node:fs/promises'
import { createServer } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createPassphrases, TooManyWait, type Passphrases } from '../people/passphrases.js'
import type { Pepper } from '../people/peppers.js'
import { StartFailure } from '../start-failure.js'
import { passphrase, useHosted } from '../testing/visitor.js'
import { createKeeper } from './keeper-app.js'
import { listenAtSocket } from './listen-at-socket.js'
import { KeeperAway, passphrasesApart } from './passphrases-apart.js'

const pepper = (name: string): Pepper => ({
  name,
  secret: Buffer.from(`${name} of forty signs that nobody guesses`),
})
const [older, newer] = [pepper('older'), pepper('newer')]
const other = 'velvet harrow ninepins cobalt'

/** A keeper at a socket of its own, which ends with the test. */
function useKeeper() {
  const noted: object[] = []
  const log = { info: () => undefined, error: (what: object) => void noted.push(what) }
  let folder = ''
  let close: (() => Promise<void>) | undefined
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-keeper-'))
  })
  const end = async () => {
    await close?.()
    close = undefined
  }
  after(async () => {
    await end()
    await rm(folder, { recursive: true })
  })
  return {
    noted,
    path: () => join(folder, 'socket'),
    hold: async (passphrases: Passphrases) => {
      await end()
      close = await listenAtSocket(createKeeper(passphrases, log).fetch, join(folder, 'socket'))
    },
    end,
  }
}

const outcome = (asking: Promise<unknown>) =>
  asking.then(
    () => 'none',
    (error: unknown) => error,
  )

describe('secrets of passphrases that a process apart holds', function () {
  this.timeout(60_000)
  const keeper = useKeeper()

  it('are reckoned with there, as they would be here', async () => {
    const here = createPassphrases([newer, older])
    await keeper.hold(here)
    const apart = passphrasesApart(keeper.path())
    expect(await apart.names()).to.deep.equal(['newer', 'older'])
    const made = await apart.hash(passphrase)
    expect([await here.fits(passphrase, made), await apart.fits(passphrase, made)]).to.deep.equal([
      true,
      true,
    ])
    expect([await apart.fits(other, made), await apart.fits(passphrase, null)]).to.deep.equal([false, false])
    const old = await createPassphrases([older]).hash(passphrase)
    expect([await apart.fits(passphrase, old), await apart.isOld(old)]).to.deep.equal([true, true])
    expect([await apart.isOld(made), await apart.isOld('$argon2id$bare')]).to.deep.equal([false, true])
    // where hashes are made without a secret, one without is new
    await keeper.hold(createPassphrases([]))
    expect([await apart.names(), await apart.isOld('$argon2id$bare')]).to.deep.equal([[], false])
  })

  it('are in no answer, and neither what was sent nor a stack is', async () => {
    const asked = createKeeper(createPassphrases([newer]), {
      info: () => undefined,
      error: () => undefined,
    })
    const post = (path: string, body: string) => asked.request(path, { method: 'POST', body })
    const answers = [
      await asked.request('/names'),
      await post('/hash', JSON.stringify({ passphrase })),
      await post('/fits', JSON.stringify({ passphrase, hashed: 'newer$argon2id$broken' })),
      await post('/hash', JSON.stringify({ passphrase, secret: 'of mine' })),
      await post('/fits', '{'),
      await post('/hash', JSON.stringify({ passphrase: 'x'.repeat(20_000) })),
      await asked.request('/secrets'),
    ]
    expect(answers.map(({ status }) => status)).to.deep.equal([200, 200, 500, 400, 400, 413, 404])
    for (const answer of answers) {
      const text = await answer.text()
      for (const secret of [newer.secret.toString(), passphrase, 'of mine', '.ts:'])
        expect(text).to.not.include(secret)
    }
  })

  it('are away while nobody holds them, and say where too many ask at once', async () => {
    const apart = passphrasesApart(keeper.path())
    await keeper.end()
    expect(await outcome(apart.hash(passphrase))).to.be.instanceOf(KeeperAway)
    await keeper.hold({
      ...createPassphrases([]),
      hash: async () => Promise.reject(new TooManyWait('fifty')),
      fits: async () => Promise.reject(new Error('broken')),
    })
    expect(await outcome(apart.hash(passphrase))).to.be.instanceOf(TooManyWait)
    expect(String(await outcome(apart.fits(passphrase, 'x')))).to.include('answered 500 to /fits')
    expect(keeper.noted).to.deep.equal([{ error: 'broken' }])
  })
})

describe('the socket of whoever holds secrets', () => {
  const keeper = useKeeper()
  const nothing = createPassphrases([])

  it('is open to its owner and group alone, and gone with them', async () => {
    await keeper.hold(nothing)
    expect((await stat(keeper.path())).mode & 0o777).to.equal(0o660)
    await keeper.end()
    expect(await outcome(stat(keeper.path()))).to.include({ code: 'ENOENT' })
  })

  it('takes the place of one that was left behind, and of nothing else', async () => {
    await keeper.hold(nothing)
    const fetch = () => new Response('other')
    const refusal = await outcome(listenAtSocket(fetch, keeper.path()))
    expect(refusal).to.be.instanceOf(StartFailure)
    expect(String(refusal)).to.include('Another one holds secrets')
    expect(await passphrasesApart(keeper.path()).names()).to.deep.equal([])
    await keeper.end()
    await writeFile(keeper.path(), 'a letter')
    expect(String(await outcome(listenAtSocket(fetch, keeper.path())))).to.include('something else')
    await rm(keeper.path())
    const nowhere = await outcome(listenAtSocket(fetch, join(keeper.path(), 'deeper')))
    expect(nowhere).to.be.instanceOf(StartFailure)
    expect(String(nowhere)).to.match(/SNOWDRIFT_PEPPER_SOCKET cannot be opened: listen E/)
    await leaveBehind(keeper.path())
    await keeper.hold(nothing)
    expect(await passphrasesApart(keeper.path()).names()).to.deep.equal([])
  })
})

/** A socket whose process is gone without having taken it away: its file is kept under another name while it is closed. */
async function leaveBehind(path: string): Promise<void> {
  const server = createServer()
  await new Promise<void>(resolve => server.listen(path, resolve))
  await rename(path, `${path}.kept`)
  await new Promise(resolve => server.close(resolve))
  await rename(`${path}.kept`, path)
}

describe('signing in where a process apart holds the secrets', function () {
  this.timeout(120_000)
  const keeper = useKeeper()
  const asked: Passphrases = {
    hash: async one => passphrasesApart(keeper.path()).hash(one),
    fits: async (one, hashed) => passphrasesApart(keeper.path()).fits(one, hashed),
    isOld: async hashed => passphrasesApart(keeper.path()).isOld(hashed),
    names: async () => passphrasesApart(keeper.path()).names(),
  }
  const { app, join: joins, signIn, visitor } = useHosted({ passphrases: asked })
  const tryIn = (who = visitor('10.9.9.9')) =>
    who.ask('POST', '/api/enter', { signInName: 'ida', passphrase, device: 'Phone' })

  it('works as before; while it is away that is said, and counts as no try', async () => {
    await keeper.hold(createPassphrases([newer]))
    await joins('ida')
    const kept = (await app().repositories.people.persons.findBySignInName('ida'))?.passphraseHash
    expect(kept).to.match(/^newer\$argon2id/)
    await signIn('ida')
    await keeper.end()
    // more often than anybody may guess in ten minutes
    for (let turn = 0; turn < 12; turn++) {
      const { status, body } = await tryIn()
      expect([status, body.detail]).to.deep.equal([
        503,
        'No passphrase can be looked at just now. Take a passkey, or try again in a moment.',
      ])
    }
    await keeper.hold(createPassphrases([newer]))
    expect((await tryIn()).status).to.equal(200)
  })
})
