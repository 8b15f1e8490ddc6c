import { expect } from 'chai'
import { familyFile, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { mm, toMm, type Length } from '../length/length.js'
import { rectangle, type PathMark } from './drawing.js'
import { scooped } from './scooped.js'
import { drawStrip } from './strip-drawing.js'

const pointsOf = ({ start, steps }: PathMark) =>
  [start, ...steps.map(({ to }) => to)].map(([x, y]) => [toMm(x), toMm(y)])
const mouth = (width: Length, depth: Length) =>
  scooped(rectangle([mm(10), mm(20)], mm(100), mm(80), { style: 'pocket' }), {
    at: [mm(10), mm(20)],
    width: mm(100),
    scoop: { width, depth },
  })

describe('a scooped mouth', () => {
  it('dips in the middle of the upper edge, on one circle', () => {
    const path = mouth(mm(60), mm(20))
    // the middle of 10 … 110 is 60, the curve from 30 to 90; r = (30² + 20²)/(2·20) = 32.5
    expect(pointsOf(path).slice(0, 4)).to.deep.equal([
      [10, 20],
      [30, 20],
      [60, 40],
      [90, 20],
    ])
    const radii = path.steps.flatMap(step => ('radius' in step ? [toMm(step.radius)] : []))
    expect(radii).to.deep.equal([32.5, 32.5])
  })

  it('goes straight down to a half circle where it is deeper than half its width', () => {
    const path = mouth(mm(40), mm(50))
    // 50 − 20 = 30 straight, then a quarter of radius 20 to each side
    expect(pointsOf(path).slice(1, 6)).to.deep.equal([
      [40, 20],
      [40, 50],
      [60, 70],
      [80, 50],
      [80, 20],
    ])
  })

  it('is straight where nothing is scooped out', () => {
    expect(mouth(mm(0), mm(20)).steps).to.have.length(3)
    expect(mouth(mm(60), mm(0)).steps).to.have.length(3)
  })

  it('is drawn on the pocket of a pouch as deep as it is asked for', () => {
    const strip = (scoopDepth: string) =>
      drawStrip(planFrom(familyFile('zip-pouch', { options: { scoopDepth } })).strip, sayPlainly('mm'))
    const lowest = (depth: string) => {
      const pocket = strip(depth).marks.find(
        (mark): mark is PathMark => mark.kind === 'path' && mark.style === 'pocket',
      )
      const round = pocket?.steps.find(step => 'radius' in step)
      return pocket && round && toMm(round.to[1]) - toMm(pocket.start[1])
    }
    expect(lowest('20 mm')).to.equal(20)
    expect(lowest('35 mm')).to.equal(35)
  })
})
