import { expect } from 'chai'
import { coverFrom, familyFile } from '../file/testing/cover-files.js'
import { sayProperly } from '../finding/say.js'
import { mm, zero } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { drawMissing } from './missing-drawing.js'

const say = sayProperly('mm')
const { strip } = plan(coverFrom(familyFile('slip-cover')))
const framesIn = (drawing: ReturnType<typeof drawMissing>) =>
  drawing.marks.flatMap(mark => (mark.kind === 'path' && mark.fill === 'missing' ? [mark] : []))
const strokesIn = (drawing: ReturnType<typeof drawMissing>) =>
  drawing.marks.flatMap(mark => (mark.kind === 'line' && mark.style === 'missing' ? [mark] : []))

describe('the picture of what is missing', () => {
  it('hatches the right end of the body, as wide as what is missing', () => {
    const drawing = drawMissing(strip, { width: mm(14), height: zero }, say)
    expect(framesIn(drawing)).to.have.length(1)
    const xs = strokesIn(drawing).flatMap(({ from, to }) => [from[0], to[0]])
    // flaps of 80 at both ends, a body of 349 between them: to its right end, 14 from there
    const right = mm(80 + 349)
    expect(Math.max(...xs)).to.equal(right)
    expect(Math.min(...xs)).to.equal(right - mm(14))
    expect(drawing.title).to.equal(`The cover laid flat; it lacks ${say(mm(14))} in width`)
  })

  it('keeps every stroke inside its frame', () => {
    const strokes = strokesIn(drawMissing(strip, { width: zero, height: mm(6) }, say))
    expect(strokes.length).to.be.above(10)
    for (const { from, to } of strokes)
      for (const [, y] of [from, to]) expect(y).to.be.within(strip.height - mm(6), strip.height)
  })

  it('draws nothing where nothing is missing', () => {
    const drawing = drawMissing(strip, { width: zero, height: zero }, say)
    expect(framesIn(drawing)).to.deep.equal([])
    expect(drawing.title).to.equal('The cover laid flat')
  })
})
