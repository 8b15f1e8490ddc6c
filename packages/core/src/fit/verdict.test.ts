import { expect } from 'chai'
import { mm, zero } from '../length/length.js'
import { because } from '../piece/reason.js'
import { layer } from '../material/testing/layers.js'
import { finishedFromCut, judgeFit } from './fit.js'
import { judgeEase, openTopBands, pouchBands, slipOnBands, type EaseBands } from './verdict.js'

const judge = (easeMm: number, bands: EaseBands = slipOnBands, giveMm = 0) =>
  judgeEase(mm(easeMm), bands, mm(giveMm))

describe('the verdict on an ease', () => {
  it('gives each lower bound to its own band, and the top to roomy', () => {
    expect([0, 1.99, 2, 7.99, 8, 15.99, 16, 28, 28.01].map(ease => judge(ease))).to.deep.equal([
      'drum-tight',
      'drum-tight',
      'snug',
      'snug',
      'easy',
      'easy',
      'roomy',
      'roomy',
      'baggy',
    ])
  })

  it('has wider bands for pouches and open tops', () => {
    expect([11.9, 12, 22, 38, 38.1].map(ease => judge(ease, pouchBands))).to.deep.equal([
      'snug',
      'easy',
      'roomy',
      'roomy',
      'baggy',
    ])
    expect([14.9, 15, 30, 60, 60.1].map(ease => judge(ease, openTopBands))).to.deep.equal([
      'snug',
      'easy',
      'roomy',
      'roomy',
      'baggy',
    ])
  })

  it('lets a cover go on while the cloth gives what is missing, and no further', () => {
    expect(judge(-3, slipOnBands, 3)).to.equal('tight-but-goes')
    expect(judge(-3.01, slipOnBands, 3)).to.equal('will-not-go')
    expect(judge(-0.01)).to.equal('will-not-go')
  })
})

describe('the fit of a direction', () => {
  const outer = layer('outer', 0.3, { stretchAcross: 2, stretchAlong: 1 })
  const needs = (finishedMm: number) => ({ needed: because('needed', mm(200)), finished: mm(finishedMm) })
  const verdict = (direction: 'width' | 'height', finishedMm: number, ...inner: ReturnType<typeof layer>[]) =>
    judgeFit(direction, needs(finishedMm), [...inner, outer], slipOnBands).verdict

  it('finishes two seams and two turned edges below the cut', () => {
    // 400 − 2·6 − 2·0.5 = 387
    expect(finishedFromCut(mm(400), mm(6), mm(0.5))).to.equal(mm(387))
    expect(finishedFromCut(mm(400), zero, zero)).to.equal(mm(400))
  })

  it('counts the stretch across for the width and along for the height', () => {
    // 2 % of 197 = 3.94 covers 3; 1 % of 197 = 1.97 does not
    expect(verdict('width', 197)).to.equal('tight-but-goes')
    expect(verdict('height', 197)).to.equal('will-not-go')
    // 1 % of 198.1 = 1.981 covers 1.9
    expect(verdict('height', 198.1)).to.equal('tight-but-goes')
  })

  it('counts the lining where it stretches less', () => {
    expect(verdict('width', 197, layer('lining', 0.2))).to.equal('will-not-go')
    expect(verdict('width', 197, layer('lining', 0.2, { stretchAcross: 3 }))).to.equal('tight-but-goes')
  })
})
