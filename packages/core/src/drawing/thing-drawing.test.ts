import { expect } from 'chai'
import { sayProperly } from '../finding/say.js'
import { mm, toMm } from '../length/length.js'
import { objectKinds } from '../object/kind.js'
import { deriveProportions } from '../object/proportions.js'
import { readingKeys } from '../object/reading.js'
import { objectWith } from '../object/testing/objects.js'
import type { Drawing, Point } from './drawing.js'
import { drawThing } from './thing-drawing.js'

const say = sayProperly('mm')
const view = { say, tapeUnit: mm(10) }

function pointsOf({ marks }: Drawing, style: string): readonly Point[] {
  return marks.flatMap(mark => {
    if (mark.kind === 'text' || mark.style !== style) return []
    return mark.kind === 'line' ? [mark.from, mark.to] : [mark.start, ...mark.steps.map(({ to }) => to)]
  })
}

const wordsOf = ({ marks }: Drawing) => marks.flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))

describe('the thing that is measured', () => {
  for (const kind of objectKinds)
    it(`shows a ${kind} with the tape and the slip inside the frame, for every reading`, () => {
      for (const reading of readingKeys) {
        const object = objectWith({}, { kind, spine: kind === 'planner' ? 'coil' : 'flat' })
        const drawing = drawThing(object, { ...view, reading })
        const { from, width, height } = drawing
        expect(pointsOf(drawing, 'tape'), reading).not.to.have.length(0)
        expect(pointsOf(drawing, 'slit'), reading).not.to.have.length(0)
        for (const style of ['tape', 'slit', 'object'])
          for (const [x, y] of pointsOf(drawing, style)) {
            expect(x, `${reading} ${style}`).to.be.within(from[0], from[0] + width)
            expect(y, `${reading} ${style}`).to.be.within(from[1], from[1] + height)
          }
      }
    })

  it('has its true proportions as far as it is measured, and says where it has not', () => {
    const body = (readings: Parameters<typeof objectWith>[0]) => {
      const drawing = drawThing(objectWith(readings), { ...view, reading: 'height' })
      const corner = pointsOf(drawing, 'object')[2]
      return { drawing, sides: corner?.map(toMm) }
    }
    const whole = body({ height: 238, width: 168, thickness: 30 })
    expect(whole.sides).to.deep.equal([168, 238])
    expect(whole.drawing.title).not.to.contain('not to scale')
    // Nothing but the height: 155 to 230 as hardcovers are, 230 · 155/230 = 155.
    const half = body({ height: 460 })
    expect(half.sides?.map(Math.round)).to.deep.equal([310, 460])
    expect(half.drawing.title).to.contain('not to scale')
  })

  it('says the reading at the tape, nought at its beginning, and a mark every centimetre', () => {
    const taken = drawThing(objectWith({ height: 95, width: 60 }), { ...view, reading: 'height' })
    expect(wordsOf(taken)).to.include.members(['0', say(mm(95))])
    // 10, 20 … 90
    expect(pointsOf(taken, 'measure')).to.have.length(2 * 9)
    expect(wordsOf(drawThing(objectWith({}), { ...view, reading: 'height' }))).to.include('Height?')
  })
})

describe('the proportions of a thing', () => {
  it('follow from what was read: the width from half a wrap less the spine', () => {
    // (366 − 30) / 2 = 168
    const sides = deriveProportions(objectWith({ wrap: 366, thickness: 30 }))
    expect([sides.width, sides.thickness].map(toMm)).to.deep.equal([168, 30])
    expect([...sides.known]).to.deep.equal(['width', 'thickness'])
    // 230/155 as high as wide
    expect(toMm(sides.height)).to.be.closeTo((168 * 230) / 155, 0.01)
  })

  it('take the leaf block of a journal, and a coil a little larger than the book is thick', () => {
    const journal = deriveProportions(objectWith({ pageHeight: 210, pageWidth: 148, contentsThickness: 18 }))
    expect([journal.height, journal.width, journal.thickness].map(toMm)).to.deep.equal([210, 148, 18])
    expect(toMm(deriveProportions(objectWith({ thickness: 20 }, { spine: 'coil' })).coil)).to.equal(22)
    expect(toMm(deriveProportions(objectWith({ coilDiameter: 25 }, { spine: 'coil' })).coil)).to.equal(25)
  })
})
