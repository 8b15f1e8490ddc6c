import { expect } from 'chai'
import fc from 'fast-check'
import { placePanels, plainStrip, totalWidth, type Face, type StripLine } from '../families/strip.js'
import { layFor } from '../drawing/turn-over.js'
import { everyReading, familyFile, metricFile, planFrom } from '../file/testing/cover-files.js'
import { mm, toMm, zero, type Length } from '../length/length.js'
import { checkPlaces, type NamedFootprint } from './check-places.js'
import type { Ground } from './contract.js'
import { findGround, footprintOn, placeOn } from './place.js'

const outside: Ground = {
  name: 'outer',
  face: 'outside',
  mirrored: false,
  at: [mm(10), mm(20)],
  width: mm(200),
  height: mm(100),
}
const inside: Ground = { ...outside, name: 'lining', face: 'inside', mirrored: true }
const size = { width: mm(40), height: mm(30) }

describe('a place on its ground', () => {
  it('is counted from the lower left corner', () => {
    // 10 + 5; 20 + 100 − 8 − 30
    expect(placeOn(outside, { x: mm(5), y: mm(8) }, size).map(toMm)).to.deep.equal([15, 82])
  })

  it('is mirrored where the ground is seen from inside', () => {
    // 10 + 200 − 5 − 40
    expect(placeOn(inside, { x: mm(5), y: mm(8) }, size).map(toMm)).to.deep.equal([165, 82])
  })

  it('is the middle, or the usual share, where nothing is said', () => {
    expect(placeOn(outside, {}, size).map(toMm)).to.deep.equal([90, 55])
    // a quarter of 200 from the left, three quarters of 100 from below
    expect(placeOn(outside, {}, size, [0.25, 0.75]).map(toMm)).to.deep.equal([40, 30])
  })
})

describe('the ground of a piece', () => {
  const plan = planFrom(familyFile('slip-cover'))

  it('is the first of the usual that is cut, or the one that is named', () => {
    expect(findGround(plan, undefined, ['pastedown', 'flap', 'outer'])?.name).to.equal('flap')
    expect(findGround(plan, 'lining', ['flap'])?.name).to.equal('lining')
    expect(findGround(plan, 'sail', ['flap'])).to.equal(undefined)
  })

  it('is as large as the piece is cut, the flap as it comes out', () => {
    const outer = findGround(plan, 'outer', [])
    const piece = plan.pieces.find(({ id }) => id === 'outer')
    expect([outer?.width, outer?.height]).to.deep.equal([piece?.width.cut, piece?.height.cut])
    expect(findGround(plan, 'flap', [])?.width).to.equal(mm(80))
  })

  it('of a lining is the part of the cover that it makes: the body between flaps, the whole strip, one wall', () => {
    const ground = (family: string) => {
      const { strip, ...rest } = planFrom(familyFile(family, { object: everyReading }))
      const lining = findGround({ strip, ...rest }, 'lining', [])
      const widths = strip.panels.map(({ width }) => toMm(width))
      const sum = (from: number, to?: number) => widths.slice(from, to).reduce((all, one) => all + one, 0)
      return { at: toMm(lining?.at[0] ?? zero), width: toMm(lining?.width ?? zero), sum }
    }
    // flaps of 80 fold in over a lining that is as large as the body
    const slipped = ground('slip-cover')
    expect(slipped.at).to.equal(80)
    expect(slipped.width).to.be.closeTo(slipped.sum(1, -1), 0.01)
    // the lining of a turned flap turns with it
    const turned = ground('turned-flap-cover')
    expect([turned.at, turned.width]).to.deep.equal([0, turned.sum(0)])
    // one wall of two, that of the front
    const pouch = ground('zip-pouch')
    expect([pouch.at, pouch.width]).to.deep.equal([pouch.sum(0, 1), pouch.sum(1)])
  })

  it('lies inside, but for the outer cloth', () => {
    expect(['outer', 'lining', 'flap'].map(id => findGround(plan, id, [])?.face)).to.deep.equal([
      'outside',
      'inside',
      'inside',
    ])
  })
})

