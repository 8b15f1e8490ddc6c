import { expect } from 'chai'
import { mm, toMm, zero, type Length } from '../length/length.js'
import { because, totalOf } from '../piece/reason.js'
import { byRule, easesOf, settleNeed, sewnEdges } from './sized.js'
import { allRound, foldsBetween, openingAtSide, openingBelow, type StripPoint } from './strip.js'

const usual = { width: mm(8), height: mm(10) }
const inMm = ([x, y]: StripPoint) => [toMm(x), toMm(y)]

describe('what families have in common where they size', () => {
  it('is the ease that is set, each way by itself, and the usual where none is', () => {
    expect(easesOf({ sizing: { mode: 'computed' }, old: {} }, usual)).to.deep.equal(usual)
    expect(easesOf({ sizing: { mode: 'computed', easeHeight: zero }, old: {} }, usual)).to.deep.equal({
      width: mm(8),
      height: zero,
    })
    const rule = { mode: 'rule', measure: 'wrap', addWidth: mm(30), addHeight: mm(20) } as const
    expect(easesOf({ sizing: rule, old: {} }, usual)).to.deep.equal(usual)
  })

  it('is the ease of an old cover where none is set: that is how its maker likes it', () => {
    const old = { width: { finished: mm(350), ease: mm(3) } }
    expect(easesOf({ sizing: { mode: 'computed' }, old }, usual)).to.deep.equal({
      width: mm(3),
      height: mm(10),
    })
    expect(easesOf({ sizing: { mode: 'computed', easeWidth: mm(6) }, old }, usual).width).to.equal(mm(6))
  })

  it('is the need that an old cover shows, and not what readings and trial say: 350 − 2·3', () => {
    const old = { width: { finished: mm(350), ease: mm(3) } }
    const told = { width: mm(4), height: mm(4) }
    const reckoned = because('wrap', mm(320))
    expect(toMm(totalOf(settleNeed({ old, told }, 'width', reckoned, { parts: 2 })))).to.equal(344)
    expect(toMm(totalOf(settleNeed({ old, told }, 'height', reckoned, { parts: 2 })))).to.equal(328)
    expect(settleNeed({ old: {}, told: {} }, 'width', reckoned)).to.deep.equal(reckoned)
  })

  it('is a seam and a turned edge at both ends: 2·6 + 2·0.5', () => {
    expect(toMm(totalOf(sewnEdges(mm(6), mm(0.5))))).to.equal(13)
    expect(sewnEdges(mm(6), zero).map(({ label }) => label)).to.deep.equal(['seam, twice'])
  })

  it('is measurement and amount by a rule: 340 + 30, 240 + 20', () => {
    const measured = {
      width: [{ label: 'wrap', length: mm(340) }],
      height: [{ label: 'height', length: mm(240) }],
    }
    const { width, height } = byRule(measured, { addWidth: mm(30), addHeight: mm(20) })
    expect([toMm(totalOf(width)), toMm(totalOf(height))]).to.deep.equal([370, 260])
    expect(width.map(({ label }) => label)).to.deep.equal(['wrap', 'added by the rule'])
  })
})

describe('what families have in common where they lay their strip', () => {
  const panels = [50, 160, 20, 160, 50].map((width, index) => ({
    id: `panel-${index}`,
    name: 'panel',
    kind: 'board' as const,
    width: mm(width),
  }))

  it('is a fold between each panel and the next', () => {
    const folds = foldsBetween(panels, mm(240))
    expect(folds.map(({ from }) => toMm(from[0]))).to.deep.equal([50, 210, 230, 390])
    expect(folds.map(({ to }) => toMm(to[1]))).to.deep.equal([240, 240, 240, 240])
  })

  it('is a line along all four edges', () => {
    const lines = allRound('stitch', mm(440), mm(240))
    expect(lines.map(({ kind, from, to }) => [kind, inMm(from), inMm(to)])).to.deep.equal([
      ['stitch', [0, 0], [0, 240]],
      ['stitch', [440, 0], [440, 240]],
      ['stitch', [0, 0], [440, 0]],
      ['stitch', [0, 240], [440, 240]],
    ])
  })

  it('is an opening in the middle of what is free below, or at the side; none where nothing is free', () => {
    const opening = (length: Length) => openingBelow(mm(240), { left: mm(50), room: mm(340) }, length)
    // (340 − 100)/2 from 50
    expect(opening(mm(100)).map(({ from, to }) => [inMm(from), inMm(to)])).to.deep.equal([
      [
        [170, 240],
        [270, 240],
      ],
    ])
    expect(opening(zero)).to.deep.equal([])
    const { kind, from, to } = openingAtSide(mm(30), mm(100))
    expect([kind, inMm(from), inMm(to)]).to.deep.equal(['opening', [0, 30], [0, 130]])
  })
})
