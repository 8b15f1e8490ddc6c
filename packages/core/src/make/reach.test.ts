import { expect } from 'chai'
import { familyFile, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { describeFinding } from '../finding/words/describe.js'
import { mm } from '../length/length.js'
import { usualHands, type Hands } from './hands.js'
import { checkReach } from './reach.js'

const found = (family: string, hands: Partial<Hands>, options = {}) =>
  checkReach(planFrom(familyFile(family, { options })), { ...usualHands, ...hands })
const codes = (...args: Parameters<typeof found>) => found(...args).map(({ code }) => code)

describe('how far tools reach', () => {
  it('is nothing to speak of where nobody said', () => {
    for (const family of ['board-cover', 'slip-cover']) expect(codes(family, {})).to.deep.equal([])
  })

  it('is held against the hole that lies farthest in', () => {
    // holes ¼ in (6 mm) from top and bottom
    expect(codes('board-cover', { punchReach: mm(6) })).to.deep.equal([])
    expect(codes('board-cover', { punchReach: mm(5.9) })).to.deep.equal(['punch-too-short'])
    expect(codes('slip-cover', { punchReach: mm(1) })).to.deep.equal([])
  })

  it('is held against the size of the holes that are punched, and of no others', () => {
    // a cord of 1 mm goes through holes of 1/8 in, 3 mm in a metric workshop; half a millimetre more does
    expect(codes('board-cover', { punchSizes: [mm(2), mm(3.5)] })).to.deep.equal([])
    expect(codes('board-cover', { punchSizes: [mm(2), mm(3.6)] })).to.deep.equal(['no-such-punch'])
    const nearestOf = (sizes: readonly number[]) =>
      found('board-cover', { punchSizes: sizes.map(mm) })[0]?.data
    expect(nearestOf([2, 4, 8])).to.deep.include({ nearest: mm(4) })
    expect(nearestOf([1, 2])).to.deep.include({ nearest: mm(2) })
    const buttoned = planFrom(familyFile('sleeve', { extras: [{ type: 'loop-button' }] }))
    expect(buttoned.strip.holes).to.have.length(1)
    expect(checkReach(buttoned, { ...usualHands, punchReach: mm(1), punchSizes: [mm(2)] })).to.deep.equal([])
  })

  it('is held against one sheet of board, not against the laminate', () => {
    // two sheets of 1 mm
    expect(codes('board-cover', { cutsBoard: mm(1) })).to.deep.equal([])
    expect(codes('board-cover', { cutsBoard: mm(0.9) })).to.deep.equal(['board-too-thick'])
    expect(codes('board-cover', { cutsBoard: mm(1.5) }, { sheets: 1, sheetThickness: '2 mm' })).to.deep.equal(
      ['board-too-thick'],
    )
  })

  it('is held against the thickest seam, where there is a machine', () => {
    // at the flaps: outer 0.3125, lining 0.25 and the doubled flap 0.625 = 1.1875 mm
    expect(codes('slip-cover', { footLift: mm(1.19) })).to.deep.equal([])
    expect(codes('slip-cover', { footLift: mm(1.18) })).to.deep.equal(['too-thick-for-foot'])
    expect(codes('slip-cover', { footLift: mm(1.18), machine: false })).to.deep.equal([])
  })

  it('says what was found, what there is, and what to do', () => {
    const [finding] = found('slip-cover', { footLift: mm(1) })
    if (!finding) throw new Error('Nothing found')
    const { message, hint } = describeFinding(finding, sayPlainly('mm'))
    expect(message).to.equal('The seam at the flaps is 1.19 mm thick; 1 mm goes under your presser foot.')
    expect(hint).to.include('by hand')
  })
})
