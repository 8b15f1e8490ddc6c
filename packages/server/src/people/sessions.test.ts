import { expect } from 'chai'
import { passphrase, useHosted, type Visitor } from '../testing/visitor.js'

const session = 'snowdrift-session'
const minuteMs = 60_000
const hourMs = 60 * minuteMs
const dayMs = 24 * hourMs

describe('being signed in', function () {
  this.timeout(120_000)
  const { app, visitor, join, signIn, pass } = useHosted()
  const isIn = async (who: Visitor) => (await who.ask('GET', '/api/settings')).status === 200
  let names = 0
  const somebody = () => join(`person${++names}`)

  it('is asked of everything but coming in, whatever the browser holds', async () => {
    const paths = [
      '/api/covers',
      '/api/settings',
      '/api/live',
      '/api/here',
      '/api/account',
      '/api/people',
      '/api/archive',
    ]
    const stranger = visitor()
    for (const held of [undefined, 'x', 'A'.repeat(43)])
      for (const path of paths) {
        stranger.hold(session, held)
        const answer = await stranger.ask('GET', path)
        expect([answer.status, answer.body.detail], path).to.deep.equal([
          401,
          'You are not signed in here, or not any more. Sign in.',
        ])
      }
    expect((await stranger.ask('GET', '/api/health')).status).to.equal(200)
    for (const [method, path] of [
      ['POST', '/api/covers'],
      ['POST', '/api/people/invitations'],
      ['DELETE', '/api/account'],
    ] as const)
      expect((await stranger.ask(method, path, {})).status, path).to.equal(401)
  })

  it('begins with name and passphrase, and says nothing of which was wrong', async () => {
    await join('vera')
    const tried = async (signInName: string, said: string) =>
      visitor().ask('POST', '/api/enter', { signInName, passphrase: said, device: 'Phone' })
    const wrong = await tried('vera', 'not the passphrase')
    const unknown = await tried('nobody-at-all', passphrase)
    expect([wrong.status, unknown.status]).to.deep.equal([403, 403])
    expect(wrong.body.detail).to.equal(unknown.body.detail)
    expect(wrong.headers.getSetCookie()).to.deep.equal([])
    expect((await tried('VERA', passphrase)).status).to.equal(200)
  })

  it('takes as long for a name that nobody has', async () => {
    await join('timed')
    const time = async (signInName: string) => {
      const began = performance.now()
      await visitor().ask('POST', '/api/enter', {
        signInName,
        passphrase: 'not the passphrase',
        device: 'Phone',
      })
      return performance.now() - began
    }
    await time('nobody-before')
    const known: number[] = []
    const unknown: number[] = []
    for (let round = 0; round < 8; round++) {
      known.push(await time('timed'))
      unknown.push(await time(`nobody${round}`))
    }
    // Without a comparison it would be a tenth.
    expect(middle(unknown) / middle(known)).to.be.within(0.5, 2)
  })

  it('gives a browser another token each hour, and takes the last only while requests are on their way', async () => {
    const ada = await somebody()
    const first = ada.cookie(session)
    pass(30 * minuteMs)
    await isIn(ada)
    expect(ada.cookie(session)).to.equal(first)
    pass(31 * minuteMs)
    expect(await isIn(ada)).to.equal(true)
    const second = ada.cookie(session)
    expect(second).not.to.equal(first)
    // a request that was on its way with the first
    const late = visitor()
    late.hold(session, first)
    expect(await isIn(late)).to.equal(true)
    expect(await isIn(ada)).to.equal(true)
    late.hold(session, first)
    expect(await isIn(late)).to.equal(true)
    expect(late.cookie(session)).to.equal(first)
  })

  it('ends for everybody once a token comes that was put away: it was copied', async () => {
    const eve = await somebody()
    const copied = eve.cookie(session)
    pass(hourMs + minuteMs)
    await isIn(eve)
    expect(await isIn(eve)).to.equal(true)
    pass(2 * minuteMs)
    const thief = visitor()
    thief.hold(session, copied)
    expect(await isIn(thief)).to.equal(false)
    expect(thief.cookie(session)).to.equal(undefined)
    expect(await isIn(eve)).to.equal(false)
    const { audit } = app().repositories.people
    const { items } = await audit.list(app().ours, { limit: 5 })
    expect(items[0]?.what).to.equal('session-replayed')
  })

  it('outlives an answer that did not arrive with the new token', async () => {
    const kim = await somebody()
    const held = kim.cookie(session)
    pass(hourMs + minuteMs)
    await isIn(kim)
    expect(kim.cookie(session)).not.to.equal(held)
    kim.hold(session, held)
    pass(5 * minuteMs)
    expect(await isIn(kim)).to.equal(true)
    expect(kim.cookie(session)).not.to.equal(held)
    expect(await isIn(kim)).to.equal(true)
  })

  it('ends after two weeks without a word, and after sixty days whatever is done', async () => {
    const away = await somebody()
    const busy = await somebody()
    pass(13 * dayMs)
    expect(await isIn(away)).to.equal(true)
    expect(await isIn(busy)).to.equal(true)
    pass(14 * dayMs + minuteMs)
    expect(await isIn(away)).to.equal(false)
    const often = await somebody()
    for (let week = 0; week < 8; week++) {
      pass(7 * dayMs)
      expect(await isIn(often), `week ${week}`).to.equal(true)
    }
    pass(5 * dayMs)
    expect(await isIn(often)).to.equal(false)
    await app().repositories.people.sessions.forgetOld()
  })

  it('is seen with all its places, each of which can be ended, or all at once', async () => {
    await join('lena')
    const [desk, phone, tablet] = [await signIn('lena'), await signIn('lena'), await signIn('lena')]
    const { sessions } = await desk.account()
    expect(sessions).to.have.length(4)
    expect(sessions.filter(({ isThis }) => isThis)).to.have.length(1)
    const other = (await phone.account()).sessions.find(({ isThis }) => isThis)
    expect((await desk.ask('DELETE', `/api/account/sessions/${other?.id ?? ''}`)).status).to.equal(200)
    expect([await isIn(desk), await isIn(phone), await isIn(tablet)]).to.deep.equal([true, false, true])
    // nobody ends what is another's
    const stranger = await somebody()
    const [its] = (await tablet.account()).sessions
    expect((await stranger.ask('DELETE', `/api/account/sessions/${its?.id ?? ''}`)).status).to.equal(404)
    expect((await desk.ask('DELETE', '/api/account/sessions')).status).to.equal(200)
    expect([await isIn(desk), await isIn(tablet)]).to.deep.equal([false, false])
    expect(desk.cookie(session)).to.equal(undefined)
  })

  it('takes a token of its own each time, and puts away the one that the browser came with', async () => {
    await join('fix')
    const browser = visitor()
    const body = { signInName: 'fix', passphrase, device: 'Computer' }
    browser.hold(session, 'B'.repeat(43))
    await browser.ask('POST', '/api/enter', body)
    const first = browser.cookie(session)
    expect(first).not.to.equal('B'.repeat(43))
    await browser.ask('POST', '/api/enter', body)
    const old = visitor()
    old.hold(session, first)
    expect([await isIn(browser), await isIn(old)]).to.deep.equal([true, false])
  })

  it('is at most so often at once: the longest unseen goes', async () => {
    const first = await join('many')
    const { persons, sessions } = app().repositories.people
    const person = await persons.findBySignInName('many')
    pass(1000)
    for (let place = 0; place < 20; place++) {
      await sessions.begin({
        ...{ person: person?.id ?? '', workshop: app().ours },
        ...{ device: `Place ${place}`, byPasskey: false },
      })
      pass(1000)
    }
    expect(await isIn(first)).to.equal(false)
  })

  it('shows no difference between two requests that turn a token at once', async () => {
    const ola = await somebody()
    pass(hourMs + minuteMs)
    const held = ola.cookie(session)
    const twins = [visitor(), visitor(), visitor()]
    for (const twin of twins) twin.hold(session, held)
    expect(await Promise.all(twins.map(isIn))).to.deep.equal([true, true, true])
    const turned = twins.filter(twin => twin.cookie(session) !== held)
    expect(turned).to.have.length(1)
    for (const twin of [...turned, ...twins]) expect(await isIn(twin)).to.equal(true)
  })
})

function middle(values: readonly number[]): number {
  return values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)] ?? 0
}
