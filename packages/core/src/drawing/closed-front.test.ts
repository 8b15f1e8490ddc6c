import { expect } from 'chai'
import { families } from '../families/registry.js'
import { placePanels } from '../families/strip.js'
import { familyFile, planFrom } from '../file/testing/cover-files.js'
import { mm, toMm, zero } from '../length/length.js'
import { areaOfFront, closedFront } from './closed-front.js'

const frontOf = (family: string, changes: Parameters<typeof familyFile>[1] = {}) =>
  closedFront(planFrom(familyFile(family, changes)).strip)

describe('a closed cover seen from the front', () => {
  it('has a size for every way of making', () => {
    for (const { id } of families) {
      const { width, height } = frontOf(id)
      expect(toMm(width), id).to.be.within(100, 400)
      expect(toMm(height), id).to.be.within(200, 300)
    }
  })

  it('shows a little of the spine, and none of a pouch', () => {
    // glued over a spine of 20: 0.22 · 20
    expect(toMm(frontOf('glued-wrap').spineSeen)).to.be.closeTo(4.4, 0.001)
    expect(toMm(frontOf('glued-wrap').spine)).to.be.closeTo(20, 0.001)
    expect(frontOf('sleeve').spine).to.equal(zero)
  })

  it('is the right of a strip that is seen from outside, from where its spine ends', () => {
    const { strip } = planFrom(familyFile('glued-wrap'))
    const front = closedFront(strip)
    const spine = placePanels(strip.panels).find(({ kind }) => kind === 'spine')
    const [x] = areaOfFront(front).start
    expect(x).to.equal(front.left)
    expect(x).to.be.at.least((spine?.x ?? zero) + (spine?.width ?? zero))
    // of a pouch the first wall, of a case its upper half
    expect(toMm(frontOf('fold-case').left)).to.equal(0)
  })

  it('folds a case in half, and wraps a flap over the front', () => {
    const { strip } = planFrom(familyFile('fold-case'))
    // two halves and the thickness at the fold: (fin_l − 20)/2
    expect(toMm(frontOf('fold-case').height)).to.be.closeTo((toMm(strip.height) - 20) / 2, 0.01)
    expect(frontOf('soft-wrap').overlap).to.equal(mm(50))
  })

  it('knows where a zip runs', () => {
    expect(['zip-pouch', 'zip-around', 'slip-cover'].map(id => frontOf(id).zip)).to.deep.equal([
      'top',
      'around',
      'none',
    ])
    expect(frontOf('zip-around').radius).to.equal(mm(25))
  })

  it('shows a bow where something is tied, and none for a ribbon that is only laid on or wound round', () => {
    const bowOf = (type: string, family = 'slip-cover') => frontOf(family, { extras: [{ type }] }).bow
    expect(
      ['tie-pair', 'hole-tie', 'ribbon', 'wrap-ribbon', 'bookmark'].map(type => bowOf(type)),
    ).to.deep.equal(['side', 'side', undefined, undefined, undefined])
    expect(bowOf('tie-pair', 'fold-case')).to.equal('foot')
  })

  it('shows what sits on the front, from its own corner', () => {
    const [pocket] = frontOf('zip-pouch').shapes
    expect(pocket?.at[0]).to.equal(zero)
    const [label] = frontOf('slip-cover', { extras: [{ type: 'patch' }] }).shapes
    // a label of 76 in the middle of a board of 163.5
    expect(label && toMm(label.at[0])).to.be.within(40, 46)
  })
})
