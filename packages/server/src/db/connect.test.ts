import { createConnection, createServer, type AddressInfo, type Server } from 'node:net'
import { expect } from 'chai'
import { startTestDatabase, type TestDatabase } from '../testing/test-database.js'
import { connect } from './connect.js'

const loopback = '127.0.0.1'

describe('a database that is slow to answer', function () {
  this.timeout(180_000)
  let database: TestDatabase | undefined
  before(async () => {
    database = await startTestDatabase()
  })
  after(() => database?.remove())

  /** Stands before the database, takes the first `deaf` calls without a word and puts all others through. */
  async function openGate(
    deaf: number,
  ): Promise<{ readonly url: string; readonly calls: () => number; close: () => void }> {
    const url = new URL(database?.cluster.url ?? '')
    const port = Number(url.port)
    let calls = 0
    const gate: Server = createServer(caller => {
      caller.on('error', () => undefined)
      if (++calls <= deaf) return
      const through = createConnection(port, loopback)
      through.on('error', () => caller.destroy())
      caller.pipe(through).pipe(caller)
    })
    await new Promise<void>(resolve => gate.listen(0, loopback, resolve))
    url.port = String((gate.address() as AddressInfo).port)
    return { url: url.href, calls: () => calls, close: () => gate.close() }
  }

  it('is asked again, and is there', async () => {
    const gate = await openGate(2)
    const there = await connect(gate.url, { limits: { connectionTimeoutMillis: 1000 } })
    const [rows] = await there.sequelize.query('SELECT 1 + 1 AS two')
    expect(rows).to.deep.equal([{ two: 2 }])
    await there.close()
    gate.close()
    expect(gate.calls()).to.be.above(2)
  })

  it('is given up in the end, by its address', async () => {
    const gate = await openGate(Infinity)
    const complaint = await connect(gate.url, { limits: { connectionTimeoutMillis: 100 } }).catch(String)
    gate.close()
    expect(complaint).to.match(/does not answer: timeout expired$/)
    expect(gate.calls()).to.equal(5)
  })
})
