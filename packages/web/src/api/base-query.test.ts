import { expect } from 'chai'
import { basedOn, createBaseQuery, keyHeader } from './base-query.js'

interface Sent {
  readonly method: string
  readonly key: string | null
}

/** What is sent when the server answers with these statuses, one after the other; 0 is no answer at all. */
async function send(args: Parameters<ReturnType<typeof createBaseQuery>>[0], statuses: readonly number[]) {
  const sent: Sent[] = []
  const waited: number[] = []
  const [fetchBefore, RequestBefore] = [globalThis.fetch, globalThis.Request]
  globalThis.Request = class extends RequestBefore {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' && input.startsWith('/') ? `http://127.0.0.1${input}` : input, init)
    }
  }
  globalThis.fetch = input => {
    const { method, headers } = input as Request
    sent.push({ method, key: headers.get('Idempotency-Key') })
    const status = statuses[sent.length - 1] ?? 200
    return status === 0
      ? Promise.reject(new TypeError('fetch failed'))
      : Promise.resolve(new Response('{}', { status, headers: { 'Content-Type': 'application/json' } }))
  }
  try {
    const query = createBaseQuery(async ms => Promise.resolve(void waited.push(ms)))
    const signal = new AbortController().signal
    const { error } = await query(args, { signal } as never, {})
    return { sent, waited, status: error?.status }
  } finally {
    globalThis.fetch = fetchBefore
    globalThis.Request = RequestBefore
  }
}

describe('what is sent to the server', () => {
  const write = { url: '/things', method: 'POST', body: {} }

  it('carries a key where it writes, and none where it reads', async () => {
    const [{ key } = { key: null }] = (await send(write, [201])).sent
    expect(key).to.match(/^[0-9a-f-]{36}$/)
    expect((await send('/things', [200])).sent).to.deep.equal([{ method: 'GET', key: null }])
  })

  it('is sent again with the same key where no answer came, three times at most', async () => {
    const lost = await send(write, [0, 503, 201])
    expect(lost.sent).to.have.length(3)
    expect(new Set(lost.sent.map(({ key }) => key)).size).to.equal(1)
    expect([lost.status, lost.waited]).to.deep.equal([undefined, [300, 1200]])
    const away = await send(write, [0, 0, 0, 0])
    expect([away.sent.length, away.status]).to.deep.equal([3, 'FETCH_ERROR'])
  })

  it('is not sent again where it was refused, nor where whoever sends it sees to that', async () => {
    expect((await send(write, [422])).sent).to.have.length(1)
    const own = { ...write, headers: keyHeader('5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f') }
    expect((await send(own, [0])).sent).to.deep.equal([
      { method: 'POST', key: '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f' },
    ])
  })

  it('says which version it is based on, or that there is none', () => {
    expect([basedOn(3), basedOn(0)]).to.deep.equal([{ 'If-Match': '"v3"' }, { 'If-None-Match': '*' }])
  })
})
