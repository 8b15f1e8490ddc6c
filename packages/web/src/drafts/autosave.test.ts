import { configureStore } from '@reduxjs/toolkit'
import { expect } from 'chai'
// First: what follows listens to the window as soon as it is there.
import { installStandIns } from '../testing/browser-stand-ins.js'
import { api } from '../api/api.js'
import { looksOnChanged, serverSlice } from '../app/server-slice.js'
import { coverBody, coverRef, coverRow } from '../testing/files.js'
import { autosave } from './autosave.js'
import { deviceSlice } from './device-slice.js'
import * as slice from './drafts-slice.js'
import { listKept } from './kept-store.js'
import { refOf, type Ref } from './kinds.js'

interface Request {
  readonly path: string
  readonly ifMatch: string | null
  readonly ifNoneMatch: string | null
  readonly key: string | null
  readonly name: string | undefined
  readonly answer: (status: number, body: unknown) => void
  readonly fail: () => void
}

/** A store with autosave over a server that a test answers for, request by request. */
async function openStore() {
  const device = await installStandIns()
  const requests: Request[] = []
  const arrivals: (() => void)[] = []
  globalThis.fetch = input => {
    const request = input as globalThis.Request
    return new Promise((resolve, reject) => {
      void request.json().then(body => {
        requests.push({
          path: new URL(request.url).pathname,
          ifMatch: request.headers.get('If-Match'),
          ifNoneMatch: request.headers.get('If-None-Match'),
          key: request.headers.get('Idempotency-Key'),
          name: (body as { file?: { name?: string } }).file?.name,
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
  const store = configureStore({
    reducer: {
      api: api.reducer,
      drafts: slice.draftsSlice.reducer,
      device: deviceSlice.reducer,
      server: serverSlice.reducer,
    },
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
  const draft = () => store.getState().drafts[coverRef]
  const open = (version: number, ref: Ref = coverRef) =>
    store.dispatch(slice.opened({ ref, row: coverRow(version) }))
  const name = (text: string) => store.dispatch(slice.changed(coverRef, coverBody({ name: text }), 'name'))
  /** Waits until the device keeps so many drafts. */
  const keeps = async (count: number) => {
    while ((await listKept()).length !== count) await new Promise(resolve => setTimeout(resolve, 5))
  }
  return { store, nextRequest, until, draft, open, name, requests, device, keeps }
}

const nameOf = (draft: { readonly body: unknown } | undefined) =>
  (draft?.body as ReturnType<typeof coverBody> | undefined)?.file.name

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

  it('saves once after a burst of typing, based on the version it knows, with a key', async () => {
    const { nextRequest, until, draft, open, name, requests, keeps } = await openStore()
    open(4)
    for (const text of ['W', 'We', 'Wea']) name(text)
    await keeps(1)
    const request = await nextRequest()
    expect(request).to.include({ ifMatch: '"v4"', ifNoneMatch: null, name: 'Wea' })
    expect(request.key).to.match(/^[0-9a-f-]{36}$/)
    request.answer(200, coverRow(5, { name: 'Wea' }))
    await until(() => draft()?.dirty === false)
    expect(draft()).to.include({ version: 5, saving: 'resting' })
    expect(requests).to.have.length(0)
    await keeps(0)
  })

  it('saves whatever way it came to be otherwise: undone, done again, or put back', async () => {
    const { store, nextRequest, until, draft, open, name } = await openStore()
    open(1)
    let version = 1
    const saved = async (expected: string | undefined) => {
      const request = await nextRequest()
      expect(request.name).to.equal(expected)
      request.answer(200, coverRow(++version, { name: request.name ?? '' }))
      await until(() => draft()?.dirty === false)
    }
    name('pulled')
    await saved('pulled')
    store.dispatch(slice.undone(coverRef))
    await saved(nameOf(coverRow(1)))
    store.dispatch(slice.redone(coverRef))
    await saved('pulled')
    name('held')
    await saved('held')
    store.dispatch(slice.putBack({ ref: coverRef, key: 'name' }))
    await saved('pulled')
  })

  it('saves what was typed while a save was on its way with the next, under another key', async () => {
    const { nextRequest, until, draft, open, name } = await openStore()
    open(1)
    name('first')
    const first = await nextRequest()
    name('second')
    first.answer(200, coverRow(2, { name: 'first' }))
    const second = await nextRequest()
    expect(second).to.include({ ifMatch: '"v2"', name: 'second' })
    expect(second.key).not.to.equal(first.key)
    second.answer(200, coverRow(3, { name: 'second' }))
    await until(() => draft()?.dirty === false)
    expect(nameOf(draft())).to.equal('second')
  })

  it('keeps the work and tries again while the server is away, with the same and the same key', async () => {
    const { nextRequest, until, draft, open, name, keeps } = await openStore()
    open(1)
    name('kept')
    const first = await nextRequest()
    first.fail()
    await until(() => draft()?.saving === 'offline')
    expect(draft()).to.include({ dirty: true })
    await keeps(1)
    name('typed on')
    const again = await nextRequest()
    expect(again).to.include({ name: 'kept', ifMatch: '"v1"', key: first.key })
    again.answer(200, coverRow(2, { name: 'kept' }))
    const next = await nextRequest()
    expect(next).to.include({ name: 'typed on', ifMatch: '"v2"' })
    next.answer(200, coverRow(3, { name: 'typed on' }))
    await until(() => draft()?.dirty === false)
  })

  it('takes its own save, whose answer was lost, for no conflict', async () => {
    const { nextRequest, until, draft, open, name } = await openStore()
    open(1)
    name('mine')
    ;(await nextRequest()).answer(412, { current: coverRow(2, { name: 'mine' }) })
    await until(() => draft()?.dirty === false)
    expect(draft()).to.include({ version: 2 }).and.not.have.property('conflict')
  })

  it('stops at a conflict until the maker has chosen, then saves over what stands', async () => {
    const { store, nextRequest, until, draft, open, name } = await openStore()
    open(1)
    name('mine')
    ;(await nextRequest()).answer(412, { current: coverRow(6, { name: 'theirs' }) })
    await until(() => draft()?.conflict !== undefined)
    expect(nameOf(draft()?.conflict)).to.equal('theirs')
    store.dispatch(slice.keptMine(coverRef))
    const over = await nextRequest()
    expect(over).to.include({ ifMatch: '"v6"', name: 'mine' })
    over.answer(200, coverRow(7, { name: 'mine' }))
    await until(() => draft()?.dirty === false)
  })

  it('says why the server refused, and does not try the same again', async () => {
    const { nextRequest, until, draft, open, name, requests } = await openStore()
    open(1)
    name('odd')
    ;(await nextRequest()).answer(422, {
      detail: '',
      issues: [{ path: 'file.name', message: 'Too odd a name.' }],
    })
    await until(() => draft()?.saving === 'refused')
    expect(draft()).to.include({ refusal: 'Too odd a name.', dirty: true })
    expect(requests).to.have.length(0)
  })

  it('saves what was typed in the place of what was being refused', async () => {
    const { nextRequest, until, draft, open, name } = await openStore()
    open(1)
    name('odd')
    const odd = await nextRequest()
    name('even')
    await new Promise(resolve => setTimeout(resolve, 600))
    odd.answer(422, { detail: 'Too odd a name.' })
    const even = await nextRequest()
    expect(even).to.include({ name: 'even', ifMatch: '"v1"' })
    even.answer(200, coverRow(2, { name: 'even' }))
    await until(() => draft()?.dirty === false)
  })

  it('saves where the device keeps nothing, and says that it does not', async () => {
    const { store, nextRequest, until, draft, open, name, device } = await openStore()
    device.breakDevice('QuotaExceededError')
    open(1)
    name('saved all the same')
    const request = await nextRequest()
    await until(() => store.getState().device.keeping === 'full')
    request.answer(200, coverRow(2, { name: 'saved all the same' }))
    await until(() => draft()?.dirty === false)
  })

  it('neither saves nor keeps what somebody tries who looks on, and saves again once they may', async () => {
    const { store, nextRequest, until, draft, open, name, requests } = await openStore()
    store.dispatch(looksOnChanged(true))
    open(1)
    name('only tried')
    await new Promise(resolve => setTimeout(resolve, 700))
    expect(requests).to.deep.equal([])
    expect(await listKept()).to.deep.equal([])
    expect([draft()?.dirty, nameOf(draft())]).to.deep.equal([true, 'only tried'])
    store.dispatch(looksOnChanged(false))
    name('in earnest')
    const request = await nextRequest()
    expect(request.name).to.equal('in earnest')
    request.answer(200, coverRow(2, { name: 'in earnest' }))
    await until(() => draft()?.dirty === false)
  })

  it('makes one row of what was begun here, however slow the server is', async () => {
    const { store, nextRequest, until, requests } = await openStore()
    const ref = refOf('cutting', coverRef.slice('cover/'.length))
    const plan = (cuts: string) => ({ plan: { coverIds: ['c'], cuts, sources: {}, pins: [], done: [] } })
    store.dispatch(slice.opened({ ref, row: { version: 0, body: plan('scissors') } }))
    store.dispatch(slice.changed(ref, plan('rotary'), ''))
    const first = await nextRequest()
    expect(first).to.include({
      path: `/api/${ref.replace('cutting', 'cuttings')}`,
      ifNoneMatch: '*',
      ifMatch: null,
    })
    store.dispatch(slice.changed(ref, plan('scissors'), ''))
    await new Promise(resolve => setTimeout(resolve, 900))
    expect(requests, 'one save at a time').to.have.length(0)
    first.answer(200, { id: 'c', version: 1, ...plan('rotary') })
    const second = await nextRequest()
    expect(second).to.include({ ifNoneMatch: null, ifMatch: '"v1"' })
    second.answer(200, { id: 'c', version: 2, ...plan('scissors') })
    await until(() => store.getState().drafts[ref]?.dirty === false)
  })
})
