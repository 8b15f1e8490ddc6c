import { expect } from 'chai'
import { installStandIns, type StandIns } from '../testing/browser-stand-ins.js'
import { coverFile, coverId, coverRow } from '../testing/files.js'
import { changeDraft, openDraft } from './draft.js'
import { dropKeptDrafts, findKeptDraft, holdWindow, keepDraft } from './kept-drafts.js'

describe('unsaved work on this device', () => {
  let device: StandIns
  beforeEach(() => {
    device = installStandIns()
  })

  const edited = changeDraft(openDraft(coverRow(3)), coverFile({ name: 'Edited' }), 'name', 0)
  const anotherWindow = () => device.session.clear()

  it('is kept until the server has it', async () => {
    keepDraft(edited)
    expect(await findKeptDraft(coverId)).to.deep.equal({ version: 3, file: coverFile({ name: 'Edited' }) })
    keepDraft({ ...edited, dirty: false })
    expect(await findKeptDraft(coverId)).to.equal(undefined)
  })

  it('is found again by the same window after a reload', async () => {
    keepDraft(edited)
    holdWindow()
    expect((await findKeptDraft(coverId))?.file.name).to.equal('Edited')
    expect((await findKeptDraft(coverId))?.file.name).to.equal('Edited')
  })

  it('is taken up by another window once the first is closed, and by one only', async () => {
    keepDraft(edited)
    anotherWindow()
    expect((await findKeptDraft(coverId))?.file.name).to.equal('Edited')
    anotherWindow()
    expect(await findKeptDraft(coverId)).to.equal(undefined)
  })

  it('is left alone while its window is open', async () => {
    keepDraft(edited)
    holdWindow()
    anotherWindow()
    expect(await findKeptDraft(coverId)).to.equal(undefined)
  })

  it('of one cover is not taken for that of another, and goes when the cover goes', async () => {
    keepDraft(edited)
    expect(await findKeptDraft('another')).to.equal(undefined)
    dropKeptDrafts('another')
    expect(device.local.size).to.equal(1)
    dropKeptDrafts(coverId)
    expect(device.local.size).to.equal(0)
  })

  it('that cannot be read is no work', async () => {
    keepDraft(edited)
    for (const key of device.local.keys()) device.local.set(key, '{ half')
    expect(await findKeptDraft(coverId)).to.equal(undefined)
  })
})
