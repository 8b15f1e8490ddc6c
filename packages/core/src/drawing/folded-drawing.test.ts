import { expect } from 'chai'
import { coverFrom, everyReading, familyFile, planFrom } from '../file/testing/cover-files.js'
import { foldCover } from '../folded/fold-cover.js'
import type { Folded, Leaf } from '../folded/leaf.js'
import { mm, toMm } from '../length/length.js'
import { drawFolded } from './folded-drawing.js'
import type { PathMark } from './drawing.js'

const sheet = (id: string, z: number, x = 0): Leaf => ({
  ...{ id, name: id, piece: id, width: mm(100), height: mm(60), thickness: mm(1) },
  ...{ inside: 'inside', outside: 'outside', at: [x, 0, z], stitches: [] },
})
const lying = (...leaves: readonly Leaf[]): Folded => ({
  leaves,
  stages: [
    { id: 'lying', name: 'Lying', pile: [], poses: Object.fromEntries(leaves.map(({ id }) => [id, {}])) },
  ],
})
const pathsOf = (folded: Folded, mirrored = false) =>
  drawFolded(folded, 0, { mirrored }).marks.filter((mark): mark is PathMark => mark.kind === 'path')
/** In the order in which they are drawn, each once. */
const drawnIn = (folded: Folded) => [...new Set(pathsOf(folded).map(({ piece }) => piece))]

describe('a cover drawn aslant', () => {
  it('has what lies above over what lies below, wherever on the table it is', () => {
    // by the distance of their middles the lower one would be nearer
    expect(drawnIn(lying(sheet('above', 20, -90), sheet('below', 0, 40)))).to.deep.equal(['below', 'above'])
    expect(drawnIn(lying(sheet('below', 0, -90), sheet('above', 20, 40)))).to.deep.equal(['below', 'above'])
  })

  it('shows the sides that look at the eye: above, in front, at one end', () => {
    expect(pathsOf(lying(sheet('one', 0))).map(({ fill }) => fill)).to.have.members([
      'inside',
      'outside',
      'outside',
    ])
  })

  it('has parallel lines to one scale', () => {
    const [face] = pathsOf(lying(sheet('one', 0))).filter(({ fill }) => fill === 'inside')
    const [x, y] = face?.start ?? expect.fail('no face')
    const [to] = face?.steps ?? []
    if (!to) expect.fail('no edge')
    // 100 along x, seen from 25° to the left and 40° above: 100·cos 25° across and 100·sin 25°·sin 40° along the page
    expect(toMm(to.to[0]) - toMm(x)).to.be.closeTo(90.63, 0.01)
    expect(Math.abs(toMm(to.to[1]) - toMm(y))).to.be.closeTo(27.17, 0.01)
  })

  it('is as in a mirror for the left hand', () => {
    const [right, left] = [false, true].map(
      mirrored => pathsOf(lying(sheet('one', 0)), mirrored)[0]?.start[0],
    )
    expect((right ?? 0) + (left ?? 0)).to.be.closeTo(0, 1)
  })

  it('says which moment it shows, and that it is aslant', () => {
    const file = familyFile('slip-cover', { object: everyReading })
    const folded = foldCover(coverFrom(file), planFrom(file))
    expect(drawFolded(folded, folded.stages.length - 1).title).to.equal('Closed. Drawn aslant.')
  })
})
