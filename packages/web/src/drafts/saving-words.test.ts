import { expect } from 'chai'
import { keepingWords, savingWords } from './saving-words.js'

describe('how saving stands, in words', () => {
  const at = { saving: 'resting', dirty: false } as const

  it('says what is so, the gravest first', () => {
    expect(savingWords(at, undefined)).to.equal('Saved')
    expect(savingWords({ ...at, dirty: true }, undefined)).to.equal('Saving …')
    expect(savingWords({ ...at, dirty: true, saving: 'offline' }, undefined)).to.equal(
      'Server away: kept on this device',
    )
    expect(savingWords({ ...at, dirty: true, saving: 'refused', refusal: 'Too long.' }, undefined)).to.equal(
      'Not saved: Too long.',
    )
    const conflict = { version: 2, body: {} }
    expect(savingWords({ ...at, dirty: true, saving: 'offline', conflict }, undefined)).to.equal(
      'Not saved: changed elsewhere',
    )
  })

  it('says to whoever looks on that nothing is saved, whatever else is so', () => {
    expect(savingWords(at, undefined, true)).to.equal('You look on')
    expect(savingWords({ ...at, dirty: true, saving: 'offline' }, 'full', true)).to.equal(
      'Tried, and not saved: you look on',
    )
  })

  it('promises nothing that the device does not do', () => {
    for (const keeping of ['full', 'blocked'] as const) {
      expect(savingWords({ ...at, dirty: true, saving: 'offline' }, keeping)).to.equal(
        'Server away: keep this window open',
      )
      expect(keepingWords(keeping)).to.contain('Saving works')
    }
    expect(keepingWords('full')).to.contain('no room left')
    expect(keepingWords('blocked')).to.contain('keeps nothing for this page')
  })
})
