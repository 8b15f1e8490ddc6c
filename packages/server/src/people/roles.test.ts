import type { AuditEvent, MemberRole, Page, People } from '@snowdrift/core'
import { expect } from 'chai'
import { coverBody, materialBody, ruleBody, thingBody } from '../testing/bodies.js'
import { useHosted, type InvitedBody, type Visitor } from '../testing/visitor.js'

describe('people of different rights in one workshop', function () {
  this.timeout(120_000)
  const { app, invite, join, visitor } = useHosted()
  let owner: Visitor
  let maker: Visitor
  let guest: Visitor
  const people = async (who: Visitor) => (await who.ask('GET', '/api/people')).body as unknown as People
  const audit = async (who: Visitor) =>
    ((await who.ask('GET', '/api/people/audit?limit=100')).body as unknown as Page<AuditEvent>).items
  const idOf = async (who: Visitor) => (await who.account()).id
  const setRole = async (by: Visitor, whose: Visitor, role: MemberRole) =>
    by.ask('PUT', `/api/people/${await idOf(whose)}/role`, { role })

  before(async () => {
    owner = await join('olga', 'owner')
    maker = await join('mads', 'maker')
    guest = await join('gerd', 'guest')
  })

  it('a guest sees everything and changes nothing, by any route', async () => {
    const { repositories, ours, routes } = app()
    const cover = await repositories.covers.create(ours, coverBody({ name: 'Hut ledger' }))
    expect(JSON.stringify((await guest.ask('GET', '/api/covers')).body)).to.contain('Hut ledger')
    expect((await guest.ask('GET', `/api/covers/${cover.id}`)).status).to.equal(200)
    const sheet = { kind: 'card', paper: 'a4', file: coverBody().file }
    expect((await guest.ask('POST', '/api/exports', sheet)).status).not.to.equal(403)
    expect((await guest.ask('POST', '/api/errands', { kind: 'archive', cover: cover.id })).status).to.equal(
      201,
    )
    const writes = routes.filter(
      ({ method, path }) =>
        ['POST', 'PUT', 'DELETE', 'PATCH'].includes(method) &&
        /^\/api\/(?!shared|enter|account|exports|errands|pair)[a-z]/.test(path) &&
        !path.includes('*'),
    )
    expect(writes.length).to.be.above(30)
    for (const { method, path } of writes) {
      const address = path.replace(/:\w+(\{[^}]*\})?/g, cover.id)
      for (const body of [{}, coverBody(), thingBody, materialBody, ruleBody, { role: 'owner' }]) {
        const answer = await guest.ask(method, address, body, { headers: { 'If-Match': '"v1"' } })
        expect([answer.status, answer.body.detail], `${method} ${path}`).to.deep.equal([
          403,
          'As a guest of this workshop you see everything and change nothing. An owner can make you a maker.',
        ])
      }
    }
    expect(await repositories.covers.find(ours, cover.id)).to.deep.equal(cover)
  })

  it('a maker does all of the work and nothing with the people', async () => {
    expect((await maker.ask('POST', '/api/things', thingBody)).status).to.equal(201)
    const { id } = (await maker.ask('POST', '/api/covers', coverBody())).body
    expect(
      (await maker.ask('DELETE', `/api/covers/${id}`, undefined, { headers: { 'If-Match': '"v1"' } })).status,
    ).to.equal(200)
    const refused = [
      ['POST', '/api/people/invitations', { role: 'guest' }],
      ['DELETE', '/api/people/invitations/0b0b0b0b-0b0b-4b0b-8b0b-0b0b0b0b0b0b', undefined],
      ['PUT', '/api/people/workshop', { name: 'Mine' }],
      ['PUT', `/api/people/${await idOf(maker)}/role`, { role: 'owner' }],
      ['DELETE', `/api/people/${await idOf(guest)}`, undefined],
      ['GET', '/api/people/audit', undefined],
    ] as const
    for (const [method, path, body] of refused) {
      const answer = await maker.ask(method, path, body)
      expect([answer.status, answer.body.detail], path).to.deep.equal([
        403,
        'Only an owner of the workshop may do this.',
      ])
    }
    const { members, invitations } = await people(maker)
    expect(members.map(({ name, role }) => [name, role])).to.deep.equal([
      ['Olga', 'owner'],
      ['Mads', 'maker'],
      ['Gerd', 'guest'],
    ])
    expect(invitations).to.deep.equal([])
  })

  it('an owner invites, and sees what is open; the link is shown to nobody again', async () => {
    const { body, status } = await owner.ask('POST', '/api/people/invitations', { role: 'guest' })
    const { invitation, token } = body as unknown as InvitedBody
    expect(status).to.equal(201)
    expect(Date.parse(invitation.expiresAt) - Date.parse(invitation.createdAt)).to.equal(7 * 86_400_000)
    const seen = await people(owner)
    expect(seen.invitations).to.deep.equal([invitation])
    expect(JSON.stringify(seen)).not.to.contain(token)
    expect((await owner.ask('DELETE', `/api/people/invitations/${invitation.id}`)).status).to.equal(200)
    expect((await people(owner)).invitations).to.deep.equal([])
    expect((await visitor().ask('POST', '/api/enter/invitation', { token })).status).to.equal(404)
    expect((await owner.ask('POST', '/api/people/invitations', { role: 'queen' })).status).to.equal(422)
  })

  it('an owner names the workshop', async () => {
    expect((await owner.ask('PUT', '/api/people/workshop', { name: ' The hut ' })).status).to.equal(200)
    expect((await people(guest)).workshop.name).to.equal('The hut')
    expect((await owner.ask('PUT', '/api/people/workshop', { name: '' })).status).to.equal(422)
  })

  it('a role holds from the next request on', async () => {
    expect((await setRole(owner, guest, 'maker')).status).to.equal(200)
    expect((await guest.ask('POST', '/api/things', thingBody)).status).to.equal(201)
    expect((await setRole(owner, guest, 'guest')).status).to.equal(200)
    expect((await guest.ask('POST', '/api/things', thingBody)).status).to.equal(403)
  })

  it('a workshop always has an owner, whoever steps down, leaves or is sent away, and however many at once', async () => {
    const refusal =
      'A workshop needs an owner. Make somebody else one first, or delete your account with the workshop.'
    const down = await setRole(owner, owner, 'maker')
    expect([down.status, down.body.detail]).to.deep.equal([409, refusal])
    expect((await owner.ask('DELETE', `/api/people/${await idOf(owner)}`)).status).to.equal(409)
    // handed over, one may step down; of two owners who do so at once, one does
    expect((await setRole(owner, maker, 'owner')).status).to.equal(200)
    const both = await Promise.all([setRole(owner, owner, 'maker'), setRole(maker, maker, 'maker')])
    expect(both.map(({ status }) => status).sort()).to.deep.equal([200, 409])
    const left = (await people(guest)).members.filter(({ role }) => role === 'owner')
    expect(left).to.have.length(1)
    const stays = left[0]?.name === 'Olga' ? owner : maker
    const steppedDown = stays === owner ? maker : owner
    await setRole(stays, steppedDown, 'owner')
    await setRole(owner, maker, 'maker')
  })

  it('whoever is sent away is out at once, and whoever leaves, too', async () => {
    const { ours } = app()
    const short = await join('short', 'maker')
    const id = await idOf(short)
    expect((await owner.ask('DELETE', `/api/people/${id}`)).status).to.equal(200)
    const answer = await short.ask('GET', '/api/covers')
    expect([answer.status, answer.body.detail]).to.deep.equal([
      403,
      'You belong to no workshop, or not any more. Open an invitation to one.',
    ])
    expect((await short.account()).workshops).to.deep.equal([])
    expect((await owner.ask('DELETE', `/api/people/${id}`)).status).to.equal(404)
    const looksOn = await join('looks', 'guest')
    expect((await looksOn.ask('DELETE', `/api/people/${await idOf(looksOn)}`)).status).to.equal(200)
    expect((await looksOn.ask('GET', '/api/covers')).status).to.equal(403)
    // back by another invitation
    expect(
      (await short.ask('POST', '/api/account/join', { token: await invite('guest', ours) })).status,
    ).to.equal(200)
    expect((await short.ask('GET', '/api/covers')).status).to.equal(200)
  })

  it('whoever belongs to another workshop is there once they are sent away from this one', async () => {
    const { theirs, repositories } = app()
    await repositories.people.members.rename(theirs, 'The tower')
    const two = await join('twoplaces', 'maker', theirs)
    await two.ask('POST', '/api/account/join', { token: await invite('maker') })
    expect((await people(two)).workshop.name).to.equal('The hut')
    await owner.ask('DELETE', `/api/people/${await idOf(two)}`)
    expect((await people(two)).workshop.name).to.equal('The tower')
  })

  it('the owner reads what happened, page by page, and nothing of another workshop', async () => {
    const events = await audit(owner)
    expect(events.map(({ what }) => what)).to.include.members([
      'joined',
      'signed-in',
      'invited',
      'invitation-withdrawn',
      'workshop-renamed',
      'role-changed',
      'removed',
      'left',
    ])
    const removed = events.find(({ what }) => what === 'removed')
    expect([removed?.who, removed?.whom]).to.deep.equal(['Olga', 'Twoplaces'])
    const made = events.find(({ what, detail }) => what === 'role-changed' && detail === 'owner')
    expect(made?.whom).to.be.oneOf(['Mads', 'Olga'])
    const first = (await owner.ask('GET', '/api/people/audit?limit=3')).body as unknown as Page<AuditEvent>
    const second = (await owner.ask('GET', `/api/people/audit?limit=3&after=${first.next ?? ''}`))
      .body as unknown as Page<AuditEvent>
    expect([...first.items, ...second.items]).to.deep.equal(events.slice(0, 6))
    const ours = new Set(events.map(({ id }) => id))
    const theirs = await app().repositories.people.audit.list(app().theirs, { limit: 100 })
    expect(theirs.items.filter(({ id }) => ours.has(id))).to.deep.equal([])
    expect(theirs.items.map(({ what }) => what)).to.include('joined')
  })

  it('invites so many at once and no more', async () => {
    const { repositories, theirs } = app()
    for (let count = 0; count < 50; count++) await repositories.people.members.invite(theirs, 'guest')
    const tower = await join('warden', 'owner').then(async who => {
      await repositories.people.members.add(theirs, await idOf(who), 'owner')
      await who.ask('PUT', `/api/account/workshop/${theirs}`)
      return who
    })
    expect((await tower.ask('POST', '/api/people/invitations', { role: 'guest' })).status).to.equal(409)
  })
})
