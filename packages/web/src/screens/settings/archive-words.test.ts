import { noCounts, type ArchiveReport } from '@snowdrift/core'
import { expect } from 'chai'
import { linesOf, sayTaken } from './archive-words.js'

const reportOf = (counts: Partial<ArchiveReport['counts']>): ArchiveReport => ({
  counts: { ...noCounts(), ...counts },
  otherwise: [],
  refused: [],
})

describe('what an archive brings', () => {
  it('is counted by kind, what stands here otherwise together, whatever is to become of it', () => {
    const report = reportOf({
      covers: { added: 12, changed: 1, kept: 2, same: 30 },
      settings: { added: 0, changed: 0, kept: 1, same: 0 },
    })
    expect(linesOf(report)).to.deep.equal([
      { name: 'Covers', added: 12, otherwise: 3, same: 30 },
      { name: 'Settings', added: 0, otherwise: 1, same: 0 },
    ])
  })

  it('is said in a sentence once it is taken', () => {
    expect(sayTaken(reportOf({ covers: { added: 12, changed: 1, kept: 0, same: 3 } }))).to.equal(
      '12 added. 1 now as in the archive.',
    )
    expect(sayTaken(reportOf({ rules: { added: 0, changed: 0, kept: 2, same: 3 } }))).to.equal(
      'Nothing was added. 2 left as they are here.',
    )
    expect(sayTaken(reportOf({ things: { added: 0, changed: 0, kept: 0, same: 9 } }))).to.equal(
      'Everything in it was here already.',
    )
  })
})
