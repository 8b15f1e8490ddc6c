import { expect } from 'chai'
import { installStandIns } from '../testing/browser-stand-ins.js'
import { writeDevice } from './device-storage'
import { keepWaits, overAt, readWaits } from './kept-waits'

const glued = { step: 'weight', name: 'A night under weight', endsAt: '2026-11-02T08:00:00.000Z' }
const fused = { step: 'fuse-outer', name: 'Fuse the outer', endsAt: '2026-11-01T19:05:00.000Z' }

describe('waits that this device keeps', () => {
  beforeEach(async () => {
    await installStandIns()
  })

  it('are those of every bench, the latest word of each', () => {
    keepWaits('one', [glued])
    keepWaits('other', [fused])
    keepWaits('one', [])
    expect(readWaits()).to.deep.equal([{ cover: 'other', ...fused }])
  })

  it('are none where nothing is kept, or what is kept cannot be read', () => {
    expect(readWaits()).to.deep.equal([])
    for (const kept of ['{ "not": "a list" }', '[{ "cover": 3 }, null]', 'torn']) {
      writeDevice('snowdrift.waits', kept)
      expect(readWaits()).to.deep.equal([])
    }
  })

  it('are over at their time, but on the bench that rings itself', () => {
    keepWaits('one', [glued])
    keepWaits('other', [fused])
    const at = (time: string, shown?: string) =>
      overAt(readWaits(), Date.parse(time), shown).map(({ cover }) => cover)
    expect(at('2026-11-01T19:04:59.000Z')).to.deep.equal([])
    expect(at('2026-11-01T19:05:00.000Z')).to.deep.equal(['other'])
    expect(at('2026-11-02T09:00:00.000Z')).to.deep.equal(['one', 'other'])
    expect(at('2026-11-02T09:00:00.000Z', 'one')).to.deep.equal(['other'])
  })
})
