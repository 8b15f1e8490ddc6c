import type { AccountEvent } from '@snowdrift/core'
import { expect } from 'chai'
import { passphrase, useHosted, type Visitor } from '../testing/visitor.js'

const dayMs = 86_400_000
const another = 'velvet harrow ninepins cobalt'

describe('what became of an account', function () {
  this.timeout(120_000)
  const { app, join, signIn, pass, visitor } = useHosted()
  const newsIn = async (who: Visitor) =>
    ((await who.ask('GET', '/api/account/news')).body as unknown as { events: readonly AccountEvent[] })
      .events
  const whatIn = async (who: Visitor) => (await newsIn(who)).map(({ what }) => what)
  const read = async (who: Visitor) => {
    const [newest] = await newsIn(who)
    return who.ask('POST', '/api/account/news/read', { upTo: newest?.id ?? '0' })
  }

  it('is told in every browser of its person but the one in which it was done, until it is read there', async () => {
    const computer = await join('ida')
    pass(1000)
    const phone = await signIn('ida')
    // the computer hears of the phone, which is new; the phone of nothing that was before it
    expect(await whatIn(computer)).to.deep.equal(['signed-in-anew'])
    expect((await newsIn(computer))[0]?.device).to.equal('Phone')
    expect(await whatIn(phone)).to.deep.equal([])
    pass(1000)
    expect((await phone.ask('POST', '/api/account/codes')).status).to.equal(201)
    expect(await whatIn(computer)).to.deep.equal(['codes-made', 'signed-in-anew'])
    expect(await whatIn(phone)).to.deep.equal([])
    // reading it on the phone takes nothing from the computer
    await read(phone)
    expect(await whatIn(computer)).to.have.length(2)
    expect((await read(computer)).status).to.equal(200)
    expect(await whatIn(computer)).to.deep.equal([])
    pass(1000)
    await phone.ask('POST', '/api/account/codes')
    expect(await whatIn(computer)).to.deep.equal(['codes-made'])
  })

  it('is told of another passphrase to whoever signs in again in a browser that was signed out by it', async () => {
    const computer = await join('olga')
    pass(1000)
    const phone = await signIn('olga')
    pass(1000)
    await phone.ask('PUT', '/api/account/passphrase', { passphrase: another })
    expect((await computer.ask('GET', '/api/account/news')).status).to.equal(401)
    pass(1000)
    const again = { signInName: 'olga', passphrase: another, device: 'Computer' }
    expect((await computer.ask('POST', '/api/enter', again)).status).to.equal(200)
    expect(await whatIn(computer)).to.deep.equal(['passphrase-changed', 'signed-in-anew'])
  })

  it('is not told anew in a browser that is known, nor of others, nor in a browser of somebody else', async () => {
    const computer = await join('mads')
    pass(1000)
    await computer.ask('POST', '/api/enter', { signInName: 'mads', passphrase, device: 'Computer' })
    expect(await whatIn(computer)).to.deep.equal([])
    const other = await join('vera')
    await other.ask('POST', '/api/account/codes')
    expect(await whatIn(computer)).to.deep.equal([])
    // an event of another is no place up to which one has read
    const third = await signIn('vera')
    pass(1000)
    await third.ask('POST', '/api/account/codes')
    const [foreign] = await newsIn(other)
    await signIn('mads')
    const before = await whatIn(computer)
    expect(before).to.deep.equal(['signed-in-anew'])
    await computer.ask('POST', '/api/account/news/read', { upTo: foreign?.id })
    expect(await whatIn(computer)).to.deep.equal(before)
    for (const odd of [{}, { upTo: 'x' }, { upTo: 7 }, { upTo: '1', and: 1 }])
      expect((await computer.ask('POST', '/api/account/news/read', odd)).status).to.equal(422)
    expect((await visitor().ask('GET', '/api/account/news')).status).to.equal(401)
  })

  it('tells of a recovery, and is forgotten after 400 days', async () => {
    const computer = await join('lost')
    const { codes } = (await computer.ask('POST', '/api/account/codes')).body as unknown as {
      codes: string[]
    }
    pass(1000)
    const elsewhere = visitor()
    const body = { signInName: 'lost', code: codes[0], passphrase: another, device: 'Library' }
    expect((await elsewhere.ask('POST', '/api/enter/recover', body)).status).to.equal(200)
    pass(1000)
    await computer.ask('POST', '/api/enter', { signInName: 'lost', passphrase: another, device: 'Computer' })
    expect(await newsIn(computer)).to.satisfy((events: readonly AccountEvent[]) =>
      events.some(({ what, device }) => what === 'recovered' && device === 'Library'),
    )
    pass(401 * dayMs)
    await app().repositories.people.news.forgetOld()
    await computer.ask('POST', '/api/enter', { signInName: 'lost', passphrase: another, device: 'Computer' })
    expect(await whatIn(computer)).to.deep.equal([])
  })
})
