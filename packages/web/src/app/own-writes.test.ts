import { expect } from 'chai'
import { isOwnWrite, noteOwnWrite } from './own-writes.js'

describe('what this window wrote itself', () => {
  it('is known by row and version', () => {
    noteOwnWrite('a', 3)
    expect([isOwnWrite('a', 3), isOwnWrite('a', 4), isOwnWrite('b', 3)]).to.deep.equal([true, false, false])
  })

  it('is forgotten after two hundred more', () => {
    noteOwnWrite('early', 1)
    for (let version = 1; version <= 199; version++) noteOwnWrite('later', version)
    expect(isOwnWrite('early', 1)).to.equal(true)
    noteOwnWrite('later', 200)
    expect([isOwnWrite('early', 1), isOwnWrite('later', 1)]).to.deep.equal([false, true])
  })
})
