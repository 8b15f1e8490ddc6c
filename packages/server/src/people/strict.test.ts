import { expect } from 'chai'
import { createAuthenticator, type Authenticator } from '../testing/authenticator.js'
import { origin, passphrase, useHosted, type Visitor } from '../testing/visitor.js'

const minuteMs = 60_000
const hourMs = 60 * minuteMs

interface Asked {
  readonly ceremony: string
  readonly options: { readonly challenge: string; readonly allowCredentials?: readonly { id: string }[] }
}

describe('where it is strict', function () {
  this.timeout(120_000)
  const { join, signIn, visitor, pass } = useHosted({ isStrict: true })
  const status = async (who: Visitor, method: string, path: string, body?: unknown) =>
    (await who.ask(method, path, body)).status
  const isIn = async (who: Visitor) => (await status(who, 'GET', '/api/settings')) === 200
  const invite = (who: Visitor) => who.ask('POST', '/api/people/invitations', { role: 'maker' })
  const ask = async (who: Visitor, path: string) => (await who.ask('POST', path)).body as unknown as Asked
  const addKey = async (who: Visitor): Promise<Authenticator> => {
    const key = createAuthenticator()
    const { ceremony, options } = await ask(who, '/api/account/passkeys/questions')
    const body = { passkey: { ceremony, response: key.make(options, origin) }, passkeyName: 'Phone' }
    expect(await status(who, 'POST', '/api/account/passkeys', body)).to.equal(201)
    return key
  }

  it('somebody is out after half an hour away, and after twelve hours in all', async () => {
    const away = await join('away')
    pass(29 * minuteMs)
    expect(await isIn(away)).to.equal(true)
    pass(31 * minuteMs)
    expect(await isIn(away)).to.equal(false)
    const busy = await signIn('away')
    for (let half = 1; half < 29; half++) {
      pass(25 * minuteMs)
      expect(await isIn(busy), `${half * 25} minutes`).to.equal(half * 25 < 12 * 60)
    }
  })

  it('owners do what only they may once they proved by a passkey who they are', async () => {
    const olga = await join('olga', 'owner')
    const refused = await invite(olga)
    expect(refused.status).to.equal(403)
    expect(refused.body.detail).to.include('Add one under “Your account”')
    // what everybody may, an owner may, too
    expect(await isIn(olga)).to.equal(true)
    expect(await status(olga, 'GET', '/api/people')).to.equal(200)
    const mads = await join('mads')
    const other = (await mads.account()).id
    for (const [method, path, body] of [
      ['DELETE', `/api/people/${other}`],
      ['PUT', `/api/people/${other}/role`, { role: 'owner' }],
      ['PUT', '/api/people/workshop', { name: 'Hut' }],
      ['GET', '/api/people/audit'],
    ] as const)
      expect(await status(olga, method, path, body), path).to.equal(403)
    const key = await addKey(olga)
    expect((await invite(olga)).status, 'a key that was added is no proof yet').to.equal(403)
    const { ceremony, options } = await ask(olga, '/api/account/questions')
    const proof = { passkey: { ceremony, response: key.answer(options, origin) } }
    expect(await status(olga, 'POST', '/api/account/confirm', proof)).to.equal(200)
    expect((await invite(olga)).status).to.equal(201)
    // it holds as long as the session does, also through another passphrase
    pass(11 * minuteMs)
    expect(await status(olga, 'POST', '/api/account/confirm', { passphrase })).to.equal(200)
    const changed = { passphrase: 'velvet harrow ninepins cobalt' }
    expect(await status(olga, 'PUT', '/api/account/passphrase', changed)).to.equal(200)
    expect((await invite(olga)).status).to.equal(201)
    // who comes in by the key has it from the start
    const anew = visitor()
    const asked = await ask(anew, '/api/enter/questions')
    const entering = {
      passkey: { ceremony: asked.ceremony, response: key.answer(asked.options, origin) },
      device: 'Phone',
    }
    expect(await status(anew, 'POST', '/api/enter', entering)).to.equal(200)
    expect((await invite(anew)).status).to.equal(201)
    pass(hourMs)
  })

  it('leaving is nobody’s but one’s own, and needs no passkey', async () => {
    const maker = await join('leaves')
    const { id } = await maker.account()
    expect(await status(maker, 'DELETE', `/api/people/${id}`)).to.equal(200)
  })
})
