import { expect } from 'chai'
import { sayImported } from './import-words.js'

describe('what came of a table', () => {
  it('is what is new', () => {
    expect(sayImported({ added: 1, known: 0, pieces: 0 })).to.equal('1 material was added.')
    expect(sayImported({ added: 3, known: 0, pieces: 0 })).to.equal('3 materials were added.')
  })

  it('is what was there already, and what came to it', () => {
    expect(sayImported({ added: 0, known: 16, pieces: 0 })).to.equal(
      'No materials were added. 16 were in the stash already and are left as they are.',
    )
    expect(sayImported({ added: 0, known: 1, pieces: 2 })).to.equal(
      'No materials were added. 1 was in the stash already and is left as it is. 2 pieces more came to those.',
    )
  })

  it('asks to look where the letters may be wrong', () => {
    expect(sayImported({ added: 2, known: 0, pieces: 0, readAs: 'Windows-1252' })).to.contain(
      'read as Windows-1252',
    )
  })
})
