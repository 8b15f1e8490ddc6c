import { expect } from 'chai'
import { sayPlainly } from '../finding/say.js'
import { coverFile, planFrom } from '../file/testing/cover-files.js'
import { add, toMm, zero, type Length } from '../length/length.js'
import type { Drawing, Mark, PathMark } from './drawing.js'
import { drawEndOn } from './end-on-drawing.js'
import { drawPiece } from './piece-drawing.js'
import { drawStrip } from './strip-drawing.js'
import { svgPath } from './svg-path.js'

const plan = planFrom(coverFile())
const say = sayPlainly('in')

function textsOf({ marks }: Drawing): readonly string[] {
  return marks.flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))
}

function pathsOf({ marks }: Drawing, piece: string): readonly PathMark[] {
  return marks.filter((mark): mark is PathMark => mark.kind === 'path' && mark.piece === piece)
}

function pointsOf(mark: Mark): readonly (readonly [Length, Length])[] {
  if (mark.kind === 'line') return [mark.from, mark.to]
  if (mark.kind === 'text') return [mark.at]
  return [mark.start, ...mark.steps.map(step => step.to)]
}

describe('the strip', () => {
  const strip = drawStrip(plan.strip, say)

  it('names its panels and says the finished width and height', () => {
    expect(textsOf(strip)).to.include.members(['back', 'front', 'back flap', 'front flap', 'top'])
    // 386.35 mm = 15 7/32 in (386.56) to the nearest 1/32; 263.525 − 13.7 = 249.825 mm = 9 27/32 in
    expect(textsOf(strip)).to.include('15 7/32 in finished')
    expect(textsOf(strip)).to.include('9 27/32 in')
  })

  it('draws the cut edge as far outside the seam line as seam and turned edge are wide', () => {
    const cut = strip.marks.find((mark): mark is PathMark => mark.kind === 'path' && mark.style === 'cut')
    if (!cut) throw new Error('No cut edge')
    // flap 76.2 − seam 6.35 − turned edge 0.5 = 69.35; above the top by 6.85
    expect(cut.start.map(toMm)).to.deep.equal([69.35, -6.85])
  })

  it('lays the padding inside by its inset', () => {
    const [padding] = pathsOf(strip, 'padding')
    if (!padding) throw new Error('No padding')
    // cut starts at 69.35; inset 12.7 → 82.05
    expect(toMm(padding.start[0])).to.equal(82.05)
  })
})

describe('the end-on view', () => {
  it('wraps each ply round the one below, as thick as it is when pressed', () => {
    const endOn = drawEndOn(plan.section, say)
    const outsides = ['lining', 'padding', 'outer'].map(role =>
      toMm(pathsOf(endOn, role)[0]?.start[1] ?? zero),
    )
    // 0.28125; + 3·(1 − 0.4/2) = 2.68125; + 0.28125 = 2.9625
    expect(outsides).to.deep.equal([-0.28125, -2.68125, -2.9625])
  })

  it('says how much the stack is enlarged beside it', () => {
    expect(
      textsOf(drawEndOn(plan.section, say)).some(words => /the layers, \d+ times as thick/.test(words)),
    ).to.equal(true)
  })
})

describe('every drawing', () => {
  const drawings = [
    drawStrip(plan.strip, say),
    drawEndOn(plan.section, say),
    ...plan.pieces.map(piece => drawPiece(piece, say)),
  ]

  it('stays inside its frame', () => {
    for (const drawing of drawings)
      for (const [x, y] of drawing.marks.flatMap(pointsOf)) {
        expect(x, drawing.title).to.be.within(drawing.from[0], add(drawing.from[0], drawing.width))
        expect(y, drawing.title).to.be.within(drawing.from[1], add(drawing.from[1], drawing.height))
      }
  })

  it('writes paths that SVG understands', () => {
    for (const { marks } of drawings)
      for (const mark of marks)
        if (mark.kind === 'path') expect(svgPath(mark)).to.match(/^M-?[\d.]+ -?[\d.]+([LA][-\d. ]+)+Z?$/)
  })
})
