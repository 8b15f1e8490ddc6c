import { expect } from 'chai'
import { QueryTypes } from 'sequelize'
import { loadDemo } from '../demo/load-demo.js'
import { createAuthenticator } from '../testing/authenticator.js'
import { everythingOf } from '../testing/everything-of.js'
import { origin, passphrase, useHosted, type Visitor } from '../testing/visitor.js'
import { walkRoutes } from '../testing/walk-routes.js'

describe('the people of another workshop, and its rows', function () {
  this.timeout(300_000)
  const { app, join } = useHosted()
  let owner: Visitor
  let foreign: Readonly<Record<string, string>> = {}
  let rows: readonly string[] = []
  let theirPeople: readonly string[] = []

  before(async () => {
    const { repositories, theirs, database } = app()
    owner = await join('ours', 'owner')
    await loadDemo(repositories, theirs, new Date())
    const stranger = await join('stranger', 'owner', theirs)
    const { ceremony, options } = (await stranger.ask('POST', '/api/account/passkeys/questions'))
      .body as unknown as {
      ceremony: string
      options: { challenge: string }
    }
    const passkey = { ceremony, response: createAuthenticator().make(options, origin) }
    await stranger.ask('POST', '/api/account/passkeys', { passkey, passkeyName: 'Their phone' })
    await stranger.ask('POST', '/api/people/invitations', { role: 'guest' })
    const first = async (table: string) =>
      (
        await database.sequelize.query<{ id: string }>(
          `SELECT id FROM ${table} WHERE workshop_id = $1 LIMIT 1`,
          { bind: [theirs], type: QueryTypes.SELECT },
        )
      )[0]?.id ?? ''
    const account = await stranger.account()
    foreign = {
      workshop: theirs,
      person: account.id,
      session: account.sessions[0]?.id ?? '',
      passkey: account.passkeys[0]?.id ?? '',
      invitation: await first('invitations'),
      cover: await first('covers'),
      thing: await first('things'),
      material: await first('materials'),
      make: await first('makes'),
      piece: await first('stash_pieces'),
      mark: await first('marks'),
    }
    rows = await everythingOf(database, theirs)
    theirPeople = await peopleOf(account.id)
  })

  /** What there is of somebody in tables that no workshop has. */
  async function peopleOf(person: string): Promise<readonly string[]> {
    const found = await Promise.all(
      ['passkeys', 'recovery_codes', 'known_browsers'].map(table =>
        app().database.sequelize.query<{ row: string }>(
          `SELECT '${table} ' || t::text AS row FROM ${table} t WHERE person_id = $1 ORDER BY 1`,
          { bind: [person], type: QueryTypes.SELECT },
        ),
      ),
    )
    const known = await app().repositories.people.persons.find(person)
    return [JSON.stringify(known), ...found.flat().map(({ row }) => row)]
  }

  it('are of every kind that a route can name', () => {
    for (const [kind, id] of Object.entries(foreign)) expect(id, kind).to.match(/^[0-9a-f-]{36}$/)
  })

  it('are neither shown nor changed by any route, even to an owner of ours', async () => {
    const { routes, database, theirs } = app()
    const tried = await walkRoutes({
      routes,
      foreign,
      ask: (method, path, { body, ...options }) => owner.ask(method, path, body, options),
      secrets: ['Hut ledger', 'Stranger', 'Their phone'],
      bodies: [{ role: 'owner' }, { name: 'Renamed' }, { passphrase }, { token: 'A'.repeat(43) }],
      // one's own account, and where one is signed in, are one's own to end
      except: (method, path) =>
        method === 'DELETE' && ['/api/account', '/api/account/sessions'].includes(path),
    })
    expect(tried).to.be.above(1500)
    expect((await owner.ask('GET', '/api/settings')).status).to.equal(200)
    expect(await everythingOf(database, theirs)).to.deep.equal(rows)
    expect(await peopleOf(foreign['person'] ?? '')).to.deep.equal(theirPeople)
  })

  it('are not entered by name of their workshop', async () => {
    const { theirs } = app()
    expect((await owner.ask('PUT', `/api/account/workshop/${theirs}`)).status).to.equal(404)
    const covers = await owner.ask('GET', '/api/covers', undefined, { workshop: theirs })
    expect(JSON.stringify(covers.body)).not.to.contain('Hut ledger')
  })
})
