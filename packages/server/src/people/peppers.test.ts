import { expect } from 'chai'
import { chmod, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { StartFailure } from '../start-failure.js'
import { startTestDatabase, type TestDatabase } from '../testing/test-database.js'
import { connect } from '../db/connect.js'
import { migrate } from '../db/migrate.js'
import { createRepositories } from '../db/repositories/repositories.js'
import { rowTools } from '../prepare.js'
import { openAccounts } from './open-accounts.js'
import { readPeppers } from './peppers.js'

const secret = (letter: string) => letter.repeat(44)

describe('the secrets of passphrases', function () {
  this.timeout(60_000)
  let folder = ''
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), 'snowdrift-peppers-'))
  })
  afterEach(() => rm(folder, { recursive: true }))
  const file = async (text: string, mode = 0o600) => {
    const path = join(folder, 'peppers')
    await writeFile(path, text)
    await chmod(path, mode)
    return path
  }
  const complaint = async (path: string) =>
    readPeppers(path).then(
      () => 'none',
      (error: unknown) => (error instanceof StartFailure ? error.message : String(error)),
    )

  it('are read from a file, the newest first, each by a name that tells nothing of it', async () => {
    const peppers = await readPeppers(await file(`${secret('a')}\n\n  ${secret('b')}\n`))
    expect(peppers.map(pepper => pepper.secret.toString())).to.deep.equal([secret('a'), secret('b')])
    const [one, other] = peppers
    expect(one?.name)
      .to.match(/^[0-9a-f]{12}$/)
      .and.to.not.equal(other?.name)
    // the same secret has the same name on every machine
    const [same] = await readPeppers(await file(secret('a')))
    expect(same?.name).to.equal(one?.name)
  })

  it('are refused where others may read them, where they are short, too many or not there', async () => {
    expect(await complaint(await file(secret('a'), 0o604))).to.include('chmod 600')
    // a group that a service belongs to may
    expect(await complaint(await file(secret('a'), 0o440))).to.equal('none')
    for (const text of ['', '\n', 'short', `${secret('a')}\nshort`, `${secret('a')}\n`.repeat(9)])
      expect(await complaint(await file(text)), text).to.match(
        /^SNOWDRIFT_PEPPER_FILE must hold 1 to 8 secrets/,
      )
    expect(await complaint(join(folder, 'nowhere'))).to.match(
      /^SNOWDRIFT_PEPPER_FILE cannot be read: .*nowhere/,
    )
  })
})

describe('a secret of passphrases that is lost', function () {
  this.timeout(120_000)
  let database: TestDatabase
  before(async () => {
    database = await startTestDatabase()
  })
  after(() => database.remove())

  it('is told at the start, with how many it keeps out', async () => {
    const connected = await connect(database.cluster.url)
    await migrate(connected)
    const { persons } = createRepositories(connected, rowTools).people
    const complaints: object[] = []
    const log = { info: () => undefined, error: (what: object) => void complaints.push(what) }
    const open = (pepperSocket?: string) =>
      openAccounts(
        {
          origin: 'https://covers.example',
          isOpen: false,
          ...(pepperSocket !== undefined && { pepperSocket }),
        },
        { persons, sequelize: connected.sequelize, log },
      )
    const person = (signInName: string, passphraseHash: string | null) =>
      persons.create({ id: rowTools.newId(), signInName, name: signInName, passphraseHash })
    await person('bare', '$argon2id$v=19$made without')
    await person('keyed', null)
    await open()
    expect(complaints).to.deep.equal([])
    await person('one', 'abc$argon2id$v=19$made with')
    await person('two', 'abc$argon2id$v=19$made with it, too')
    await open()
    expect(complaints).to.deep.equal([{ pepper: 'abc', people: 2 }])
    // where nobody is there to be asked, that is said, and the start goes on
    const { passphrases } = await open('/nowhere/socket')
    expect(complaints.slice(1).map(complaint => Object.keys(complaint))).to.deep.equal([['error']])
    expect(await passphrases.names().catch((error: unknown) => String(error))).to.include('/nowhere/socket')
    await connected.close()
  })
})
