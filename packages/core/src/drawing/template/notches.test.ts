import { expect } from 'chai'
import { familyFile, planFrom } from '../../file/testing/cover-files.js'
import { sayPlainly } from '../../finding/say.js'
import { toMm } from '../../length/length.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { drawTemplates } from './template.js'

/** Every named notch of a piece: its name, and where its foot stands on the cut edge, in millimetres. */
function notchesOf(file: CoverFile, id: string): readonly (readonly [name: string, x: number, y: number])[] {
  const planned = planFrom(file)
  const drawn = drawTemplates(planned, { nameOf: piece => piece, say: sayPlainly('mm'), unit: 'mm' })
  const marks = drawn.find(({ piece }) => piece.id === id)?.drawing.marks ?? []
  return marks.flatMap((mark, index) => {
    const foot = marks[index - 1]
    if (mark.kind !== 'text' || mark.size !== 'small' || foot?.kind !== 'line') return []
    return [[mark.text, toMm(foot.from[0]), toMm(foot.from[1])] as const]
  })
}

const metric = (more: Partial<CoverFile> = {}) =>
  familyFile('slip-cover', {
    seam: '6 mm',
    options: { flapStyle: 'folded', flapDepth: '76 mm', turningOpening: '100 mm' },
    extras: [],
    ...more,
  })

describe('the notches of a piece', () => {
  it('say where the opening begins and ends, and how far the flaps reach, above and below', () => {
    const notches = notchesOf(metric(), 'outer')
    const at = (name: string, isWanted: (y: number) => boolean) =>
      notches.flatMap(([found, x, y]) => (found === name && isWanted(y) ? [x] : []))
    const [from = 0, to = 0] = at('opening', y => y > 0)
    expect(to - from).to.be.closeTo(100, 0.01)
    expect(at('opening', y => y === 0)).to.deep.equal([])
    const above = at('flap ends', y => y === 0)
    expect(above).to.have.length(2)
    expect(at('flap ends', y => y > 0)).to.deep.equal(above)
    // each edge stands out by the seam and the turned edge, 6 + 0.5; the flap comes out 76 deep
    expect(above[0]).to.be.closeTo(6.5 + 76, 0.6)
  })

  it('say where a tie lies, and both sides of a tab, at the middle of the edge that catches it', () => {
    const ties = notchesOf(metric({ extras: [{ type: 'tie-pair' }] }), 'outer').filter(
      ([name]) => name === 'tie',
    )
    const tall = toMm(planFrom(metric()).pieces[0]?.height.cut ?? (0 as never))
    expect(ties.map(([, x]) => x === 0)).to.deep.equal([true, false])
    for (const [, , y] of ties) expect(y).to.be.closeTo(tall / 2, 0.01)
    const tab = notchesOf(metric({ extras: [{ type: 'tab-snap', width: '40 mm' }] }), 'outer')
    const sides = tab.filter(([name]) => name === 'tab')
    expect(sides.map(([, x]) => x)).to.deep.equal([0, 0])
    expect((sides[1]?.[2] ?? 0) - (sides[0]?.[2] ?? 0)).to.be.closeTo(40, 0.01)
  })

  it('change sides on the lining, which lies behind: its right side is up', () => {
    const file = metric({ extras: [{ type: 'tab-snap', width: '40 mm' }] })
    const edges = (id: string) => notchesOf(file, id).flatMap(([name, x]) => (name === 'tab' ? [x] : []))
    const wide = toMm(planFrom(file).pieces.find(({ id }) => id === 'lining')?.width.cut ?? (0 as never))
    expect(edges('outer')).to.deep.equal([0, 0])
    expect(edges('lining')).to.deep.equal([wide, wide])
  })

  it('are none where nothing is sewn round', () => {
    expect(notchesOf(familyFile('board-cover'), 'outer')).to.deep.equal([])
    expect(notchesOf(familyFile('glued-wrap'), 'outer')).to.deep.equal([])
  })
})
