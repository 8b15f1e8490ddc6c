import { configureStore } from '@reduxjs/toolkit'
import type { Change } from '@snowdrift/core'
import { expect } from 'chai'
import { api } from '../api/api.js'
import { noteOwnWrite } from '../app/own-writes.js'
import { installStandIns } from '../testing/browser-stand-ins.js'
import { coverBody, coverRef, coverRow } from '../testing/files.js'
import { useAnswers } from '../testing/use-answers.js'
import { changed, draftsSlice, selectDraft } from './drafts-slice.js'
import { followChanges } from './follow-changes.js'
import { takeUp } from './take-up.js'

const id = coverRef.slice('cover/'.length)
const other = '0c0c0c0c-0c0c-4c0c-8c0c-0c0c0c0c0c0c'
const change = (more: Partial<Change> = {}): Change => ({ kind: 'cover', id, version: 2, ...more })

describe('following what was changed elsewhere', () => {
  beforeEach(() => installStandIns())
  const asked = useAnswers(path => ({
    id: path.split('/').at(-1),
    version: 2,
    updatedAt: '2026-11-29T10:00:00.000Z',
    ...coverBody({ name: 'From elsewhere' }),
  }))

  const openStore = () =>
    configureStore({
      reducer: { drafts: draftsSlice.reducer, api: api.reducer },
      middleware: defaults => defaults().concat(api.middleware),
    })
  const openCover = async () => {
    const store = openStore()
    await store.dispatch(takeUp(coverRef, coverRow(1)))
    return store
  }
  const nameIn = (store: ReturnType<typeof openStore>) =>
    selectDraft(store.getState(), 'cover', id)?.body.file.name

  it('takes what stands there now, where nothing is unsaved', async () => {
    const store = await openCover()
    await store.dispatch(followChanges([change()]))
    expect([nameIn(store), asked.paths]).to.deep.equal(['From elsewhere', [`/api/covers/${id}`]])
  })

  it('leaves unsaved work alone: the server tells the two apart', async () => {
    const store = await openCover()
    store.dispatch(changed(coverRef, coverBody({ name: 'Mine' }), 'name'))
    await store.dispatch(followChanges([change()]))
    expect([nameIn(store), asked.paths]).to.deep.equal(['Mine', []])
  })

  it('asks for nothing that this window wrote itself, or that is not open', async () => {
    const store = await openCover()
    noteOwnWrite(id, 2)
    await store.dispatch(followChanges([change(), change({ id: other })]))
    expect(asked.paths).to.deep.equal([])
    // the next version is another's
    await store.dispatch(followChanges([change({ version: 3 })]))
    expect(asked.paths).to.deep.equal([`/api/covers/${id}`])
  })

  it('asks for a row once, however many changes of it come together', async () => {
    const store = await openCover()
    await store.dispatch(
      followChanges([change({ version: 4 }), change({ version: 5 }), change({ version: 6 })]),
    )
    expect(asked.paths).to.deep.equal([`/api/covers/${id}`])
  })

  it('asks for all open rows of a kind where several were changed at once, and for none of another', async () => {
    const store = await openCover()
    await store.dispatch(takeUp(`cover/${other}`, coverRow(1)))
    await store.dispatch(followChanges([change({ kind: 'thing', id: null, version: null })]))
    expect(asked.paths).to.deep.equal([])
    await store.dispatch(followChanges([change({ id: null, version: null })]))
    expect(asked.paths.toSorted()).to.deep.equal([`/api/covers/${id}`, `/api/covers/${other}`].toSorted())
  })

  it('asks for everything that is open where nobody knows what was missed', async () => {
    const store = await openCover()
    await store.dispatch(takeUp(`cover/${other}`, coverRow(1)))
    await store.dispatch(followChanges('missed'))
    expect(asked.paths.toSorted()).to.deep.equal([`/api/covers/${id}`, `/api/covers/${other}`].toSorted())
    expect(nameIn(store)).to.equal('From elsewhere')
  })

  it('shows it on a screen that only shows the cover', async () => {
    const store = openStore()
    await store.dispatch(api.util.upsertQueryData('cover', id, { ...coverRow(1), id }))
    await store.dispatch(followChanges([change({ version: 7 })]))
    expect(api.endpoints.cover.select(id)(store.getState()).data?.file.name).to.equal('From elsewhere')
    expect(selectDraft(store.getState(), 'cover', id)).to.equal(undefined)
  })
})
