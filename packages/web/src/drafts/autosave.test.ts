import { configureStore } from '@reduxjs/toolkit'
import { expect } from 'chai'
import { installStandIns } from '../testing/browser-stand-ins.js'
import { coverFile, coverId, coverRow } from '../testing/files.js'

interface Request {
  readonly ifMatch: string | null
  readonly name: string | undefined
  readonly answer: (status: number, body: unknown) => void
  readonly fail: () => void
}

/** A store with autosave over a server that a test answers for, request by request. */
async function openStore() {
  const { local } = installStandIns()
  const requests: Request[] = []
  const arrivals: (() => void)[] = []
  globalThis.fetch = input => {
    const request = input as globalThis.Request
    return new Promise((resolve, reject) => {
      void request.json().then(body => {
        requests.push({
          ifMatch: request.headers.get('If-Match'),
          name: (body as { file: { name?: string } }).file.name,
          answer: (status, answer) =>
            resolve(
              new Response(JSON.stringify(answer), {
                status,
                headers: { 'Content-Type': 'application/json' },
              }),
            ),
          fail: () => reject(new TypeError('fetch failed')),
        })
        arrivals.shift()?.()
      })
    })
  }
  const { api } = await import('../api/api.js')
  const { autosave } = await import('./autosave.js')
  const slice = await import('./drafts-slice.js')
  const store = configureStore({
    reducer: { api: api.reducer, drafts: slice.draftsSlice.reducer },
    middleware: defaults => defaults().prepend(autosave.middleware).concat(api.middleware),
  })
  store.dispatch(api.util.resetApiState())
  const nextRequest = async () => {
    if (requests.length === 0) await new Promise<void>(resolve => arrivals.push(resolve))
    const request = requests.shift()
    if (!request) throw new Error('No request came')
    return request
  }
  const until = (holds: () => boolean) =>
    new Promise<void>(resolve => {
      if (holds()) return resolve()
      const stop = store.subscribe(() => {
        if (!holds()) return
        stop()
        resolve()
      })
    })
  const draft = () => store.getState().drafts[coverId]
  const name = (text: string) => store.dispatch(slice.changed(coverId, coverFile({ name: text }), 'name'))
  return { store, slice, nextRequest, until, draft, name, requests, local }
}

describe('autosave', function () {
  this.timeout(60_000)
  const previous = { base: globalThis.Request }
  before(() => {
    // Relative addresses have a page to be relative to in a browser.
    globalThis.Request = class extends previous.base {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' && input.startsWith('/') ? `http://127.0.0.1${input}` : input, init)
      }
    }
  })
  after(() => {
    globalThis.Request = previous.base
  })

  it('saves once after a burst of typing, based on the version it knows', async () => {
    const { store, slice, nextRequest, until, draft, name, requests, local } = await openStore()
    store.dispatch(slice.opened({ row: coverRow(4) }))
    for (const text of ['W', 'We', 'Wea']) name(text)
    expect(local.size).to.equal(1)
    const request = await nextRequest()
    expect(request).to.include({ ifMatch: '"v4"', name: 'Wea' })
    request.answer(200, coverRow(5, { name: 'Wea' }))
    await until(() => draft()?.dirty === false)
    expect(draft()).to.include({ version: 5, saving: 'resting' })
    expect(requests).to.have.length(0)
    expect(local.size).to.equal(0)
  })

  it('saves what was typed while a save was on its way with the next', async () => {
    const { store, slice, nextRequest, until, draft, name } = await openStore()
    store.dispatch(slice.opened({ row: coverRow(1) }))
    name('first')
    const first = await nextRequest()
    name('second')
    first.answer(200, coverRow(2, { name: 'first' }))
    const second = await nextRequest()
    expect(second).to.include({ ifMatch: '"v2"', name: 'second' })
    second.answer(200, coverRow(3, { name: 'second' }))
    await until(() => draft()?.dirty === false)
    expect(draft()?.file.name).to.equal('second')
  })

  it('keeps the work and tries again while the server is away', async () => {
    const { store, slice, nextRequest, until, draft, name, local } = await openStore()
    store.dispatch(slice.opened({ row: coverRow(1) }))
    name('kept')
    ;(await nextRequest()).fail()
    await until(() => draft()?.saving === 'offline')
    expect(draft()).to.include({ dirty: true })
    expect(local.size).to.equal(1)
    const again = await nextRequest()
    expect(again.name).to.equal('kept')
    again.answer(200, coverRow(2, { name: 'kept' }))
    await until(() => draft()?.dirty === false)
  })

  it('stops at a conflict until the maker has chosen, then saves over what stands', async () => {
    const { store, slice, nextRequest, until, draft, name } = await openStore()
    store.dispatch(slice.opened({ row: coverRow(1) }))
    name('mine')
    ;(await nextRequest()).answer(412, { current: coverRow(6, { name: 'theirs' }) })
    await until(() => draft()?.conflict !== undefined)
    expect(draft()?.conflict?.file.name).to.equal('theirs')
    store.dispatch(slice.keptMine(coverId))
    const over = await nextRequest()
    expect(over).to.include({ ifMatch: '"v6"', name: 'mine' })
    over.answer(200, coverRow(7, { name: 'mine' }))
    await until(() => draft()?.dirty === false)
  })

  it('says why the server refused, and does not try the same again', async () => {
    const { store, slice, nextRequest, until, draft, name, requests } = await openStore()
    store.dispatch(slice.opened({ row: coverRow(1) }))
    name('odd')
    ;(await nextRequest()).answer(422, {
      detail: '',
      issues: [{ path: 'file.name', message: 'Too odd a name.' }],
    })
    await until(() => draft()?.saving === 'refused')
    expect(draft()).to.include({ refusal: 'Too odd a name.', dirty: true })
    expect(requests).to.have.length(0)
  })
})
