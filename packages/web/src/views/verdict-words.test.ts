import { expect } from 'chai'
import { coverFile } from '../testing/files.js'
import { plannedOf } from './planned.js'
import { headlineOf, worstVerdict } from './verdict-words.js'

const book = (thickness: string) => ({
  kind: 'softcover' as const,
  readings: { height: ['240 mm'], width: ['160 mm'], thickness: [thickness], boardThickness: ['2 mm'] },
})
const series = (options: object, ...thicknesses: string[]) => {
  const { object: _object, ...file } = coverFile({
    unit: 'mm',
    family: 'adjustable-wrap',
    options: { ...options },
  })
  const { plan } = plannedOf({ ...file, objects: thicknesses.map(book) })
  if (!plan) throw new Error('The series cannot be planned')
  return plan
}

describe('what is said of a cover first', () => {
  it('is whom a series cover serves, where it does not serve all', () => {
    // strap on the fold for the one, free end too long for the other
    expect(headlineOf(series({ freeFlap: '120 mm' }, '20 mm', '18 mm')).words).to.equal(
      'serves none of 2 books',
    )
    expect(headlineOf(series({ freeFlap: '150 mm' }, '20 mm', '12 mm')).words).to.equal('serves 1 of 2 books')
    expect(headlineOf(series({ freeFlap: '120 mm' }, '20 mm')).words).to.equal('does not serve its book')
  })

  it('is its verdict where it serves them all', () => {
    expect(headlineOf(series({ freeFlap: '92 mm' }, '20 mm', '12 mm')).words).to.equal('snug')
  })

  it('is that it is made to measure where a fit has no meaning', () => {
    const glued = plannedOf(coverFile({ family: 'glued-wrap' })).plan
    expect(glued && headlineOf(glued).words).to.equal('made to measure')
  })

  it('is the worse of any two, whichever direction has it', () => {
    const worstFirst = [
      'will-not-go',
      'tight-but-goes',
      'baggy',
      'drum-tight',
      'roomy',
      'easy',
      'snug',
    ] as const
    for (const [index, worse] of worstFirst.entries())
      for (const better of worstFirst.slice(index)) {
        expect(worstVerdict([{ verdict: worse }, { verdict: better }])).to.equal(worse)
        expect(worstVerdict([{ verdict: better }, { verdict: worse }])).to.equal(worse)
      }
    expect(worstVerdict([])).to.equal(undefined)
  })

  it('is the worst of its directions: too small before slack, slack before close', () => {
    const plan = (easeWidth: string, easeHeight: string) =>
      plannedOf(coverFile({ sizing: { mode: 'computed', easeWidth, easeHeight } })).plan?.fits ?? []
    const rule = (addWidth: string) =>
      plannedOf(coverFile({ sizing: { mode: 'rule', measure: 'wrap', addWidth, addHeight: '1 1/2' } })).plan
        ?.fits ?? []
    expect(worstVerdict(rule('1/2'))).to.equal('will-not-go')
    expect(worstVerdict(plan('40 mm', '5 mm'))).to.equal('baggy')
    expect(worstVerdict(plan('20 mm', '10 mm'))).to.equal('roomy')
    expect(worstVerdict(plan('5 mm', '10 mm'))).to.equal('easy')
    expect(worstVerdict(plan('5 mm', '5 mm'))).to.equal('snug')
  })
})
