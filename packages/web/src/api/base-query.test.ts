import { keptForHeader, looksOnHeader } from '@snowdrift/core'
import { expect } from 'chai'
import { forgetAccount } from '../app/account.js'
import { looksOnChanged, shutOut } from '../app/server-slice.js'
import { installStandIns } from '../testing/browser-stand-ins.js'
import { basedOn, createBaseQuery, keyHeader } from './base-query.js'

interface Sent {
  readonly method: string
  readonly key: string | null
}

interface Answer {
  readonly status: number
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: object
}

/** What the page is told of how it stands with the server, by an answer of it. */
async function heed({ status, headers = {}, body = {} }: Answer, looksOn = false) {
  const told: unknown[] = []
  const fetchBefore = globalThis.fetch
  globalThis.fetch = () =>
    Promise.resolve(
      new Response(JSON.stringify(body), {
        status,
        headers: { 'Content-Type': 'application/json', ...headers },
      }),
    )
  try {
    const dispatch = (action: { readonly type: string; readonly payload: unknown }) => told.push(action)
    const getState = () => ({ server: { looksOn } })
    const { signal } = new AbortController()
    await createBaseQuery()('http://127.0.0.1/x', { signal, dispatch, getState } as never, {})
    return told
  } finally {
    globalThis.fetch = fetchBefore
  }
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

describe('what an answer says of whoever asks', () => {
  const kept = { [keptForHeader]: 'the hut' }

  before(async () => {
    await installStandIns()
    forgetAccount()
  })

  it('is that they look on, or not any more; told once', async () => {
    const guest = { status: 200, headers: { ...kept, [looksOnHeader]: 'yes' } }
    expect(await heed(guest)).to.deep.equal([looksOnChanged(true)])
    expect(await heed(guest, true)).to.deep.equal([])
    expect(await heed({ status: 200, headers: kept }, true)).to.deep.equal([looksOnChanged(false)])
    // what belongs to nobody says nothing of it
    expect(await heed({ status: 200 }, true)).to.deep.equal([])
  })

  it('is why nothing is shown to them', async () => {
    const problem = (status: number, kind: string) => heed({ status, body: { type: `/problems/${kind}` } })
    expect(await problem(401, 'unpaired')).to.deep.equal([shutOut('unpaired')])
    expect(await problem(401, 'signed-out')).to.deep.equal([shutOut('signed-out')])
    expect(await problem(403, 'no-workshop')).to.deep.equal([shutOut('no-workshop')])
    // whoever may not do one thing is not shut out of the others
    for (const kind of ['guest', 'owners-only', 'unconfirmed', 'wrong-proof', 'foreign'])
      expect(await problem(403, kind), kind).to.deep.equal([])
    expect(await problem(404, 'missing')).to.deep.equal([])
  })
})
