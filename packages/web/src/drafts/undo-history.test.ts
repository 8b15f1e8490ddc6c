import { expect } from 'chai'
import { installStandIns } from '../testing/browser-stand-ins.js'
import { coverBody, coverRef, coverRow } from '../testing/files.js'
import { changeDraft, openDraft, undoDraft } from './draft.js'
import { leaveUndo, takeUndo } from './undo-history.js'

const typed = (...names: readonly string[]) =>
  names.reduce(
    (draft, name) => changeDraft(draft, coverBody({ name }), '', 0),
    openDraft(coverRef, coverRow(1)),
  )

describe('what can be undone, over a reload', () => {
  beforeEach(installStandIns)

  it('is found again by the window that left it, once', () => {
    leaveUndo({ [coverRef]: undoDraft(typed('one', 'two')) })
    const found = takeUndo(coverRef)
    expect(found?.body).to.deep.equal(coverBody({ name: 'one' }))
    expect(found?.past).to.deep.equal([coverBody()])
    expect(found?.future).to.deep.equal([coverBody({ name: 'two' })])
    expect(takeUndo(coverRef)).to.equal(undefined)
  })

  it('is left only where there is anything to undo', () => {
    leaveUndo({ [coverRef]: typed() })
    expect(takeUndo(coverRef)).to.equal(undefined)
  })

  it('is the last sixty steps', () => {
    leaveUndo({ [coverRef]: typed(...Array.from({ length: 80 }, (_, n) => `step ${n}`)) })
    expect(takeUndo(coverRef)?.past).to.have.length(60)
  })
})
