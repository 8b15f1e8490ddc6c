import { expect } from 'chai'
import { installStandIns, type StandIns } from '../testing/browser-stand-ins.js'
import { listLeftRefs } from './kept-drafts.js'
import { dropKeptForm, findKeptForm, keepForm } from './kept-forms.js'

describe('a form that is being filled in', () => {
  let device: StandIns
  beforeEach(async () => {
    device = await installStandIns()
  })

  it('is there again after a reload, until it is sent', async () => {
    await keepForm('new-cover', { name: 'Glacier notes' })
    device.reload()
    expect(await findKeptForm('new-cover')).to.deep.equal({ name: 'Glacier notes' })
    expect(await findKeptForm('another')).to.equal(undefined)
    await dropKeptForm('new-cover')
    expect(await findKeptForm('new-cover')).to.equal(undefined)
  })

  it('is each window’s own, and no work that another takes up', async () => {
    await keepForm('new-cover', { name: 'Here' })
    device.closeAllWindows()
    device.openWindow()
    expect(await findKeptForm('new-cover')).to.equal(undefined)
    expect(await listLeftRefs()).to.deep.equal([])
  })

  it('works where nothing is kept', async () => {
    device.breakDevice('SecurityError')
    await keepForm('new-cover', { name: 'Here' })
    expect(await findKeptForm('new-cover')).to.equal(undefined)
    await dropKeptForm('new-cover')
  })
})