describe('a place on a flap', () => {
  const on = (flap: string, x: string) =>
    planFrom(
      metricFile({
        options: { flapDepth: '70' },
        extras: [{ type: 'patch', on: flap, x, width: '20', height: '40' }],
      }),
    )
  const leftIn = (flap: string, face: Face) => {
    const { strip, placed } = on(flap, '10')
    expect(toMm(placed[0]?.x ?? zero)).to.equal(10)
    return toMm(layFor(strip, face).shapes.find(({ piece }) => piece === 'patch')?.at[0] ?? zero)
  }

  it('is counted from the left as its right side is seen, opened out and folded in', () => {
    const { strip } = on('front-flap', '10')
    const whole = toMm(totalWidth(strip.panels))
    // opened out the flaps lie at 0 to 70 and at the last 70
    expect(leftIn('back-flap', 'outside')).to.equal(10)
    expect(leftIn('front-flap', 'outside')).to.equal(whole - 70 + 10)
    // folded in and turned over, the front flap lies at 0 to 70, that of the back at the last 70 of the body
    expect(leftIn('front-flap', 'inside')).to.equal(10)
    expect(leftIn('back-flap', 'inside')).to.be.closeTo(whole - 3 * 70 + 10, 1e-9)
  })

  it('is counted from the other side of the strip where the end wraps over the front, and its inside is seen', () => {
    const wrap = planFrom(
      familyFile('soft-wrap', {
        extras: [{ type: 'patch', on: 'flap', x: '5 mm', width: '20 mm', height: '20 mm' }],
      }),
    )
    const flap = placePanels(wrap.strip.panels).find(({ id }) => id === 'flap')
    const end = toMm(flap?.x ?? zero) + toMm(flap?.width ?? zero)
    const patch = wrap.strip.shapes.find(({ piece }) => piece === 'patch')
    expect(toMm(patch?.at[0] ?? zero)).to.be.closeTo(end - 5 - 20, 0.01)
  })
})

describe('grounds that are taken', () => {
  const print = (
    index: number,
    x: number,
    y: number,
    more: Partial<NamedFootprint> = {},
  ): NamedFootprint => ({
    ...size,
    at: [mm(x), mm(y)],
    face: 'outside',
    name: `Thing ${index}`,
    index,
    ...more,
  })
  const strip = (lines: readonly StripLine[] = []) => ({ ...plainStrip([], mm(100)), lines })
  const codes = (prints: readonly NamedFootprint[], lines: readonly StripLine[] = []) =>
    checkPlaces(strip(lines), prints, 'mm').map(({ code }) => code)

  it('collide only on one face, and never with themselves', () => {
    expect(codes([print(0, 0, 0), print(1, 39, 29)])).to.deep.equal(['extras-collide'])
    expect(codes([print(0, 0, 0), print(1, 40, 0)])).to.deep.equal([])
    expect(codes([print(0, 0, 0), print(1, 10, 10, { face: 'inside' })])).to.deep.equal([])
    expect(codes([print(0, 0, 0), print(0, 10, 10)])).to.deep.equal([])
  })

  it('keep off folds unless they may cross them', () => {
    const fold: StripLine = { kind: 'fold', from: [mm(20), zero], to: [mm(20), mm(100)] }
    const across: StripLine = { kind: 'fold', from: [zero, mm(15)], to: [mm(200), mm(15)] }
    expect(codes([print(0, 0, 0)], [fold])).to.deep.equal(['extra-over-fold'])
    expect(codes([print(0, 0, 0)], [across])).to.deep.equal(['extra-over-fold'])
    expect(codes([print(0, 21, 20)], [fold, across])).to.deep.equal([])
    expect(codes([print(0, 0, 0, { crossesFolds: true })], [fold])).to.deep.equal([])
  })

  it('keep half an inch off the turning opening where they are sewn to the edge', () => {
    const opening: StripLine = { kind: 'opening', from: [mm(60), mm(100)], to: [mm(140), mm(100)] }
    const edge = { atEdge: true }
    // 12 mm clear: 60 − 12 = 48 and 100 − 12 = 88
    expect(codes([print(0, 9, 75, edge)], [opening])).to.deep.equal(['extra-in-opening'])
    expect(codes([print(0, 8, 75, edge)], [opening])).to.deep.equal([])
    expect(codes([print(0, 60, 57, edge)], [opening])).to.deep.equal([])
    expect(codes([print(0, 60, 75)], [opening])).to.deep.equal([])
  })

  it('say by how much to move, and then they are clear', () => {
    const number = fc.integer({ min: 0, max: 80 })
    fc.assert(
      fc.property(number, number, number, number, (a, b, c, d) => {
        const [first, second] = [print(0, a, b), print(1, c, d)]
        const [found] = checkPlaces(strip(), [first, second], 'mm')
        if (found?.code !== 'extras-collide') return
        const { clear, way } = found.data as { clear: Length; way: 'left' | 'right' | 'up' | 'down' }
        const step = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] }[way]
        const moved = print(1, c + toMm(clear) * (step[0] ?? 0), d + toMm(clear) * (step[1] ?? 0))
        expect(checkPlaces(strip(), [first, moved], 'mm')).to.deep.equal([])
      }),
    )
  })

  it('say how far they reach over their ground', () => {
    const at = placeOn(outside, { x: mm(180), y: mm(10) }, size)
    const [found] = checkPlaces(
      strip(),
      [{ ...footprintOn(outside, at, size), name: 'Label', index: 0 }],
      'mm',
    )
    // 180 + 40 − 200
    expect(found?.data).to.deep.equal({ extra: 'Label', on: 'outer', by: mm(20), room: mm(200) })
  })
})
