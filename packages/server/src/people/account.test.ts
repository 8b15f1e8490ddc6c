import { expect } from 'chai'
import { QueryTypes } from 'sequelize'
import { coverBody, materialBody, thingBody } from '../testing/bodies.js'
import { passphrase, useHosted, type Visitor } from '../testing/visitor.js'

const minuteMs = 60_000
const other = 'velvet harrow ninepins cobalt'

describe('somebody about themselves', function () {
  this.timeout(120_000)
  const { app, visitor, invite, join, signIn, pass } = useHosted()
  const isIn = async (who: Visitor) => (await who.ask('GET', '/api/settings')).status === 200
  const codesOf = async (who: Visitor) =>
    ((await who.ask('POST', '/api/account/codes')).body as unknown as { codes: readonly string[] }).codes
  const recover = (signInName: string, code: string, changes: object = {}) =>
    visitor().ask('POST', '/api/enter/recover', {
      signInName,
      code,
      passphrase: other,
      device: 'Phone',
      ...changes,
    })

  it('is called otherwise when they say so', async () => {
    const una = await join('una')
    expect((await una.ask('PUT', '/api/account/name', { name: 'Una of the hut' })).status).to.equal(200)
    expect((await una.account()).name).to.equal('Una of the hut')
    expect((await una.ask('PUT', '/api/account/name', { name: 'U\u202Ena' })).status).to.equal(422)
  })

  it('proves once more that it is they before what is hard to take back', async () => {
    const dora = await join('dora')
    const hard = [
      ['PUT', '/api/account/passphrase', { passphrase: other }],
      ['POST', '/api/account/passkeys/questions', {}],
      ['POST', '/api/account/passkeys', {}],
      ['DELETE', '/api/account/passkeys/0b0b0b0b-0b0b-4b0b-8b0b-0b0b0b0b0b0b', undefined],
      ['POST', '/api/account/codes', undefined],
      ['DELETE', '/api/account', undefined],
    ] as const
    pass(10 * minuteMs + 1000)
    for (const [method, path, body] of hard) {
      const answer = await dora.ask(method, path, body)
      expect([answer.status, answer.body.detail], path).to.deep.equal([
        403,
        'Show once more that it is you, by passphrase or passkey; then do this again.',
      ])
    }
    expect((await dora.ask('POST', '/api/account/confirm', { passphrase: 'not it at all' })).status).to.equal(
      403,
    )
    expect((await dora.ask('POST', '/api/account/codes')).status).to.equal(403)
    expect((await dora.ask('POST', '/api/account/confirm', { passphrase })).status).to.equal(200)
    expect((await dora.ask('POST', '/api/account/codes')).status).to.equal(201)
  })

  it('changes their passphrase: other places are out, this one has another token', async () => {
    await join('petra')
    const [here, there] = [await signIn('petra'), await signIn('petra')]
    const token = here.cookie('snowdrift-session')
    const weak = await here.ask('PUT', '/api/account/passphrase', { passphrase: 'petrapetrapetra' })
    expect([weak.status, weak.body.issues[0]?.path]).to.deep.equal([422, 'passphrase'])
    expect((await here.ask('PUT', '/api/account/passphrase', { passphrase: other })).status).to.equal(200)
    expect([await isIn(here), await isIn(there)]).to.deep.equal([true, false])
    expect(here.cookie('snowdrift-session')).not.to.equal(token)
    const old = visitor()
    old.hold('snowdrift-session', token)
    expect(await isIn(old)).to.equal(false)
    const enter = (said: string) =>
      visitor().ask('POST', '/api/enter', { signInName: 'petra', passphrase: said, device: 'Phone' })
    expect([(await enter(passphrase)).status, (await enter(other)).status]).to.deep.equal([403, 200])
  })

  it('comes in by a code when all else is lost: once, with another passphrase, and everybody else is out', async () => {
    const rosa = await join('rosa')
    const [first = '', second = ''] = await codesOf(rosa)
    const shown = `${first.slice(0, 4)}-${first.slice(4, 8)} ${first.slice(8).toLowerCase()}`
    const answer = await recover('Rosa', shown)
    expect(answer.status).to.equal(200)
    expect(await isIn(rosa)).to.equal(false)
    expect((await recover('rosa', first)).status).to.equal(403)
    const enter = await visitor().ask('POST', '/api/enter', {
      signInName: 'rosa',
      passphrase: other,
      device: 'Phone',
    })
    expect(enter.status).to.equal(200)
    // a weak passphrase does not use the code up
    expect((await recover('rosa', second, { passphrase: 'passwordpassword' })).status).to.equal(422)
    expect((await recover('rosa', second)).status).to.equal(200)
  })

  it('is told the same of a wrong code and of a name that nobody has', async () => {
    const lost = await join('lost')
    const [code = ''] = await codesOf(lost)
    const wrong = await recover('lost', 'A'.repeat(16))
    const nobody = await recover('nobody-here', code)
    expect([wrong.status, nobody.status]).to.deep.equal([403, 403])
    expect(wrong.body.detail).to.equal(nobody.body.detail)
    const short = await recover('lost', 'ABC')
    expect([short.status, short.body.issues[0]?.path]).to.deep.equal([422, 'code'])
    // codes of before lead nowhere once there are new ones
    await codesOf(lost)
    expect((await recover('lost', code)).status).to.equal(403)
  })

  it('gives one of two that come with a code at once', async () => {
    const twin = await join('twin')
    const [code = ''] = await codesOf(twin)
    const answers = await Promise.all([recover('twin', code), recover('twin', code), recover('twin', code)])
    expect(answers.map(({ status }) => status).sort()).to.deep.equal([200, 403, 403])
  })

  it('deletes their account with the workshops that they own alone, and nothing else', async () => {
    const { repositories, database, theirs } = app()
    const { members, persons } = repositories.people
    const owner = await join('odd', 'owner', theirs)
    const helper = await join('helper', 'maker', theirs)
    await helper.ask('POST', '/api/account/join', { token: await invite('maker') })
    await owner.ask('POST', '/api/account/join', { token: await invite('maker') })
    const shared = await repositories.covers.create(app().ours, coverBody({ name: 'Stays' }))
    const tower = (await owner.account()).workshops.find(({ id }) => id === theirs)
    await owner.ask('PUT', `/api/account/workshop/${tower?.id ?? ''}`)
    for (const [path, body] of [
      ['/api/things', thingBody],
      ['/api/covers', coverBody()],
      ['/api/materials', materialBody],
    ] as const)
      expect((await owner.ask('POST', path, body)).status).to.equal(201)
    const archive = await app().requestBytes('GET', '/api/archive', undefined, undefined, {
      Host: 'covers.example',
      Cookie: `__Host-snowdrift-session=${owner.cookie('snowdrift-session') ?? ''}`,
    })
    expect([archive.status, archive.bytes.subarray(0, 2).toString()]).to.deep.equal([200, 'PK'])
    expect((await owner.ask('DELETE', '/api/account')).status).to.equal(200)
    expect(owner.cookie('snowdrift-session')).to.equal(undefined)
    expect(await persons.findBySignInName('odd')).to.equal(undefined)
    const tables = await database.sequelize.query<{ name: string }>(
      `SELECT table_name AS name FROM information_schema.columns
       WHERE table_schema = 'public' AND column_name = 'workshop_id'`,
      { type: QueryTypes.SELECT },
    )
    expect(tables.length).to.be.above(15)
    for (const { name } of tables)
      expect(
        await database.sequelize.query(`SELECT 1 FROM "${name}" WHERE workshop_id = $1`, {
          bind: [theirs],
          type: QueryTypes.SELECT,
        }),
        name,
      ).to.deep.equal([])
    for (const table of ['sessions', 'passkeys', 'recovery_codes', 'known_browsers', 'memberships'])
      expect(
        await database.sequelize.query(
          `SELECT 1 FROM ${table} t LEFT JOIN people p ON p.id = t.person_id WHERE p.id IS NULL`,
          { type: QueryTypes.SELECT },
        ),
        table,
      ).to.deep.equal([])
    expect(await repositories.covers.find(app().ours, shared.id)).to.deep.equal(shared)
    // the helper is in the other workshop of theirs, and of what is gone the list says no name
    expect((await helper.ask('PUT', `/api/account/workshop/${app().ours}`)).status).to.equal(200)
    expect(await isIn(helper)).to.equal(true)
    const { items } = await repositories.people.audit.list(app().ours, { limit: 50 })
    const gone = items.find(({ what }) => what === 'account-deleted')
    expect([gone?.who, gone?.whom]).to.deep.equal([null, null])
    expect(await members.hasOwner(theirs)).to.equal(false)
  })

  it('keeps a workshop that has another owner', async () => {
    const { repositories, ours } = app()
    const one = await join('oneowner', 'owner')
    await join('otherowner', 'owner')
    expect((await one.ask('DELETE', '/api/account')).status).to.equal(200)
    expect(await repositories.people.members.hasOwner(ours)).to.equal(true)
  })

  it('signs in again after it is deleted no more, and the name is free', async () => {
    const gone = await join('gone')
    await gone.ask('DELETE', '/api/account')
    const enter = await visitor().ask('POST', '/api/enter', {
      signInName: 'gone',
      passphrase,
      device: 'Phone',
    })
    expect(enter.status).to.equal(403)
    expect((await gone.ask('GET', '/api/here')).status).to.equal(401)
    expect(await isIn(await join('gone'))).to.equal(true)
  })
})
