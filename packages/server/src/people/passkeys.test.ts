import { expect } from 'chai'
import { generateKeyPairSync, randomUUID } from 'node:crypto'
import { createAuthenticator, type AnswerChanges, type Authenticator } from '../testing/authenticator.js'
import { origin, passphrase, useHosted, type Visitor } from '../testing/visitor.js'

interface Asked {
  readonly ceremony: string
  readonly options: { readonly challenge: string; readonly allowCredentials?: readonly { id: string }[] }
}

describe('passkeys', function () {
  this.timeout(120_000)
  const { app, visitor, invite, join, pass } = useHosted()
  const question = async (who: Visitor, path: string, body?: unknown) =>
    (await who.ask('POST', path, body)).body as unknown as Asked
  const add = async (who: Visitor, key: Authenticator, name = 'Phone', at = origin) => {
    const { ceremony, options } = await question(who, '/api/account/passkeys/questions')
    const body = { passkey: { ceremony, response: key.make(options, at) }, passkeyName: name }
    return who.ask('POST', '/api/account/passkeys', body)
  }
  const enter = async (key: Authenticator, changes: AnswerChanges = {}, at = origin) => {
    const who = visitor()
    const { ceremony, options } = await question(who, '/api/enter/questions')
    const body = { passkey: { ceremony, response: key.answer(options, at, changes) }, device: 'Phone' }
    return { who, body, answer: await who.ask('POST', '/api/enter', body) }
  }

  it('are made by somebody who is in, and let them in without a name or a passphrase', async () => {
    const ida = await join('ida')
    const key = createAuthenticator()
    const added = await add(ida, key, 'Ida’s phone')
    expect([added.status, added.body.name]).to.deep.equal([201, 'Ida’s phone'])
    const { who, answer } = await enter(key)
    expect(answer.status).to.equal(200)
    const account = await who.account()
    expect(account.signInName).to.equal('ida')
    expect(account.passkeys[0]?.usedAt).to.be.a('string')
  })

  it('can be what somebody joins with, and then they have no passphrase', async () => {
    const token = await invite()
    const who = visitor()
    const key = createAuthenticator()
    const { ceremony, options } = await question(who, '/api/enter/questions/new', { token })
    const passkey = { ceremony, response: key.make(options, origin) }
    const body = { token, signInName: 'keyed', name: 'Keyed', device: 'Phone', passkey, passkeyName: 'Phone' }
    expect((await who.ask('POST', '/api/enter/join', body)).status).to.equal(201)
    expect((await who.account()).hasPassphrase).to.equal(false)
    expect((await enter(key)).answer.status).to.equal(200)
    const byPassphrase = await visitor().ask('POST', '/api/enter', {
      signInName: 'keyed',
      passphrase,
      device: 'Phone',
    })
    expect(byPassphrase.status).to.equal(403)
    // the last way in is not taken away
    const [only] = (await who.account()).passkeys
    const refused = await who.ask('DELETE', `/api/account/passkeys/${only?.id ?? ''}`)
    expect([refused.status, refused.body.detail]).to.deep.equal([
      409,
      'It is the last by which you can sign in. Choose a passphrase first.',
    ])
    expect((await enter(key)).answer.status).to.equal(200)
    await who.ask('PUT', '/api/account/passphrase', { passphrase: 'velvet harrow ninepins cobalt' })
    expect((await who.ask('DELETE', `/api/account/passkeys/${only?.id ?? ''}`)).status).to.equal(200)
    expect((await enter(key)).answer.status).to.equal(403)
  })

  it('are not asked for by whoever has no invitation', async () => {
    const answer = await visitor().ask('POST', '/api/enter/questions/new', { token: 'A'.repeat(43) })
    expect(answer.status).to.equal(404)
  })

  it('prove nothing made elsewhere, signed by another, without their owner, or to another question', async () => {
    const key = createAuthenticator()
    await add(await join('prover'), key)
    const stranger = generateKeyPairSync('ec', { namedCurve: 'P-256' }).privateKey
    expect((await enter(key, {}, 'https://covers.example.evil.test')).answer.status).to.equal(403)
    expect((await enter(key, { key: stranger })).answer.status).to.equal(403)
    expect((await enter(key, { isVerified: false })).answer.status).to.equal(403)
    const who = visitor()
    const [one, two] = [
      await question(who, '/api/enter/questions'),
      await question(who, '/api/enter/questions'),
    ]
    const passkey = { ceremony: one.ceremony, response: key.answer(two.options, origin) }
    expect((await who.ask('POST', '/api/enter', { passkey, device: 'Phone' })).status).to.equal(403)
    expect((await enter(createAuthenticator())).answer.status).to.equal(403)
    expect((await enter(key)).answer.status).to.equal(200)
  })

  it('answer a question once, and soon', async () => {
    const key = createAuthenticator()
    await add(await join('once'), key)
    const { who, body, answer } = await enter(key)
    expect(answer.status).to.equal(200)
    expect((await who.ask('POST', '/api/enter', body)).status).to.equal(403)
    const late = visitor()
    const { ceremony, options } = await question(late, '/api/enter/questions')
    pass(5 * 60_000 + 1000)
    const passkey = { ceremony, response: key.answer(options, origin) }
    expect((await late.ask('POST', '/api/enter', { passkey, device: 'Phone' })).status).to.equal(403)
    const unasked = { ceremony: randomUUID(), response: key.answer(options, origin) }
    expect((await late.ask('POST', '/api/enter', { passkey: unasked, device: 'Phone' })).status).to.equal(403)
  })

  it('that count are refused where the count goes back: there are two of them', async () => {
    const key = createAuthenticator()
    await add(await join('counted'), key)
    expect((await enter(key, { counter: 7 })).answer.status).to.equal(200)
    expect((await enter(key, { counter: 7 })).answer.status).to.equal(403)
    expect((await enter(key, { counter: 3 })).answer.status).to.equal(403)
    expect((await enter(key, { counter: 8 })).answer.status).to.equal(200)
  })

  it('confirm their own owner and nobody else', async () => {
    const [mine, yours] = [createAuthenticator(), createAuthenticator()]
    const me = await join('me0')
    await add(me, mine)
    await add(await join('you'), yours)
    pass(11 * 60_000)
    const confirm = async (key: Authenticator) => {
      const { ceremony, options } = await question(me, '/api/account/questions')
      expect(options.allowCredentials?.map(({ id }) => id)).to.deep.equal([mine.id])
      const response = key.answer(options, origin)
      return (await me.ask('POST', '/api/account/confirm', { passkey: { ceremony, response } })).status
    }
    expect(await confirm(yours)).to.equal(403)
    expect((await me.ask('POST', '/api/account/codes')).status).to.equal(403)
    expect(await confirm(mine)).to.equal(200)
    expect((await me.ask('POST', '/api/account/codes')).status).to.equal(201)
  })

  it('are added to whoever was asked, at our address, and only once', async () => {
    const key = createAuthenticator()
    const ada = await join('adder')
    expect((await add(ada, key, 'Elsewhere', 'https://other.example')).status).to.equal(403)
    const asked = await question(ada, '/api/account/passkeys/questions')
    const passkey = { ceremony: asked.ceremony, response: key.make(asked.options, origin) }
    const eve = await join('eaves')
    const body = { passkey, passkeyName: 'Mine now' }
    expect((await eve.ask('POST', '/api/account/passkeys', body)).status).to.equal(403)
    expect((await ada.ask('POST', '/api/account/passkeys', body)).status).to.equal(403)
    expect((await add(ada, key)).status).to.equal(201)
    expect((await ada.account()).passkeys).to.have.length(1)
  })

  it('are not taken for another’s by what they are called', async () => {
    const [mine, yours] = [createAuthenticator(), createAuthenticator()]
    const victim = await join('victim')
    await add(victim, mine)
    const thief = await join('thief')
    expect((await add(thief, { ...yours, make: mine.make })).status).to.equal(403)
    const { who } = await enter(mine)
    expect((await who.account()).signInName).to.equal('victim')
  })

  it('are taken away by their owner only', async () => {
    const ada = await join('taker')
    await add(ada, createAuthenticator())
    const [passkey] = (await ada.account()).passkeys
    const eve = await join('eve')
    expect((await eve.ask('DELETE', `/api/account/passkeys/${passkey?.id ?? ''}`)).status).to.equal(404)
    expect((await ada.ask('DELETE', `/api/account/passkeys/${passkey?.id ?? ''}`)).status).to.equal(200)
    const { items } = await app().repositories.people.audit.list(app().ours, { limit: 3 })
    expect(items.map(({ what }) => what)).to.include('passkey-removed')
  })

  it('are read whatever a browser sends, and nothing breaks by it', async () => {
    const who = visitor()
    for (const response of [
      { id: 'x' },
      { id: 'x', response: null },
      { id: '', rawId: 7, response: { clientDataJSON: '{' } },
    ]) {
      const { ceremony } = await question(who, '/api/enter/questions')
      const answer = await who.ask('POST', '/api/enter', { passkey: { ceremony, response }, device: 'Phone' })
      expect(answer.status, JSON.stringify(response)).to.equal(403)
    }
    for (const passkey of [7, null, {}, { ceremony: 'x', response: { id: 'x' } }]) {
      const answer = await who.ask('POST', '/api/enter', { passkey, device: 'Phone' })
      expect(answer.status, JSON.stringify(passkey)).to.equal(422)
    }
  })
})
