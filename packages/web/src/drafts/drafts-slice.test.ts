import { expect } from 'chai'
import { coverBody, coverRef as ref } from '../testing/files.js'
import { whileHeld, type Draft } from './draft.js'
import {
  changed,
  draftsSlice,
  keptMine,
  metOther,
  opened,
  putBack,
  redone,
  refused,
  sent,
  settled,
  tookTheirs,
  undone,
  type DraftsState,
} from './drafts-slice.js'
import { refOf, type Standing } from './kinds.js'

type Body = ReturnType<typeof coverBody>

const body = (name: string) => coverBody({ name })
const row = (name: string, version: number): Standing<Body> => ({ version, body: body(name) })
const open = (name: string, version: number) => opened({ ref, row: row(name, version) })

/** The draft after a row was opened and these actions followed. */
function after(...actions: readonly Parameters<typeof draftsSlice.reducer>[1][]): Draft<Body> {
  const start: DraftsState = draftsSlice.reducer({}, open('first', 1))
  return draftOf(actions.reduce<DraftsState>(draftsSlice.reducer, start))
}

function draftOf(state: DraftsState): Draft<Body> {
  const draft = state[ref]
  if (!draft) throw new Error('The draft is gone')
  return draft as Draft<Body>
}

const nameOf = (draft: Draft<Body>) => draft.body.file.name
const change = (name: string, key = name) => changed(ref, body(name), key)
const send = (newKey = 'k1') => sent({ ref, newKey })

