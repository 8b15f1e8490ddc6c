import { expect } from 'chai'
import type { CoverFile } from '../../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  everyReading,
  exactOf,
  familyFile,
  findingOf,
  notionOf,
  panelsOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import { planToJson } from '../../file/plan-json.js'
import { toMm } from '../../length/length.js'

const file = (changes: Partial<CoverFile> = {}) => familyFile('glued-wrap', changes)

describe('a glued wrap', () => {
  const plan = planFrom(file())

  it('goes round the book and over the edges of its boards', () => {
    // the turn-in counts from the board’s outer edge: 340 + 2·50 by 240 + 2·50
    expect(exactOf(plan, 'outer')).to.deep.equal([440, 340])
    expect(plan.pieces.map(({ id }) => id)).to.deep.equal(['outer'])
    expect(panelsOf(plan)).to.deep.equal({ back: 160, spine: 20, front: 160 })
  })

  it('is one body with both hinges where nobody knows the spine', () => {
    const object = {
      kind: 'hardcover',
      readings: { height: ['240 mm'], wrap: ['340 mm'] },
    } as CoverFile['object']
    // 340 + 2·6
    expect(panelsOf(planFrom(file({ object, options: { hingeGroove: '6 mm' } })))).to.deep.equal({
      body: 352,
    })
  })

  it('lays pastedowns ⅛ in inside both boards', () => {
    const { strip } = planFrom(file({ options: { pastedown: true } }))
    const total = strip.panels.reduce((sum, { width }) => sum + toMm(width), 0)
    const [left, right] = strip.shapes.filter(({ piece }) => piece === 'pastedown')
    // ⅛ in is 3
    expect(left && toMm(left.at[0])).to.equal(3)
    expect(right && total - toMm(right.at[0]) - toMm(right.width)).to.be.closeTo(3, 0.001)
  })

  it('has no fit of its own', () => {
    const json = planToJson(plan, 'mm')
    expect(json).not.to.have.any.keys('ease', 'needed', 'finished')
    expect(json.standOff).to.deep.equal({ body: { mm: 0.4063 } })
  })

  it('adds 4 mm a hinge where a groove was measured, or what is stated', () => {
    const object = {
      ...everyReading,
      readings: { ...everyReading?.readings, grooveDepth: ['3 mm'] },
    } as CoverFile['object']
    expect(exactOf(planFrom(file({ object })), 'outer')[0]).to.equal(448)
    const stated = planFrom(file({ object, options: { hingeGroove: '6 mm' } }))
    expect(exactOf(stated, 'outer')[0]).to.equal(452)
    expect(panelsOf(stated)).to.deep.include({ 'back-hinge': 6, 'front-hinge': 6 })
  })

  it('cuts pastedowns that stay inside the board', () => {
    const lined = planFrom(file({ options: { pastedown: true } }))
    // 160 − 3 by 240 − 6
    expect(cutOf(lined, 'pastedown')).to.equal('2 × 157 mm × 234 mm')
  })

  it('weighs the glue: 120 g/m² a coat', () => {
    // 0.440 · 0.340 · 120 = 17.95
    const [glue] = plan.notions
    expect(glue?.grams).to.equal(18)
    expect(notionOf(plan, 'glue').mm).to.equal(undefined)
  })

  it('by a rule adds to the wrap, and the turn-ins take what is left', () => {
    const ruled = (addWidth: string) =>
      planFrom(file({ sizing: { mode: 'rule', addWidth, addHeight: '100 mm' } }))
    expect(exactOf(ruled('90 mm'), 'outer')).to.deep.equal([430, 340])
    // 18/2 = 9 is tight, 7/2 = 3.5 leaves 1.5 behind a board of 2
    expect(codesOf(ruled('18 mm'))).to.include('turn-in-tight')
    expect(codesOf(ruled('7 mm'))).to.include('turn-in-too-small')
    expect(codesOf(ruled('20 mm'))).not.to.include('turn-in-tight')
  })

  it('begins with the spine or with a board', () => {
    const first = (order: string) => planFrom(file({ options: { order } })).joinings[0]?.name
    expect(first('spine-first')).to.match(/^Spine first/)
    expect(first('board-first')).to.match(/^One board/)
  })

  it('names the nearest turn-in that is known to work', () => {
    const wide = planFrom(file({ options: { turnIn: '70 mm' } }))
    expect(findingOf(wide, 'outside-usual').repair).to.deep.include({ option: 'turnIn', length: 50 * 320 })
    expect(codesOf(plan)).not.to.include('outside-usual')
  })
})
