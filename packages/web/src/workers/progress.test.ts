import { expect } from 'chai'
import { shownShare } from './progress.js'

describe('how far a worker is, as it is shown', () => {
  it('goes up in steps of a fiftieth, and never before its time', () => {
    expect([0, 0.019, 0.02, 0.5, 0.999, 1].map(shownShare)).to.deep.equal([0, 0, 0.02, 0.5, 0.98, 1])
  })
})
