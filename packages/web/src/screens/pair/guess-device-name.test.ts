import { expect } from 'chai'
import { guessDeviceName } from './guess-device-name.js'

describe('what a device is likely to be called', () => {
  it('is told from what its browser says of itself', () => {
    const named = {
      'Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) Mobile/15E148': 'Phone',
      'Mozilla/5.0 (Linux; Android 15; Pixel) AppleWebKit/537.36 Chrome/140.0 Mobile Safari/537.36': 'Phone',
      'Mozilla/5.0 (Linux; Android 15; SM-X910) AppleWebKit/537.36 Chrome/140.0 Safari/537.36': 'Tablet',
      'Mozilla/5.0 (iPad; CPU OS 17_0 like Mac OS X) Mobile/15E148': 'Tablet',
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/140.0 Safari/537.36': 'Computer',
      '': 'Computer',
    }
    for (const [userAgent, name] of Object.entries(named))
      expect(guessDeviceName(userAgent), userAgent).to.equal(name)
  })
})
