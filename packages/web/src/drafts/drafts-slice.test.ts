import type { CoverFile, CoverRow } from '@snowdrift/core'
import { expect } from 'chai'
import type { Draft } from './draft.js'
import {
  changed,
  conflicted,
  draftsSlice,
  keptMine,
  opened,
  redone,
  savingChanged,
  settled,
  tookTheirs,
  undone,
  type DraftsState,
} from './drafts-slice.js'

const id = '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f'

function file(name: string): CoverFile {
  return {
    format: 'snowdrift/cover',
    version: 1,
    name,
    object: { kind: 'notebook' },
    family: 'slip-cover',
    layers: [{ role: 'outer', thickness: '0.3 mm' }],
  }
}

function row(name: string, version: number): CoverRow {
  return { id, version, updatedAt: '2030-01-01T00:00:00.000Z', thingId: null, file: file(name) }
}

/** The draft after a row was opened and these actions followed. */
function after(...actions: readonly Parameters<typeof draftsSlice.reducer>[1][]): Draft {
  const start: DraftsState = draftsSlice.reducer({}, opened({ row: row('first', 1) }))
  const draft = actions.reduce<DraftsState>(draftsSlice.reducer, start)[id]
  if (!draft) throw new Error('The draft is gone')
  return draft
}

const change = (name: string, key = name) => changed(id, file(name), key)

describe('a draft', () => {
  it('begins as the server has it, with nothing to undo', () => {
    expect(after()).to.deep.include({ version: 1, dirty: false, past: [], future: [] })
  })

  it('is undone and redone step by step', () => {
    expect(after(change('a'), change('b'), undone(id)).file.name).to.equal('a')
    expect(after(change('a'), change('b'), undone(id), undone(id)).file.name).to.equal('first')
    expect(after(change('a'), change('b'), undone(id), undone(id), redone(id)).file.name).to.equal('a')
    expect(after(change('a'), undone(id), undone(id)).file.name).to.equal('first')
    expect(after(change('a'), undone(id), change('c')).future).to.deep.equal([])
  })

  it('undoes typing on in one field at once', () => {
    const typed = after(change('W', 'name'), change('We', 'name'), change('Wea', 'name'), undone(id))
    expect(typed.file.name).to.equal('first')
  })

  it('undoes steps that are no typing one by one, however soon they follow', () => {
    const stepped = after(change('one', ''), change('two', ''), undone(id))
    expect(stepped.file.name).to.equal('one')
  })

  it('is clean when the server has what stands here, and dirty when it was typed on meanwhile', () => {
    const sent = file('sent')
    const first = changed(id, sent, 'name')
    const saved = settled({ sent, row: { ...row('sent', 2), file: sent } })
    expect(after(first, saved)).to.include({ dirty: false, version: 2, saving: 'resting' })
    expect(after(first, change('more'), saved)).to.include({ dirty: true, version: 2 })
  })

  it('does not give way to an older row, nor unsaved work to a newer one', () => {
    expect(after(change('mine'), opened({ row: row('theirs', 5) })).file.name).to.equal('mine')
    expect(after(opened({ row: row('newer', 5) })).file.name).to.equal('newer')
    expect(after(opened({ row: row('same', 1) })).file.name).to.equal('first')
  })

  it('takes up work that the device kept; one that the server has left behind is a conflict', () => {
    const open = (version: number) =>
      draftsSlice.reducer({}, opened({ row: row('server', 2), kept: { version, file: file('kept') } }))[id]
    expect(open(2)).to.deep.include({ dirty: true, version: 2 }).and.not.have.property('conflict')
    expect(open(2)?.file.name).to.equal('kept')
    expect(open(1)?.conflict?.file.name).to.equal('server')
  })

  it('keeps mine over theirs, or takes theirs with mine one undo away', () => {
    const conflict = [change('mine'), conflicted(row('theirs', 7))] as const
    expect(after(...conflict, keptMine(id)))
      .to.include({ version: 7, dirty: true })
      .and.not.have.property('conflict')
    const taken = after(...conflict, tookTheirs(id))
    expect(taken).to.include({ version: 7, dirty: false })
    expect(taken.file.name).to.equal('theirs')
    expect(after(...conflict, tookTheirs(id), undone(id)).file.name).to.equal('mine')
  })

  it('remembers why the server refused', () => {
    const refused = after(change('odd'), savingChanged({ id, saving: 'refused', refusal: 'too long' }))
    expect(refused).to.include({ saving: 'refused', refusal: 'too long', dirty: true })
  })

  it('leaves other drafts as they are', () => {
    const state: DraftsState = draftsSlice.reducer({}, opened({ row: row('first', 1) }))
    expect(draftsSlice.reducer(state, undone('another'))).to.equal(state)
  })
})
