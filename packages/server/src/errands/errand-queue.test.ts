import { expect } from 'chai'
import { randomUUID } from 'node:crypto'
import { setTimeout } from 'node:timers/promises'
import { connect } from '../db/connect.js'
import { quietLog, startTestDatabase, type TestDatabase } from '../testing/test-database.js'
import { createErrandQueue } from './errand-queue.js'

describe('a queue of errands', function () {
  this.timeout(60_000)
  let database: TestDatabase | undefined
  before(async () => (database = await startTestDatabase()))
  after(() => database?.remove())

  it('that several processes open at once does each errand once', async () => {
    const url = database?.cluster.url ?? ''
    const performed: string[] = []
    const perform = async (id: string) => {
      performed.push(id)
      await setTimeout(5)
    }
    const queues = [1, 2, 3].map(() => createErrandQueue({ url, log: quietLog, perform }))
    const ids = Array.from({ length: 12 }, () => randomUUID())
    await Promise.all(queues.map(queue => queue.begin()))
    await Promise.all(queues.flatMap((queue, index) => ids.slice(4 * index, 4 * index + 4).map(queue.put)))
    while (performed.length < ids.length) await setTimeout(20)
    await Promise.all(queues.map(queue => queue.close()))
    expect(performed.toSorted()).to.deep.equal(ids.toSorted())
  })

  it('that cannot be opened says so, and opens by itself as soon as it can be', async () => {
    const url = database?.cluster.url ?? ''
    const wrong = new URL(url)
    wrong.pathname = '/not-there'
    const performed: string[] = []
    const queue = createErrandQueue({
      url: wrong.href,
      log: quietLog,
      perform: async id => Promise.resolve(void performed.push(id)),
    })
    const outcome = await queue.put(randomUUID()).catch(String)
    expect(outcome).to.match(/not-there/)
    const begun = queue.begin()
    const admin = await connect(url)
    await admin.sequelize.query('CREATE DATABASE "not-there"')
    await admin.close()
    await begun
    const id = randomUUID()
    await queue.put(id)
    while (performed.length === 0) await setTimeout(20)
    expect(performed).to.deep.equal([id])
    await queue.close()
  })

  it('that never could be opened stops looking when it is closed', async () => {
    const nowhere = 'postgres://nobody@127.0.0.1:9/none'
    const queue = createErrandQueue({ url: nowhere, log: quietLog, perform: () => Promise.resolve() })
    const begun = queue.begin()
    await queue.close()
    expect(await begun).to.equal(undefined)
  })
})
