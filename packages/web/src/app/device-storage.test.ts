import { expect } from 'chai'
import { define, installStandIns, type StandIns } from '../testing/browser-stand-ins.js'
import { readDevice, readSession, writeDevice, writeSession } from './device-storage.js'
import { readTheme } from './theme.js'

describe('what the browser keeps between visits', () => {
  let device: StandIns
  beforeEach(async () => {
    device = await installStandIns()
  })

  it('is read as it was written', () => {
    writeDevice('snowdrift.theme', 'dark')
    writeSession('word', 'needle')
    expect([readDevice('snowdrift.theme'), readSession('word'), readTheme()]).to.deep.equal([
      'dark',
      'needle',
      'dark',
    ])
    expect(device.local.size).to.equal(1)
  })

  it('is nothing where it is blocked or full, and nothing fails for that', () => {
    for (const name of ['localStorage', 'sessionStorage'])
      Object.defineProperty(globalThis, name, {
        configurable: true,
        get: () => {
          throw new DOMException('No', 'SecurityError')
        },
      })
    writeDevice('snowdrift.theme', 'dark')
    writeSession('word', 'needle')
    expect([readDevice('snowdrift.theme'), readSession('word'), readTheme()]).to.deep.equal([
      null,
      null,
      'system',
    ])
    define('localStorage', {
      setItem: () => {
        throw new DOMException('Full', 'QuotaExceededError')
      },
      getItem: () => null,
    })
    writeDevice('snowdrift.theme', 'dark')
    expect(readTheme()).to.equal('system')
  })
})
