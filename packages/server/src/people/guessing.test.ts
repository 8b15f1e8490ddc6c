import { expect } from 'chai'
import { createAuthenticator } from '../testing/authenticator.js'
import { origin, passphrase, useHosted, type Visitor } from '../testing/visitor.js'

describe('whoever guesses at the account of another', function () {
  this.timeout(180_000)
  const { app, visitor, join, signIn, invite } = useHosted()
  const enter = async (who: Visitor, signInName: string, said: string) =>
    (await who.ask('POST', '/api/enter', { signInName, passphrase: said, device: 'Phone' })).status
  const forgetTries = () => app().database.sequelize.query('DELETE FROM tries')

  beforeEach(forgetTries)

  it('is stopped after ten tries from one address, even with the right one, and is told how long', async () => {
    await join('target')
    const thief = visitor()
    const statuses: number[] = []
    for (let guess = 0; guess < 10; guess++)
      statuses.push(await enter(thief, 'target', `guess number ${guess}`))
    expect(new Set(statuses)).to.deep.equal(new Set([403]))
    const stopped = await thief.ask('POST', '/api/enter', {
      signInName: 'target',
      passphrase,
      device: 'Phone',
    })
    expect(stopped.status).to.equal(429)
    expect(Number(stopped.headers.get('Retry-After'))).to.be.within(1, 600)
    expect(stopped.body.detail).to.equal('That was tried too often. Wait 10 minutes, then try again.')
  })

  it('gains nothing by guessing many at once', async () => {
    await join('parallel')
    const thief = visitor()
    const statuses = await Promise.all(
      Array.from({ length: 30 }, (_, guess) => enter(thief, 'parallel', `guess number ${guess}`)),
    )
    expect(statuses.filter(status => status === 403)).to.have.length(10)
    expect(statuses.filter(status => status === 429)).to.have.length(20)
  })

  it('is stopped at other names from the same address, too', async () => {
    const thief = visitor()
    for (let guess = 0; guess < 30; guess++)
      expect(await enter(thief, `name${guess}`, 'whatever it may be')).to.equal(403)
    expect(await enter(thief, 'name31', 'whatever it may be')).to.equal(429)
  })

  it('is stopped from many addresses, and does not lock out whoever it is: not where they were before, not by passkey, not by a code', async () => {
    const victim = await join('victim')
    const key = createAuthenticator()
    const asked = (await victim.ask('POST', '/api/account/passkeys/questions')).body as unknown as {
      ceremony: string
      options: { challenge: string }
    }
    const made = { ceremony: asked.ceremony, response: key.make(asked.options, origin) }
    await victim.ask('POST', '/api/account/passkeys', { passkey: made, passkeyName: 'Phone' })
    const { codes } = (await victim.ask('POST', '/api/account/codes')).body as unknown as {
      codes: readonly string[]
    }
    for (let guess = 0; guess < 50; guess++)
      expect(await enter(visitor(), 'victim', 'whatever it may be')).to.equal(403)
    // from an address that never tried
    expect(await enter(visitor(), 'victim', passphrase)).to.equal(429)
    await victim.ask('DELETE', '/api/account/sessions')
    expect(await enter(victim, 'victim', passphrase)).to.equal(200)
    const elsewhere = visitor()
    const { ceremony, options } = (await elsewhere.ask('POST', '/api/enter/questions'))
      .body as unknown as typeof asked
    const passkey = { ceremony, response: key.answer(options, origin) }
    expect((await elsewhere.ask('POST', '/api/enter', { passkey, device: 'Phone' })).status).to.equal(200)
    const chosen = { code: codes[0], passphrase: 'velvet harrow ninepins cobalt' }
    const recovered = await visitor().ask('POST', '/api/enter/recover', {
      signInName: 'victim',
      device: 'Phone',
      ...chosen,
    })
    expect(recovered.status).to.equal(200)
    // nobody else is stopped by it
    await join('bystander')
    expect((await signIn('bystander')).cookie('snowdrift-session')).to.be.a('string')
  })

  it('is one at all the addresses of its IPv6 network', async () => {
    for (let guess = 0; guess < 30; guess++)
      expect(
        await enter(visitor(`2001:db8:1:2::${guess + 1}`), `six${guess}`, 'whatever it may be'),
      ).to.equal(403)
    expect(await enter(visitor('2001:db8:1:2:ffff::9'), 'six', 'whatever it may be')).to.equal(429)
    expect(await enter(visitor('2001:db8:1:3::1'), 'six', 'whatever it may be')).to.equal(403)
  })

  it('finds a known browser no better to guess from', async () => {
    const own = await join('familiar')
    for (let guess = 0; guess < 10; guess++)
      expect(await enter(own, 'familiar', 'whatever it may be')).to.equal(403)
    expect(await enter(own, 'familiar', passphrase)).to.equal(429)
  })

  it('finds a browser that several people use known to each of them', async () => {
    await join('first')
    await join('second')
    const shared = visitor()
    for (const name of ['first', 'second']) expect(await enter(shared, name, passphrase)).to.equal(200)
    await forgetTries()
    for (let guess = 0; guess < 50; guess++) await enter(visitor(), 'first', 'whatever it may be')
    expect(await enter(visitor(), 'first', passphrase)).to.equal(429)
    expect(await enter(shared, 'first', passphrase)).to.equal(200)
  })

  it('does not pass for a known browser at another name', async () => {
    const own = await join('mine')
    await join('yours')
    for (let guess = 0; guess < 50; guess++) await enter(visitor(), 'yours', 'whatever it may be')
    expect(await enter(own, 'yours', passphrase)).to.equal(429)
  })

  it('is not told apart from whoever mistyped twice', async () => {
    await join('typo')
    const who = visitor()
    for (let round = 0; round < 12; round++) {
      expect(await enter(who, 'typo', passphrase)).to.equal(200)
    }
  })

  it('is stopped at invitations and at confirming, too', async () => {
    const thief = visitor()
    for (let guess = 0; guess < 30; guess++)
      expect((await thief.ask('POST', '/api/enter/invitation', { token: 'A'.repeat(43) })).status).to.equal(
        404,
      )
    const token = await invite()
    expect((await thief.ask('POST', '/api/enter/invitation', { token })).status).to.equal(429)
    const left = await join('unattended')
    for (let guess = 0; guess < 10; guess++)
      expect(
        (await left.ask('POST', '/api/account/confirm', { passphrase: 'whatever it may be' })).status,
      ).to.equal(403)
    expect((await left.ask('POST', '/api/account/confirm', { passphrase })).status).to.equal(429)
  })

  it('is noted where its owner reads it, and nowhere with what was tried', async () => {
    await join('noted')
    await enter(visitor(), 'noted', 'a guess that is not kept')
    let what: readonly string[] = []
    for (let tries = 0; tries < 50 && !what.includes('sign-in-failed'); tries++) {
      await new Promise(resolve => setTimeout(resolve, 20))
      what = (await app().repositories.people.audit.list(app().ours, { limit: 3 })).items.map(
        event => event.what,
      )
    }
    expect(what).to.include('sign-in-failed')
  })
})
