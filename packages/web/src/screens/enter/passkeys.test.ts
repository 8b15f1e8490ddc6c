import { expect } from 'chai'
import { passkeyWords } from './passkeys.js'

describe('a passkey that a browser does not show', () => {
  it('is explained by what the browser calls it, and says what to do where there is another way', () => {
    expect(passkeyWords('NotAllowedError')).to.equal(passkeyWords('AbortError'))
    expect(passkeyWords('NotAllowedError')).to.match(/^No passkey was shown/)
    expect(passkeyWords('InvalidStateError')).to.equal('This device has a passkey for you already.')
    for (const name of ['SecurityError', 'NotSupportedError', 'TypeError'])
      expect(passkeyWords(name), name).to.match(/Take a passphrase\.$/)
  })
})
