import { configureStore } from '@reduxjs/toolkit'
import { expect } from 'chai'
import { api } from '../api/api.js'
import { installStandIns, type StandIns } from '../testing/browser-stand-ins.js'
import { coverBody, coverRef, coverRow } from '../testing/files.js'
import { useAnswers } from '../testing/use-answers.js'
import { changeDraft, openDraft } from './draft.js'
import { changed, draftsSlice, selectDraft, sent, settled, undone } from './drafts-slice.js'
import { claimLeftDraft, findOwnDraft, keepDraft } from './kept-drafts.js'
import { listKept } from './kept-store.js'
import { takeUp } from './take-up.js'

describe('opening a row beside what closed windows left', () => {
  let device: StandIns
  beforeEach(async () => {
    device = await installStandIns()
  })

  const id = coverRef.slice('cover/'.length)
  const openStore = () =>
    configureStore({
      reducer: { drafts: draftsSlice.reducer, api: api.reducer },
      middleware: defaults => defaults().concat(api.middleware),
    })
  type Store = ReturnType<typeof openStore>
  const open = (store: Store, version: number) => store.dispatch(takeUp(coverRef, coverRow(version)))
  const nameIn = (store: Store) => selectDraft(store.getState(), 'cover', id)?.body.file.name
  /** Another window typed that while the server was away, and was closed. */
  async function leaveBehind(name: string, version = 1) {
    const draft = changeDraft(openDraft(coverRef, coverRow(version)), coverBody({ name }), 'name', 0)
    await keepDraft(draft)
    device.closeAllWindows()
    device.openWindow()
  }

  it('takes it up where this window had the row open and did nothing to it', async () => {
    const store = openStore()
    await open(store, 1)
    await leaveBehind('Typed in the other window')
    await open(store, 1)
    expect(nameIn(store)).to.equal('Typed in the other window')
    expect(selectDraft(store.getState(), 'cover', id)).to.include({ dirty: true })
  })

  it('keeps what can be undone, and undoes what it took up as one step', async () => {
    const store = openStore()
    await open(store, 1)
    store.dispatch(changed(coverRef, coverBody({ name: 'Before' }), 'name'))
    store.dispatch(sent({ ref: coverRef, newKey: 'k' }))
    store.dispatch(settled({ ref: coverRef, version: 2 }))
    await leaveBehind('Left', 2)
    await open(store, 1)
    expect(nameIn(store)).to.equal('Left')
    store.dispatch(undone(coverRef))
    expect(nameIn(store)).to.equal('Before')
    store.dispatch(undone(coverRef))
    expect(nameIn(store)).to.equal('Weather diary')
  })

  it('does not take its own work, just saved, for work that was left', async () => {
    const store = openStore()
    await open(store, 1)
    store.dispatch(changed(coverRef, coverBody({ name: 'Mine' }), 'name'))
    const dirty = selectDraft(store.getState(), 'cover', id)
    if (dirty) await keepDraft(dirty)
    store.dispatch(sent({ ref: coverRef, newKey: 'k' }))
    store.dispatch(settled({ ref: coverRef, version: 2 }))
    await open(store, 1)
    expect(selectDraft(store.getState(), 'cover', id)).to.include({ dirty: false, version: 2 })
    expect(await findOwnDraft(coverRef), 'not dropped yet').not.to.equal(undefined)
  })

  it('opens once, however many ask at once, and with what this window left before a reload', async () => {
    await keepDraft(changeDraft(openDraft(coverRef, coverRow(1)), coverBody({ name: 'Mine' }), 'name', 0))
    device.reload()
    const store = openStore()
    await Promise.all([open(store, 1), open(store, 1), open(store, 1)])
    expect(nameIn(store)).to.equal('Mine')
    expect(selectDraft(store.getState(), 'cover', id)?.past).to.have.length(1)
    expect(await listKept(coverRef)).to.have.length(1)
  })

  it('leaves it where it can be found again while this window has work of its own', async () => {
    const store = openStore()
    await open(store, 1)
    store.dispatch(changed(coverRef, coverBody({ name: 'Mine' }), 'name'))
    await leaveBehind('Theirs')
    await open(store, 1)
    expect(nameIn(store)).to.equal('Mine')
    expect((await claimLeftDraft(coverRef))?.body).to.deep.equal(coverBody({ name: 'Theirs' }))
  })

  it('leaves it where it can be found again even when the maker types at that very moment', async () => {
    const store = openStore()
    await open(store, 1)
    await leaveBehind('Theirs')
    const opening = open(store, 1)
    store.dispatch(changed(coverRef, coverBody({ name: 'Mine' }), 'name'))
    await opening
    expect(nameIn(store)).to.equal('Mine')
    expect((await claimLeftDraft(coverRef))?.body).to.deep.equal(coverBody({ name: 'Theirs' }))
  })

  describe('while the other window is open, or still being closed', () => {
    const asked = useAnswers(path => (path === '/api/here' ? { account: 'home' } : coverRow(1)))
    const theirs = changeDraft(openDraft(coverRef, coverRow(1)), coverBody({ name: 'Theirs' }), 'name', 0)
    const keeper = async () => (await listKept(coverRef))[0]?.window ?? ''
    /** Another window typed, with the server away; this one has the row open and did nothing to it. */
    async function openBesideIt() {
      await keepDraft(theirs)
      device.openWindow()
      const store = openStore()
      await open(store, 1)
      expect(nameIn(store)).to.equal('Weather diary')
      return store
    }

    const takenUp = (store: Store) =>
      new Promise<void>(resolve => {
        store.subscribe(() => {
          if (nameIn(store) === 'Theirs') resolve()
        })
      })

    it('takes it up as soon as that one is closed, without being asked again', async () => {
      const store = await openBesideIt()
      device.closeWindow(await keeper())
      await takenUp(store)
      expect(selectDraft(store.getState(), 'cover', id)).to.include({ dirty: true })
    })

    it('takes it up where that one is closed while this one looks', async () => {
      await keepDraft(theirs)
      device.closeOnceTold(await keeper())
      device.openWindow()
      const store = openStore()
      void open(store, 1)
      await takenUp(store)
    })

    it('leaves it to that one while it is only loaded again', async () => {
      const store = await openBesideIt()
      device.reloadOther(await keeper())
      await new Promise(resolve => setTimeout(resolve, 3_000))
      expect(nameIn(store)).to.equal('Weather diary')
      expect(asked.paths).to.deep.equal([])
      device.closeWindow(await keeper())
      await takenUp(store)
    })
  })
})
