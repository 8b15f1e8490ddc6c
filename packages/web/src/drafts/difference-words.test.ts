import { initialSettings } from '@snowdrift/core'
import { expect } from 'chai'
import { coverBody } from '../testing/files.js'
import { listDifferences } from './differences.js'
import { wordsFor } from './difference-words.js'

const differ = (
  mine: Parameters<typeof coverBody>[0],
  theirs: Parameters<typeof coverBody>[0],
  unit: 'in' | 'cm' = 'in',
) => {
  const body = coverBody(mine)
  return listDifferences(body, coverBody(theirs), wordsFor('cover', body, unit))
}
const read = (height: string[], thickness: string[]) => ({
  object: { kind: 'hardcover' as const, readings: { height, thickness, width: ['6'] } },
})

describe('what differs of a cover, in a maker’s words', () => {
  it('names the reading, and says its unit', () => {
    expect(differ(read(['9', '9 1/8'], ['1']), read(['9', '9 1/4'], ['1']))).to.deep.equal([
      { path: 'Height, reading 2', mine: '9\u00a01\u20448\u00a0in', theirs: '9\u00a01\u20444\u00a0in' },
    ])
    expect(differ(read(['9'], ['1']), read(['9'], ['2']), 'cm')).to.deep.equal([
      { path: 'Thickness', mine: '2.54\u00a0cm', theirs: '5.08\u00a0cm' },
    ])
  })

  it('names options by their labels and choices by their words, what is added by its name', () => {
    expect(
      differ({ options: { flapStyle: 'faced' } }, { options: { flapStyle: 'folded' } })[0]?.mine,
    ).to.equal('faced with lining')
    const [added] = differ({ extras: [] }, { extras: [{ type: 'tie-pair' }] })
    expect(added?.theirs).to.equal('Pair of ties')
    const [way] = differ({ family: 'slip-cover' }, { family: 'glued-wrap' })
    expect(way?.path).to.equal('Way of making')
    expect(way?.mine).to.equal('Slip-on cover, separate flaps')
  })

  it('leaves a name as it was written, though it looks like a length', () => {
    expect(differ({ name: '8' }, { name: '9' })).to.deep.equal([{ path: 'Name', mine: '8', theirs: '9' }])
  })
})

describe('what differs of settings', () => {
  it('is named as its field is', () => {
    const settings = { ...initialSettings(), seam: '3/8' }
    const words = wordsFor('settings', settings, 'in')
    expect(listDifferences(settings, { ...settings, seam: '1/4' }, words)).to.deep.equal([
      { path: 'Seam allowance', mine: '3\u20448\u00a0in', theirs: '1\u20444\u00a0in' },
    ])
  })
})
