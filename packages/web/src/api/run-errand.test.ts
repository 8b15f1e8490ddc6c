import type { Errand } from '@snowdrift/core'
import { expect } from 'chai'
import { runErrand } from './run-errand'

describe('an errand that the server does', () => {
  const { fetch } = globalThis
  afterEach(() => {
    globalThis.fetch = fetch
  })

  /** A server that says these things of the errand, one look after the other. */
  const serving = (looks: readonly Partial<Errand>[], begun: Response = Response.json({ id: 'e1' })) => {
    const asked: string[] = []
    const left = [...looks]
    globalThis.fetch = (input, { method = 'GET', signal } = {}) => {
      const address = input as string
      asked.push(`${method} ${address}`)
      if (signal?.aborted) return Promise.reject(new Error('aborted'))
      if (method === 'POST') return Promise.resolve(begun)
      if (address.endsWith('/file')) return Promise.resolve(new Response('what was written'))
      if (method === 'DELETE') return Promise.resolve(Response.json({}))
      const next = left.shift()
      return Promise.resolve(
        next ? Response.json(next) : Response.json({ detail: 'There is no such errand.' }, { status: 404 }),
      )
    }
    return asked
  }
  const run = async (signal = new AbortController().signal) => {
    const parts: number[] = []
    const outcome = await runErrand({ kind: 'archive' }, signal, part => parts.push(part))
    return { parts, outcome: typeof outcome === 'string' ? outcome : await outcome.text() }
  }

  it('is looked at until it is done, fetched, and taken back', async () => {
    const asked = serving([
      { state: 'waiting', part: 0 },
      { state: 'running', part: 0.4 },
      { state: 'done', part: 1 },
    ])
    expect(await run()).to.deep.equal({ parts: [0, 0.4, 1], outcome: 'what was written' })
    expect(asked).to.deep.equal([
      'POST /api/errands',
      'GET /api/errands/e1',
      'GET /api/errands/e1',
      'GET /api/errands/e1',
      'GET /api/errands/e1/file',
      'DELETE /api/errands/e1',
    ])
  })

  it('says why it cannot be done, why it is refused, or that it is gone', async () => {
    serving([{ state: 'failed', part: 0, why: '“Atlas”: its height is missing.' }])
    expect((await run()).outcome).to.equal('“Atlas”: its height is missing.')
    serving([], Response.json({ detail: 'As much as can be waited for is being written.' }, { status: 503 }))
    expect((await run()).outcome).to.match(/As much as can be waited for/)
    serving([{ state: 'running', part: 0.2 }])
    expect((await run()).outcome).to.match(/no such errand/)
  })

  it('is called off by whoever stops it, while it is waited for', async () => {
    const asked = serving([
      { state: 'running', part: 0.2 },
      { state: 'running', part: 0.3 },
    ])
    const stop = new AbortController()
    const running = run(stop.signal)
    setTimeout(() => stop.abort(), 20)
    await running
    expect(asked.at(-1)).to.equal('DELETE /api/errands/e1')
    expect(asked.filter(one => one === 'GET /api/errands/e1')).to.have.length(1)
  })

  it('is not called off where it was never begun', async () => {
    globalThis.fetch = () => Promise.reject(new Error('away'))
    expect((await run()).outcome).to.be.a('string')
    const asked = serving([], Response.json({ detail: 'no' }, { status: 503 }))
    await run()
    expect(asked).to.deep.equal(['POST /api/errands'])
  })
})
