import { expect } from 'chai'
import { add, mm } from '../length/length.js'
import { readingKeys } from '../object/reading.js'
import type { Point } from './drawing.js'
import { drawMeasureGuide } from './measure-guide.js'
import { svgNumber, svgPath } from './svg-path.js'

describe('the picture of where the tape goes', () => {
  for (const reading of readingKeys)
    it(`shows the tape for ${reading} inside its frame, and says that it is not to scale`, () => {
      const { title, from, width, height, marks } = drawMeasureGuide(reading)
      const tape = marks.filter(mark => mark.kind !== 'text' && mark.style === 'tape')
      expect(tape).not.to.have.length(0)
      for (const mark of tape) {
        const points: readonly Point[] =
          mark.kind === 'line'
            ? [mark.from, mark.to]
            : mark.kind === 'path'
              ? [mark.start, ...mark.steps.map(({ to }) => to)]
              : []
        for (const [x, y] of points) {
          expect(x).to.be.within(from[0], add(from[0], width))
          expect(y).to.be.within(from[1], add(from[1], height))
        }
      }
      expect(title).to.contain('not to scale')
    })
})

describe('a path in SVG', () => {
  it('is written in millimetres, with arcs by radius and turn', () => {
    const path = svgPath({
      kind: 'path',
      start: [mm(0), mm(1.005)],
      steps: [
        { to: [mm(10), mm(0)] },
        { to: [mm(12), mm(2)], radius: mm(2), clockwise: true },
        { to: [mm(0), mm(2)], radius: mm(6), clockwise: false },
      ],
      closed: true,
      style: 'edge',
      fill: 'none',
    })
    expect(path).to.equal('M0 1.01L10 0A2 2 0 0 1 12 2A6 6 0 0 0 0 2Z')
    expect(svgNumber(mm(-3.14159))).to.equal('-3.14')
  })
})
