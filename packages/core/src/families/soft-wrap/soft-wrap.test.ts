import { expect } from 'chai'
import type { CoverFile } from '../../file/cover-schema.js'
import { codesOf, cutOf, familyFile, findingOf, panelsOf, planFrom } from '../../file/testing/cover-files.js'
import { toMm } from '../../length/length.js'

const file = (changes: Partial<CoverFile> = {}) =>
  familyFile('soft-wrap', {
    object: { kind: 'journal', readings: { pageWidth: ['150 mm'], pageHeight: ['210 mm'] } },
    ...changes,
  })

describe('a soft wrap', () => {
  const plan = planFrom(file())

  it('goes round the pages and over the front, all layers one size', () => {
    // F = 150 + 12 = 162, S = 50, L = 50: 2·162 + 2·50 + 50 = 474; 210 + 24 = 234
    expect(cutOf(plan, 'outer')).to.equal('1 × 474 mm × 234 mm')
    expect(cutOf(plan, 'lining')).to.equal(cutOf(plan, 'outer'))
    expect(panelsOf(plan)).to.deep.equal({ back: 162, spine: 50, front: 162, 'fore-edge': 50, flap: 50 })
  })

  it('stiffens all but the flap', () => {
    // 324 + 100 − 6 by 234 − 12
    expect(cutOf(plan, 'stiffener')).to.equal('1 × 418 mm × 222 mm')
    // an eighth clear of the end at the left (half of 6), and of head and foot: (234 − 222)/2
    const [area] = plan.strip.areas
    expect(area && [area.piece, ...area.at.map(toMm)]).to.deep.equal(['stiffener', 3, 6])
    const limp = planFrom(file({ options: { stiffener: false } }))
    expect(limp.pieces.some(({ id }) => id === 'stiffener')).to.equal(false)
  })

  it('is as thick as the contents, and refuses thicker ones', () => {
    const object: CoverFile['object'] = {
      kind: 'journal',
      readings: { pageWidth: ['150 mm'], pageHeight: ['210 mm'], contentsThickness: ['35.5 mm'] },
    }
    expect(panelsOf(planFrom(file({ object }))).spine).to.equal(35.5)
    const thin = planFrom(file({ object, options: { spineWidth: '30 mm' } }))
    expect(findingOf(thin, 'spine-too-thin').repair).to.deep.include({
      option: 'spineWidth',
      length: 36 * 320,
    })
    expect(codesOf(planFrom(file({ object })))).not.to.include('spine-too-thin')
  })
})
