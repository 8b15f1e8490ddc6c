import type { People, Strength } from '@snowdrift/core'
import { expect } from 'chai'
import { QueryTypes } from 'sequelize'
import { coverBody } from '../testing/bodies.js'
import { passphrase, useHosted } from '../testing/visitor.js'

const dayMs = 86_400_000

describe('people who join where Snowdrift is hosted', function () {
  this.timeout(120_000)
  const { app, visitor, invite, join, signIn, pass } = useHosted()
  const bodyOf = (token: string, changes: object = {}) => ({
    token,
    signInName: 'ida',
    name: 'Ida',
    device: 'Computer',
    passphrase,
    ...changes,
  })
  const issuesOf = (answer: { body: { issues: readonly { path: string; message: string }[] } }) =>
    answer.body.issues.map(({ path }) => path).join()

  it('come by an invitation that says to what, and are in', async () => {
    const { repositories, ours } = app()
    await repositories.people.members.rename(ours, 'The hut')
    await repositories.covers.createAll(ours, [coverBody({ name: 'Hut ledger' })])
    const ida = visitor()
    const token = await invite('owner')
    const asked = await ida.ask('POST', '/api/enter/invitation', { token })
    expect([asked.status, asked.body]).to.deep.equal([200, { workshop: 'The hut', role: 'owner' }])
    const answer = await ida.ask(
      'POST',
      '/api/enter/join',
      bodyOf(token, { signInName: ' Ida ', name: ' Ida ' }),
    )
    expect(answer.status).to.equal(201)
    expect(answer.headers.getSetCookie().find(set => set.startsWith('__Host-snowdrift-session'))).to.match(
      /^__Host-snowdrift-session=[\w-]{43}; Max-Age=5184000; Path=\/; HttpOnly; Secure; SameSite=Strict$/,
    )
    const { codes } = answer.body as unknown as { codes: readonly string[] }
    expect(new Set(codes).size).to.equal(10)
    for (const code of codes) expect(code).to.match(/^[2-9A-HJ-KMNP-Z]{16}$/)
    const here = (await ida.ask('GET', '/api/here')).body as unknown
    const account = await ida.account()
    expect(here).to.deep.equal({
      device: null,
      person: { id: account.id, name: 'Ida', workshop: { id: ours, name: 'The hut', role: 'owner' } },
      account: `${ours} ${account.id}`,
    })
    expect(account).to.deep.include({
      signInName: 'ida',
      hasPassphrase: true,
      recoveryCodesLeft: 10,
      passkeys: [],
    })
    expect(JSON.stringify((await ida.ask('GET', '/api/covers')).body)).to.contain('Hut ledger')
  })

  it('use an invitation up, one of several that come with it at once', async () => {
    const token = await invite()
    const answers = await Promise.all(
      ['una', 'duo', 'tre'].map(signInName =>
        visitor().ask('POST', '/api/enter/join', bodyOf(token, { signInName })),
      ),
    )
    expect(answers.map(({ status }) => status).sort()).to.deep.equal([201, 404, 404])
    const late = await visitor().ask('POST', '/api/enter/invitation', { token })
    expect([late.status, late.body.detail]).to.deep.equal([
      404,
      'This link leads nowhere: it may have run out, been taken back, or lost a letter on the way. Ask whoever gave it to you.',
    ])
  })

  it('are told the same of an invitation that ran out, was withdrawn or never was', async () => {
    const { repositories, ours } = app()
    const old = await invite()
    const withdrawn = await repositories.people.members.invite(ours, 'guest')
    await repositories.people.members.withdraw(ours, withdrawn?.invitation.id ?? '')
    pass(7 * dayMs + 1000)
    for (const token of [old, withdrawn?.token ?? '', 'A'.repeat(43)]) {
      const answer = await visitor().ask('POST', '/api/enter/join', bodyOf(token, { signInName: 'nobody' }))
      expect(answer.status).to.equal(404)
    }
    expect(await repositories.people.persons.findBySignInName('nobody')).to.equal(undefined)
  })

  it('choose a name that is free, and the invitation holds until they do', async () => {
    await join('greta')
    const token = await invite()
    const taken = await visitor().ask('POST', '/api/enter/join', bodyOf(token, { signInName: 'GRETA' }))
    expect([taken.status, issuesOf(taken)]).to.deep.equal([422, 'signInName'])
    const other = await visitor().ask('POST', '/api/enter/join', bodyOf(token, { signInName: 'greta2' }))
    expect(other.status).to.equal(201)
  })

  it('are refused what is no name and no passphrase, with its place', async () => {
    const token = await invite()
    const refused = async (changes: object) => {
      const answer = await visitor().ask('POST', '/api/enter/join', bodyOf(token, changes))
      expect(answer.status, JSON.stringify(changes)).to.equal(422)
      return issuesOf(answer)
    }
    expect(await refused({ signInName: 'ab' })).to.equal('signInName')
    expect(await refused({ signInName: 'two words' })).to.equal('signInName')
    expect(await refused({ name: 'Id\u202Ea' })).to.equal('name')
    expect(await refused({ passphrase: 'elevenchars' })).to.equal('passphrase')
    expect(await refused({ passphrase: 'x'.repeat(129) })).to.equal('passphrase')
    expect(await refused({ token: 'short' })).to.equal('token')
    expect(await refused({ role: 'owner' })).to.equal('role')
  })

  it('choose no passphrase that would be guessed, and any that would not', async () => {
    const token = await invite()
    const weak = ['password1234', 'qwertyuiop12', '123456789012', 'aaaaaaaaaaaa', 'adelheidadelheid']
    for (const chosen of weak) {
      const answer = await visitor().ask(
        'POST',
        '/api/enter/join',
        bodyOf(token, { signInName: 'adelheid', passphrase: chosen }),
      )
      expect([answer.status, issuesOf(answer)], chosen).to.deep.equal([422, 'passphrase'])
      expect(JSON.stringify(answer.body), 'is not said back').not.to.contain(chosen)
    }
    const chosen = 'Schnee im März 🏔 glänzt ✂'
    const joined = visitor()
    const answer = await joined.ask(
      'POST',
      '/api/enter/join',
      bodyOf(token, { signInName: 'adelheid', passphrase: chosen.normalize('NFD') }),
    )
    expect(answer.status).to.equal(201)
    const again = await visitor().ask('POST', '/api/enter', {
      signInName: 'Adelheid',
      passphrase: chosen.normalize('NFC'),
      device: 'Phone',
    })
    expect(again.status).to.equal(200)
  })

  it('are told how well a passphrase withstands guessing while they choose it, so often and no more', async () => {
    const ida = visitor()
    const weigh = async (text: string, own: readonly string[] = []) => {
      const answer = await ida.ask('POST', '/api/enter/strength', { passphrase: text, own })
      expect(answer.status).to.equal(200)
      return answer.body as unknown as Strength
    }
    expect(await weigh('password')).to.deep.equal({ score: 0, isEnough: false })
    expect(await weigh(passphrase)).to.deep.equal({ score: 4, isEnough: true })
    // the same letters are worth less to whoever is called so
    const name = 'Wilhelmina Kittelsen'
    expect((await weigh(name)).score).to.be.above((await weigh(name, ['wilhelmina kittelsen'])).score)
    for (const odd of [
      {},
      { passphrase: '' },
      { passphrase: 'x'.repeat(600) },
      { passphrase, own: ['a', 'b', 'c'] },
    ])
      expect((await ida.ask('POST', '/api/enter/strength', odd)).status, JSON.stringify(odd)).to.equal(422)
    const answers = await Promise.all(
      Array.from({ length: 300 }, () => ida.ask('POST', '/api/enter/strength', { passphrase: 'marmot' })),
    )
    expect(answers.some(({ status }) => status === 429)).to.equal(true)
    // nobody is kept from coming in by that
    expect((await ida.ask('POST', '/api/enter/invitation', { token: await invite() })).status).to.equal(200)
  })

  it('are kept without their passphrases, tokens and codes', async () => {
    const { database } = app()
    const joined = visitor()
    const token = await invite()
    const { body } = await joined.ask('POST', '/api/enter/join', bodyOf(token, { signInName: 'hashed' }))
    const { codes } = body as unknown as { codes: readonly string[] }
    const secrets = [
      passphrase,
      token,
      joined.cookie('snowdrift-session') ?? '',
      joined.cookie('snowdrift-browser') ?? '',
      ...codes,
    ]
    const tables = ['people', 'sessions', 'known_browsers', 'recovery_codes', 'invitations', 'tries', 'audit']
    const kept = JSON.stringify(
      await Promise.all(
        tables.map(table =>
          database.sequelize.query(`SELECT t::text FROM ${table} t`, { type: QueryTypes.SELECT }),
        ),
      ),
    )
    for (const secret of secrets) expect(kept).not.to.contain(secret)
    expect(kept).to.match(/\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
  })

  it('may join another workshop with the account that they have', async () => {
    const { theirs, repositories } = app()
    await repositories.people.members.rename(theirs, 'The tower')
    const bo = await join('bodil', 'maker')
    const token = await invite('guest', theirs)
    expect((await bo.ask('POST', '/api/account/join', { token })).status).to.equal(200)
    const { workshops } = await bo.account()
    expect(workshops.map(({ name, role }) => [name, role])).to.deep.equal([
      ['The hut', 'maker'],
      ['The tower', 'guest'],
    ])
    expect(((await bo.ask('GET', '/api/people')).body as unknown as People).workshop.name).to.equal(
      'The tower',
    )
    const twice = await bo.ask('POST', '/api/account/join', { token: await invite('maker', theirs) })
    expect([twice.status, twice.body.detail]).to.deep.equal([409, 'You belong to “The tower” already.'])
    const [hut] = workshops
    expect((await bo.ask('PUT', `/api/account/workshop/${hut?.id ?? ''}`)).status).to.equal(200)
    expect(((await bo.ask('GET', '/api/people')).body as unknown as People).workshop.name).to.equal('The hut')
    expect((await signIn('bodil')).cookie('snowdrift-session')).to.be.a('string')
  })
})
