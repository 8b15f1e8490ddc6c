import { expect } from 'chai'
import type { CuttingPin } from '../api/cuttings.js'
import type { ClothMark } from '../api/stash.js'
import { rectangle, type Fill } from '../drawing/drawing.js'
import { drawStrip } from '../drawing/strip-drawing.js'
import { sayProperly } from '../finding/say.js'
import { inches, toMm, zero } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { originUnder, printOrigins } from './print-origins.js'
import { printPlaces, type PrintPlace } from './print-places.js'
import { cornerToShow } from './showing.js'
import { notebookCover } from './testing/notebook.js'

const box = (
  piece: string,
  [x, y, width, height]: readonly [number, number, number, number],
): PrintPlace => ({
  ...{ piece, copy: 1, windows: [] },
  ...{ x: inches(x), y: inches(y), width: inches(width), height: inches(height) },
})
const pin = (piece: string, xMm: number, yMm: number, changes: Partial<CuttingPin> = {}): CuttingPin => ({
  ...{ group: 'outer larch', piece, cloth: 'bolt', sheet: 1, xMm, yMm, turned: false },
  ...changes,
})
const [outer, pocket] = [box('outer', [-0.25, -0.25, 15, 10]), box('front-pocket', [9, 4, 4, 5])]

/** Covered in Larch, with a pocket of the same on its front. */
const planned = plan(notebookCover())
const [panel] = planned.pieces.filter(({ id }) => id === 'outer')
if (!panel) throw new Error('It has no outer')
const cover = {
  ...notebookCover(),
  ...{ id: 'it', pieces: [...planned.pieces, { ...panel, id: 'front-pocket' }] },
}
const originsOf = (pins: readonly CuttingPin[], places = [outer, pocket]) => printOrigins(cover, places, pins)

describe('where a print begins on the flat cover', () => {
  it('is as far before a pinned piece as the piece lies on its cloth', () => {
    // ¼ in are 6.35 mm: 100 mm and 6.35 before the left edge, 40 mm and 6.35 above the top.
    const [origin] = originsOf([pin('it outer 1', 100, 40)])
    expect([origin?.x, origin?.y]).to.deep.equal([-106.35, -46.35])
    // 9 in are 228.6 mm, 4 in 101.6: 228.6 - 300 and 101.6 - 1.6
    const [other] = originsOf([pin('it front-pocket 1', 300, 1.6)])
    expect(other?.x).to.be.closeTo(-71.4, 1e-9)
    expect(other?.y).to.be.closeTo(100, 1e-9)
  })

  it('is not known of what is not pinned, is pinned a quarter turned, or belongs to another cover', () => {
    const pins = [
      pin('it outer 1', 1, 1, { turned: true }),
      pin('its outer 1', 1, 1),
      pin('it outer 2', 1, 1),
    ]
    expect(originsOf(pins)).to.deep.equal([])
  })

  it('is not known of what was pinned on a cloth that it is not cut from any more', () => {
    const before = [pin('it outer 1', 1, 1), pin('it front-pocket 1', 1, 1, { group: 'outer fog' })]
    expect(originsOf(before).map(({ place }) => place.piece)).to.deep.equal(['outer'])
    const lining = cover.stack.find(({ role }) => role === 'lining')
    if (!lining) throw new Error('It is not lined')
    const of = { ...cover, cutFrom: { 'front-pocket': { ...lining, role: 'outer' as const } } }
    expect(printOrigins(of, [outer, pocket], before)).to.have.length(2)
  })

  it('shows in the panels of a piece, and in a pocket what the pocket is cut from', () => {
    const pins = [pin('it outer 1', 10, 0), pin('it front-pocket 1', 20, 0)]
    const origins = originsOf(pins)
    const under = (piece: string, fill: Fill, [x, y]: readonly [number, number]) =>
      originUnder(
        origins,
        rectangle([inches(x), inches(y)], inches(4), inches(5), { style: 'bare', fill, piece }),
      )?.place.piece
    expect(under('outer', 'outside', [1, 1])).to.equal('outer')
    // the middle of a panel called by another name, and that of the pocket on it: 11, 6 ½
    expect(under('spine', 'outside', [1, 1])).to.equal('outer')
    expect(under('front-pocket', 'pocket', [9, 4])).to.equal('front-pocket')
    expect(under('outer', 'outside', [9, 4])).to.equal('outer')
    // a lining over the same place, and what lies beside every piece
    expect(under('lining', 'inside', [1, 1])).to.equal(undefined)
    expect(under('outer', 'outside', [20, 1])).to.equal(undefined)
  })

  it('puts a motif into the middle of the panel that it was slid into', () => {
    const places = printPlaces(planned)
    const window = places.flatMap(({ windows }) => windows).find(({ name }) => name === 'front')
    const hut: ClothMark = {
      ...{ name: 'hut', what: 'motif' },
      ...{ x: inches(20), y: inches(30), width: inches(4), height: inches(3) },
    }
    if (!window) throw new Error('Nothing of the front is seen')
    const corner = cornerToShow(window, hut, 'middle')
    const pins = [pin('it outer 1', toMm(corner.x), toMm(corner.y))]
    const origins = originsOf(pins, [...places])
    const drawing = drawStrip(planned.strip, sayProperly('in'))
    const panels = drawing.marks.filter(mark => mark.kind === 'path' && mark.fill === 'outside')
    const front = panels.at(-1)
    if (front?.kind !== 'path') throw new Error('There is no front')
    const [left, right] = [front.start[0], front.steps[0]?.to[0] ?? zero]
    const origin = originUnder(origins, front)
    // The hut’s middle is 22 in from the left selvedge and 31 ½ in along the cloth; the panels are as high as the cover.
    expect((origin?.x ?? 0) + 22 * 25.4).to.be.closeTo((toMm(left) + toMm(right)) / 2, 0.01)
    expect((origin?.y ?? 0) + 31.5 * 25.4).to.be.closeTo(toMm(planned.strip.height) / 2, 0.01)
    expect(drawing.showsPrint).to.equal(true)
    expect(drawStrip(planned.strip, sayProperly('in'), { face: 'inside' }).showsPrint).to.equal(undefined)
  })
})