describe('a draft', () => {
  it('begins as the server has it, with nothing to undo', () => {
    expect(after()).to.deep.include({ version: 1, dirty: false, past: [], future: [] })
  })

  it('is undone and redone step by step', () => {
    expect(nameOf(after(change('a'), change('b'), undone(ref)))).to.equal('a')
    expect(nameOf(after(change('a'), change('b'), undone(ref), undone(ref)))).to.equal('first')
    expect(nameOf(after(change('a'), change('b'), undone(ref), undone(ref), redone(ref)))).to.equal('a')
    expect(nameOf(after(change('a'), undone(ref), undone(ref)))).to.equal('first')
    expect(after(change('a'), undone(ref), change('c')).future).to.deep.equal([])
  })

  it('follows what another window saved, as a step that undo goes back over', () => {
    const followed = after(change('a'), send(), settled({ ref, version: 2 }), open('theirs', 3))
    expect(nameOf(followed)).to.equal('theirs')
    expect(followed).to.include({ version: 3, dirty: false })
    const back = after(
      change('a'),
      send(),
      settled({ ref, version: 2 }),
      open('theirs', 3),
      undone(ref),
      undone(ref),
    )
    expect(nameOf(back)).to.equal('first')
    // what is being typed here stays, whatever was saved elsewhere
    expect(nameOf(after(change('mine'), open('theirs', 3)))).to.equal('mine')
  })

  it('is undone over a reload, where it stands as it stood', () => {
    const history = (name: string) => ({ body: body(name), past: [body('before')], future: [body('after')] })
    const reopened = (name: string) =>
      draftOf(draftsSlice.reducer({}, opened({ ref, row: row('first', 1), history: history(name) })))
    expect(reopened('first').past).to.deep.equal([body('before')])
    expect(reopened('first').future).to.deep.equal([body('after')])
    // somebody changed it meanwhile: its steps lead from elsewhere
    expect(reopened('other').past).to.deep.equal([])
  })

  it('undoes typing on in one field at once', () => {
    const typed = after(change('W', 'name'), change('We', 'name'), change('Wea', 'name'), undone(ref))
    expect(nameOf(typed)).to.equal('first')
  })

  it('undoes at once what one hold of the hand changed, however long it rested, and each hold by itself', () => {
    const at = (ms: number, name: string, key: string) => ({
      ...change(name, key),
      payload: { ...change(name, key).payload, at: ms },
    })
    const [once, again] = [whileHeld('flap', 100), whileHeld('flap', 20_000)]
    const pulled = [at(0, 'a', once), at(9000, 'b', once), at(18_000, 'c', once), at(18_010, 'd', again)]
    expect(nameOf(after(...pulled, undone(ref)))).to.equal('c')
    expect(nameOf(after(...pulled, undone(ref), undone(ref)))).to.equal('first')
    const typed = [at(0, 'a', 'flap'), at(9000, 'b', 'flap')]
    expect(nameOf(after(...typed, undone(ref)))).to.equal('a')
  })

  it('is put back to before what one hold changed, which leaves no step, and no further', () => {
    const key = whileHeld('flap', 100)
    const back = after(change('a'), change('b', key), change('c', key), putBack({ ref, key }))
    expect(nameOf(back)).to.equal('a')
    expect([back.past.length, back.future.length]).to.deep.equal([1, 0])
    expect(nameOf(after(change('b', key), change('typed', 'name'), putBack({ ref, key })))).to.equal('typed')
    expect(nameOf(after(change('b', key), putBack({ ref, key }), putBack({ ref, key })))).to.equal('first')
  })

  it('undoes steps that are no typing one by one, however soon they follow', () => {
    expect(nameOf(after(change('one', ''), change('two', ''), undone(ref)))).to.equal('one')
  })

  it('is clean when the server has what stands here, and dirty when it was typed on meanwhile', () => {
    const first = change('sent', 'name')
    const saved = settled({ ref, version: 2 })
    expect(after(first, send(), saved))
      .to.include({ dirty: false, version: 2, saving: 'resting' })
      .and.not.have.property('pending')
    expect(after(first, send(), change('more'), saved)).to.include({ dirty: true, version: 2 })
  })

  it('sends the same again, under the same key, until it is answered', () => {
    const twice = after(change('sent'), send('k1'), change('more'), send('k2'))
    expect(twice.pending).to.deep.equal({ key: 'k1', version: 1, body: body('sent') })
    const next = after(change('sent'), send('k1'), settled({ ref, version: 2 }), change('more'), send('k2'))
    expect(next.pending).to.deep.equal({ key: 'k2', version: 2, body: body('more') })
  })

  it('does not give way to an older row, nor unsaved work to a newer one', () => {
    expect(nameOf(after(change('mine'), open('theirs', 5)))).to.equal('mine')
    expect(nameOf(after(open('newer', 5)))).to.equal('newer')
    expect(nameOf(after(open('same', 1)))).to.equal('first')
  })

  describe('that takes up what the device kept', () => {
    const resume = (kept: Standing<object> & { pending?: object }, server = row('server', 2)) =>
      draftOf(draftsSlice.reducer({}, opened({ ref, row: server, kept: kept as never })))

    it('goes on with it; where the server has moved on, the two are in conflict', () => {
      expect(resume(row('kept', 2)))
        .to.deep.include({ dirty: true, version: 2 })
        .and.not.have.property('conflict')
      expect(nameOf(resume(row('kept', 2)))).to.equal('kept')
      expect(resume(row('kept', 1)).conflict).to.deep.equal(row('server', 2))
    })

    it('has nothing to do where the server has the same, and waits for no conflict where its own save is unanswered', () => {
      expect(resume(row('server', 1))).to.deep.include({ dirty: false, version: 2 })
      const pending = { key: 'k', ...row('sent', 1) }
      const waiting = resume({ ...row('typed on', 1), pending })
      expect(waiting).to.deep.include({ dirty: true, pending }).and.not.have.property('conflict')
    })

    it('trusts it over what an older answer says', () => {
      expect(resume(row('kept', 3))).not.to.have.property('conflict')
      // What the server had at version 3 is not known; at version 2 it is.
      expect(resume(row('kept', 3))).not.to.have.property('base')
      expect(resume(row('kept', 2)).base).to.deep.equal(body('server'))
    })

    it('replaces a clean draft with it, one undo away, and never one that is being worked on', () => {
      const kept = { ...row('left by another', 1) }
      const taken = after(opened({ ref, row: row('first', 1), kept }))
      expect(nameOf(taken)).to.equal('left by another')
      expect(nameOf(after(opened({ ref, row: row('first', 1), kept }), undone(ref)))).to.equal('first')
      expect(nameOf(after(change('mine'), opened({ ref, row: row('first', 1), kept })))).to.equal('mine')
    })
  })

  describe('that meets something else on the server', () => {
    const meet = (other: Standing<Body>) => metOther({ ref, row: other })

    it('keeps mine over theirs, or takes theirs with mine one undo away', () => {
      const conflict = [change('mine'), send(), meet(row('theirs', 7))] as const
      expect(after(...conflict).conflict).to.deep.equal(row('theirs', 7))
      expect(after(...conflict)).not.to.have.property('pending')
      expect(after(...conflict, keptMine(ref)))
        .to.include({ version: 7, dirty: true })
        .and.not.have.property('conflict')
      const taken = after(...conflict, tookTheirs(ref))
      expect(taken).to.include({ version: 7, dirty: false })
      expect(nameOf(taken)).to.equal('theirs')
      expect(nameOf(after(...conflict, tookTheirs(ref), undone(ref)))).to.equal('mine')
    })

    it('is in no conflict with its own save, answered late', () => {
      expect(after(change('mine'), send(), meet(row('mine', 2)))).to.include({ version: 2, dirty: false })
      const typedOn = after(change('mine'), send(), change('more'), meet(row('mine', 2)))
      expect(typedOn).to.include({ version: 2, dirty: true }).and.not.have.property('conflict')
    })

    it('is in no conflict with what it is based on under a later number, nor with what says the same', () => {
      const rebased = after(change('mine'), send(), meet(row('first', 4)))
      expect(rebased).to.include({ version: 4, dirty: true }).and.not.have.property('conflict')
      const same = after(change('mine'), send(), change('theirs too'), meet(row('theirs too', 4)))
      expect(same).to.include({ version: 4, dirty: false }).and.not.have.property('conflict')
    })
  })

  it('remembers why the server refused, and does not hold on to what was refused', () => {
    const draft = after(change('odd'), send(), refused({ ref, refusal: 'too long' }))
    expect(draft)
      .to.include({ saving: 'refused', refusal: 'too long', dirty: true })
      .and.not.have.property('pending')
    const saved = after(change('odd'), send(), refused({ ref, refusal: 'too long' }), change('good'), send(), settled({ ref, version: 2 })) // prettier-ignore
    expect(saved).not.to.have.property('refusal')
  })

  it('leaves other drafts as they are', () => {
    const state: DraftsState = draftsSlice.reducer({}, open('first', 1))
    expect(draftsSlice.reducer(state, undone(refOf('cover', 'another')))).to.equal(state)
    expect(draftsSlice.reducer(state, undone(refOf('material', ref.slice(6))))).to.equal(state)
  })
})
