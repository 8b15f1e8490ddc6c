import { expect } from 'chai'
import { placePanels, type Face } from '../../families/strip.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { coverFrom, metricFile, planFrom } from '../../file/testing/cover-files.js'
import { layFor } from '../../drawing/turn-over.js'
import { mm, toMm, zero } from '../../length/length.js'
import { plan } from '../../plan/plan.js'
import { carry, farthest, findCarries } from './carries.js'
import { setOn } from './setting.js'

const file = (on: string, more: object = {}): CoverFile =>
  metricFile({
    options: { flapDepth: '70' },
    extras: [{ type: 'patch', on, x: '10', y: '20', width: '30', height: '40', ...more }],
  })
const carriesOf = (of: CoverFile, face: Face) => findCarries(coverFrom(of), planFrom(of), face)

describe('what can be carried about', () => {
  it('is what lies on the side that is seen, and on flaps from both', () => {
    const seen = (on: string) =>
      (['outside', 'inside'] as const).filter(face => carriesOf(file(on), face).length > 0)
    expect(seen('front')).to.deep.equal(['outside'])
    expect(seen('lining')).to.deep.equal(['inside'])
    expect(seen('front-flap')).to.deep.equal(['outside', 'inside'])
  })

  it('lies in the picture where it lies on the cover', () => {
    const [one] = carriesOf(file('front'), 'outside')
    const { strip } = planFrom(file('front'))
    const front = placePanels(strip.panels).find(({ id }) => id === 'front')
    // 10 from the left of the front; 20 from below, of which its own 40 are taken
    expect(one?.at.map(toMm)).to.deep.equal([toMm(front?.x ?? zero) + 10, toMm(strip.height) - 20 - 40])
    expect(one?.name).to.equal('Label or motif')
  })

  it('is not what follows from the cover, nor what sits at an edge, which is pulled along that', () => {
    const tied = metricFile({ extras: [{ type: 'tie-pair' }, { type: 'quilting' }] })
    expect(carriesOf(tied, 'outside')).to.deep.equal([])
  })

  for (const [on, face] of [
    ['front', 'outside'],
    ['outer', 'outside'],
    ['lining', 'inside'],
    ['front', 'inside'],
    ['front-flap', 'outside'],
    ['front-flap', 'inside'],
    ['back-flap', 'inside'],
  ] as const)
    it(`goes with the hand, to the right and up: ${on}, seen from ${face}`, () => {
      const typed = file(on, on === 'front' && face === 'inside' ? { type: 'pocket-patch' } : {})
      const cover = coverFrom(typed)
      const [one] = findCarries(cover, plan(cover), face)
      expect(one?.placed.moves).to.deep.equal(['x', 'y'])
      const moved = setOn(
        setOn(cover, { kind: 'extra', extra: 0, key: 'x' }, mm(10 + 7)),
        {
          kind: 'extra',
          extra: 0,
          key: 'y',
        },
        mm(20 + 9),
      )
      const after = plan(moved)
      const [then] = findCarries(moved, after, face)
      expect([0, 1].map(axis => toMm(then?.at[axis] ?? zero) - toMm(one?.at[axis] ?? zero))).to.deep.equal([
        7, -9,
      ])
      // and that is where it is drawn
      expect(layFor(after.strip, face).shapes.some(({ at }) => at.join() === then?.at.join())).to.equal(true)
    })
})

describe('carrying', () => {
  const placed = {
    x: mm(10),
    y: mm(20),
    width: mm(30),
    height: mm(40),
    moves: ['x', 'y'] as const,
    ground: { name: 'front', width: mm(160), height: mm(240), face: 'outside' as const },
  }
  const how = { by: 'keys', division: mm(1), unit: 'mm' } as const
  const to = (right: number, up: number, more: object = {}, what = placed) => {
    const { x, y, isStopped } = carry(what, { right: mm(right), up: mm(up) }, { ...how, ...more })
    return [toMm(x), toMm(y), isStopped]
  }

  it('goes to the marks of the tape, and leaves alone what it does not move', () => {
    expect(to(3.4, 0)).to.deep.equal([13, 20, false])
    expect(to(0, -5.6)).to.deep.equal([10, 14, false])
    const between = { ...placed, x: mm(10.3) }
    expect(to(0, 1, {}, between)).to.deep.equal([10.3, 21, false])
    // onto the next mark, not a mark further than between two
    expect(to(1, 0, {}, between)).to.deep.equal([11, 20, false])
  })

  it('stops where its edge meets that of its ground, and says so', () => {
    // 160 − 30, 240 − 40
    expect(to(500, 0)).to.deep.equal([130, 20, true])
    expect(to(-11, 0)).to.deep.equal([0, 20, true])
    expect(to(0, 181)).to.deep.equal([10, 200, true])
    expect(to(120, 180)).to.deep.equal([130, 200, false])
  })

  it('never reaches over the edge by what cannot be said', () => {
    // 160.27 − 30 is 130.27: said as 130.2, not as 130.3; in inches 5 8/64 (130.175), not 5 9/64
    const odd = { ...placed, ground: { ...placed.ground, width: mm(160.27) } }
    expect(to(500, 0, {}, odd)[0]).to.equal(130.2)
    expect(to(500, 0, { by: 'hand' }, odd)[0]).to.equal(130.2)
    expect(to(500, 0, { unit: 'in' }, odd)[0]).to.be.closeTo(130.175, 1 / 320)
    expect(toMm(farthest(odd, 'x', 'mm'))).to.equal(130.2)
    expect(farthest({ ...odd, width: mm(200) }, 'x', 'mm')).to.equal(zero)
  })

  it('is drawn to middles and edges in the hand, not by keys', () => {
    // the middle: (160 − 30) / 2 = 65
    expect(to(52, 0, { by: 'hand' })).to.deep.equal([65, 20, false])
    expect(to(52, 0)).to.deep.equal([62, 20, false])
    // ½ in from the lower edge: 12 mm, or 12.7 where one thinks in inches
    expect(to(0, -7, { by: 'hand' })[1]).to.equal(12)
    expect(to(0, -7, { by: 'hand', unit: 'in' })[1]).to.equal(12.7)
  })

  it('goes only the ways that it can', () => {
    const notch = { ...placed, moves: ['x'] as const }
    expect(to(5, 5, {}, notch as never)).to.deep.equal([15, 20, false])
  })
})
