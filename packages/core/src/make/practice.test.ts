import { expect } from 'chai'
import fc from 'fast-check'
import { coverFile, coverFrom, familyFile, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { inches, mm, toMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { usualHands } from './hands.js'
import { planSteps } from './plan-steps.js'
import {
  askOpening,
  askOrder,
  askSide,
  divisionFromPractice,
  drawReading,
  gradeReading,
  whatItDoes,
} from './practice.js'

const sixteenth = inches(1 / 16)
const share = fc.double({ min: 0, max: 0.999, noNaN: true })

describe('reading a drawn tape', () => {
  it('is asked on a mark, within reach of a hand', () => {
    fc.assert(
      fc.property(share, draw => {
        const reading = drawReading(() => draw, 'in', sixteenth)
        expect(reading % sixteenth).to.equal(0)
        expect(reading).to.be.within(inches(1), inches(14))
      }),
    )
    expect(drawReading(() => 0, 'mm', mm(1))).to.equal(mm(25))
  })

  const grade = (there: number, read: number) => gradeReading(inches(there), inches(read), 'in', sixteenth)

  it('is right within half a mark, and says by how much it is off', () => {
    expect(grade(8.75, 8.75)).to.deep.equal({ kind: 'right' })
    expect(grade(8.75, 8.8125)).to.deep.equal({ kind: 'marks', off: sixteenth, marks: 1 })
    expect(grade(8.75, 8.625)).to.deep.equal({ kind: 'eighth', off: inches(-1 / 8) })
    expect(grade(8.75, 9.75)).to.deep.equal({ kind: 'far', off: inches(1) })
  })

  it('makes the cover slack where it is read too large, tight where it is read too small', () => {
    expect([whatItDoes(mm(3)), whatItDoes(mm(-3)), whatItDoes(mm(0))]).to.deep.equal([
      'slack',
      'tight',
      'nothing',
    ])
  })

  it('tells of a hand after eight readings: as sure as a tape with that division', () => {
    const offs = [1, -1, 1, -1, 1, -1, 1, -1].map(mm)
    // root mean square 1 mm; 1 · √12 = 3.464 mm, to the next tick of 1/320
    expect(toMm(divisionFromPractice(offs) ?? mm(0))).to.be.closeTo(3.4641, 1 / 320)
    expect(divisionFromPractice(offs.slice(1))).to.equal(undefined)
  })
})

describe('questions from a cover of one’s own', () => {
  const cover = coverFrom(coverFile())
  const planned = plan(cover)
  const { steps } = planSteps(cover, planned, { say: sayPlainly('in'), hands: usualHands })

  it('ask which side of a layer looks up, of those that have two', () => {
    fc.assert(
      fc.property(share, draw => {
        const asked = askSide(planned, () => draw)
        expect(asked?.joining.layers).to.include(asked?.layer)
        expect(asked?.layer.id).not.to.equal('padding')
      }),
    )
    expect(askSide({ joinings: [], pieces: [] }, () => 0)).to.equal(undefined)
  })

  it('ask where the gap for turning stays, among places where it would fail', () => {
    fc.assert(
      fc.property(share, draw => {
        const asked = askOpening(planned, () => draw)
        expect(asked?.places).to.include(asked?.right)
        expect(new Set(asked?.places.map(({ where }) => where)).size).to.equal(4)
      }),
    )
    // with its flaps in the seam: a corner, what is caught, a flap’s end; and last of all the right one
    expect(askOpening(planned, () => 0.99)?.places.at(-1)?.where).to.equal(
      'in the lower edge, between the flaps',
    )
    const of = (family: string) => askOpening(planFrom(familyFile(family)), () => 0)?.right.where
    expect(of('zip-pouch')).to.equal('in the lining’s bottom')
    expect(of('adjustable-wrap')).to.equal('in the straight end')
    // glued: nothing is turned
    expect(of('glued-wrap')).to.equal(undefined)
  })

  it('ask which of two steps comes first, and know it', () => {
    fc.assert(
      fc.property(share, share, (one, other) => {
        const draws = [one, other]
        const asked = askOrder(steps, () => draws.shift() ?? 0)
        const places = asked?.steps.map(step => steps.indexOf(step)) ?? []
        expect(steps.indexOf(asked?.first ?? (steps[0] as never))).to.equal(Math.min(...places))
      }),
    )
    expect(askOrder([], () => 0)).to.equal(undefined)
  })
})
