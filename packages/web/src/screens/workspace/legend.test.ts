import { plan, readCover, type CoverFile } from '@snowdrift/core'
import { expect } from 'chai'
import { coverFile } from '../../testing/files.js'
import { legendOf } from './legend.js'

const wordsWith = (changes: Partial<CoverFile>) => {
  const read = readCover(coverFile(changes))
  if (!read.ok) throw new Error('Not a cover')
  return legendOf(plan(read.value)).map(([, words]) => words)
}

describe('the legend of the live picture', () => {
  it('names the lines that are drawn, and no other', () => {
    expect(wordsWith({})).to.deep.equal(['cut edge', 'seam', 'fold', 'turning opening'])
  })

  it('names a ribbon as it names a tie: both are drawn alike', () => {
    for (const type of ['tie-pair', 'ribbon', 'wrap-ribbon'])
      expect(wordsWith({ extras: [{ type }] }), type).to.include('ribbon or tie')
  })
})
