import { expect } from 'chai'
import { define, installStandIns, type StandIns } from '../testing/browser-stand-ins.js'
import { coverBody, coverRef, coverRow } from '../testing/files.js'
import { changeDraft, openDraft, type Draft } from './draft.js'
import {
  dropKeptDrafts,
  claimLeftDraft,
  findOwnDraft,
  forgetUnwritten,
  keepDraft,
  keepWhileLeaving,
  leaveKeptDraft,
  listLeftRefs,
  tryKeeping,
} from './kept-drafts.js'
import { closeKept, listKept, putKept } from './kept-store.js'
import { refOf } from './kinds.js'
import { moveOldDrafts } from './move-old-drafts.js'

describe('unsaved work on this device', () => {
  let device: StandIns
  beforeEach(async () => {
    device = await installStandIns()
  })

  const edit = (name: string): Draft =>
    changeDraft(openDraft(coverRef, coverRow(3)), coverBody({ name }), 'name', 0)
  const edited = edit('Edited')
  const findKept = async (ref = coverRef) => (await findOwnDraft(ref)) ?? (await claimLeftDraft(ref))
  const nameOf = async () => {
    const kept = await findKept()
    return (kept?.body as ReturnType<typeof coverBody> | undefined)?.file.name
  }

  it('is kept until the server has it', async () => {
    await keepDraft(edited)
    expect(await findKept()).to.deep.equal({ version: 3, body: coverBody({ name: 'Edited' }) })
    await keepDraft({ ...edited, dirty: false })
    expect(await findKept()).to.equal(undefined)
  })

  it('is kept with the save that nobody has answered yet', async () => {
    const pending = { key: 'k', version: 3, body: coverBody({ name: 'Sent' }) }
    await keepDraft({ ...edited, pending })
    expect((await findKept())?.pending).to.deep.equal(pending)
  })

  it('is the latest, however fast it changes', async () => {
    const names = Array.from({ length: 50 }, (_, n) => `Edited ${n}`)
    await Promise.all(names.map(name => keepDraft(edit(name))))
    expect(await nameOf()).to.equal('Edited 49')
    expect(await listKept(coverRef)).to.have.length(1)
  })

  it('is found again by the same window after a reload', async () => {
    await keepDraft(edited)
    device.reload()
    expect([await nameOf(), await nameOf()]).to.deep.equal(['Edited', 'Edited'])
  })

  describe('where the window goes away before the device has it', () => {
    beforeEach(async () => {
      await keepDraft(edit('Edi'))
      await closeKept()
      device.breakDevice('QuotaExceededError')
    })
    function goAwayWith(draft: Draft) {
      void keepDraft(draft)
      keepWhileLeaving()
      device.reload()
    }

    it('is found as it was typed last, once, and is listed', async () => {
      goAwayWith(edited)
      expect(await listLeftRefs()).to.deep.equal([coverRef])
      expect([await nameOf(), await nameOf()]).to.deep.equal(['Edited', undefined])
    })

    it('is not found where the server had all of it', async () => {
      goAwayWith({ ...edited, dirty: false })
      expect(await findOwnDraft(coverRef)).to.equal(undefined)
    })

    it('is not left for the next by whoever signs out', async () => {
      void keepDraft(edited)
      forgetUnwritten()
      keepWhileLeaving()
      expect(await listLeftRefs()).to.deep.equal([])
    })
  })

  it('goes to the device alone where that has it in time', async () => {
    await keepDraft(edited)
    keepWhileLeaving()
    expect([...device.session.keys()].filter(key => key.includes('leaving'))).to.deep.equal([])
  })

  it('is taken up by another window once the first is closed, and by one only', async () => {
    await keepDraft(edited)
    device.closeAllWindows()
    device.openWindow()
    expect(await nameOf()).to.equal('Edited')
    device.openWindow()
    expect(await nameOf()).to.equal(undefined)
  })

  it('is left alone while its window is open', async () => {
    await keepDraft(edited)
    device.openWindow()
    expect(await nameOf()).to.equal(undefined)
    expect(await listLeftRefs()).to.deep.equal([])
  })

  it('of a window and of its copy are two: neither writes over the other', async () => {
    await keepDraft(edited)
    device.openWindow({ copied: true })
    await keepDraft(edit('In the copy'))
    expect(await listKept(coverRef)).to.have.length(2)
    expect(await nameOf()).to.equal('In the copy')
  })

  it('that was found and is not wanted now is found again later', async () => {
    await leaveKeptDraft(coverRef, { version: 2, body: coverBody({ name: 'Left' }) })
    device.openWindow()
    expect(await listLeftRefs()).to.deep.equal([coverRef])
    expect(await nameOf()).to.equal('Left')
  })

  it('of one row is not taken for that of another, and goes when the row goes', async () => {
    const another = refOf('cover', 'another')
    await keepDraft(edited)
    expect(await findKept(another)).to.equal(undefined)
    await dropKeptDrafts(another)
    expect(await listKept()).to.have.length(1)
    await dropKeptDrafts(coverRef)
    expect(await listKept()).to.have.length(0)
  })

  it('is not kept where there is no room or no leave, which is said and nothing else', async () => {
    expect(await tryKeeping()).to.equal(undefined)
    expect(await keepDraft(edited)).to.equal('kept')
    expect(await keepDraft({ ...edited, dirty: false })).to.equal('let-go')
    device = await installStandIns()
    device.breakDevice('QuotaExceededError')
    expect(await keepDraft(edited)).to.equal('full')
    device.breakDevice('SecurityError')
    expect([await keepDraft(edited), await tryKeeping()]).to.deep.equal(['blocked', 'blocked'])
    expect(await findKept()).to.equal(undefined)
  })

  it('is kept where windows cannot know of each other, and counts as left once nobody touches it', async () => {
    define('navigator', { locks: undefined })
    await keepDraft(edited)
    device.openWindow()
    expect(await nameOf()).to.equal(undefined)
    const [record] = await listKept(coverRef)
    if (!record) throw new Error('Nothing was kept')
    await putKept({ ...record, at: Date.now() - 61_000 })
    expect(await nameOf()).to.equal('Edited')
  })

  it('of an older Snowdrift is taken along', async () => {
    const id = coverRef.slice('cover/'.length)
    const { file } = coverBody({ name: 'From before' })
    device.local.set(
      `snowdrift.draft.${id}.6f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f`,
      JSON.stringify({ version: 2, file }),
    )
    device.local.set(`snowdrift.draft.${id}.7f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f`, '{ half')
    await moveOldDrafts()
    expect(await findKept()).to.deep.equal({ version: 2, body: { file } })
    expect(device.local.size).to.equal(0)
  })
})
