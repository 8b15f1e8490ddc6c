import { expect } from 'chai'
import { listKept, closeKept, putKept } from '../drafts/kept-store.js'
import { installStandIns, type StandIns } from '../testing/browser-stand-ins.js'
import { currentAccount, forgetAccount, keptPlace, meetAccount } from './account.js'

const kept = (of: string) => ({ of, window: 'w', at: 0, value: {} })

describe('whose work a device shows', () => {
  let device: StandIns
  beforeEach(async () => {
    device = await installStandIns()
    forgetAccount()
  })
  /** What a page does that hears of another account. */
  const loadAgain = async () => {
    await closeKept()
    forgetAccount()
  }

  it('is not known before the server says so, and known from then on without it', () => {
    expect(currentAccount()).to.equal(undefined)
    expect(meetAccount('hut')).to.equal(false)
    expect(meetAccount('hut')).to.equal(false)
    forgetAccount()
    expect(currentAccount()).to.equal('hut')
  })

  it('is said to be somebody else’s once', () => {
    meetAccount('hut')
    expect(meetAccount('station')).to.equal(true)
    expect(meetAccount('station')).to.equal(false)
    expect(meetAccount('hut')).to.equal(true)
  })

  it('keeps the unsaved work of each apart, that of before there were accounts with the first', async () => {
    await putKept(kept('cover/before'))
    meetAccount('hut')
    await loadAgain()
    await putKept(kept('cover/of-the-hut'))
    meetAccount('station')
    await loadAgain()
    expect(await listKept()).to.deep.equal([])
    await putKept(kept('cover/of-the-station'))
    meetAccount('hut')
    await loadAgain()
    expect((await listKept()).map(({ of }) => of)).to.deep.equal(['cover/before', 'cover/of-the-hut'])
  })

  it('changes no place where the browser keeps nothing', () => {
    device.breakDevice('SecurityError')
    expect(keptPlace()).to.equal('snowdrift')
  })
})
