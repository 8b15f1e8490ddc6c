import { expect } from 'chai'
import { families } from '../families/registry.js'
import type { CoverFile } from '../file/cover-schema.js'
import { coverFrom, everyReading, familyFile, planFrom } from '../file/testing/cover-files.js'
import { toMm, zero } from '../length/length.js'
import { placePanels } from '../families/strip.js'
import { foldCover } from './fold-cover.js'
import { cornersOf, outlookAt, placeLeaves, pointOn, type PlacedLeaf } from './frame.js'
import { areaOnFlat, type Folded, type Place } from './leaf.js'
import { sewnOnLeaves } from './sewn-on-leaves.js'

const foldedOf = (file: CoverFile) => foldCover(coverFrom(file), planFrom(file))
const stageOf = ({ stages }: Folded, id: string) => {
  const index = stages.findIndex(stage => stage.id === id)
  return index < 0 ? expect.fail(`No stage ${id}`) : index
}
const leafAt = (folded: Folded, time: number, id: string): PlacedLeaf =>
  placeLeaves(folded, time).find(({ leaf }) => leaf.id === id) ?? expect.fail(`No leaf ${id} at ${time}`)
const distance = (one: Place, other: Place) =>
  Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2])
const heightsOf = (placed: PlacedLeaf) => cornersOf(placed).map(([, , z]) => z)

describe('a slip-on cover that comes together', () => {
  const file = familyFile('slip-cover', { object: everyReading })
  const folded = foldedOf(file)
  const plan = planFrom(file)

  it('goes from its pieces through its joining, turned, to the closed book', () => {
    expect(folded.stages.map(({ id }) => id)).to.deep.equal([
      ...[
        'pieces',
        'close-round-pile',
        'close-round',
        'cover',
        'flaps-over',
        'thing-there',
        'thing-in',
        'closed',
      ],
    ])
    expect(folded.stages.filter(({ isScheme }) => isScheme).map(({ id }) => id)).to.deep.equal(['cover'])
    expect(folded.stages[1]?.pile).to.deep.equal([
      'outer, right side up',
      'flaps, folds to the middle, right side down',
      'lining, right side down',
    ])
  })

  it('has every piece on the table as often and as large as it is cut, right side up', () => {
    const onTable = placeLeaves(folded, 0).map(({ leaf, inside }) => [
      leaf.piece,
      leaf.width,
      leaf.height,
      Math.round(inside[2]),
    ])
    const cut = plan.pieces.flatMap(({ id, count, width, height }) =>
      Array.from({ length: count }, () => [id, width.cut, height.cut, -1]),
    )
    expect(onTable).to.deep.equal(cut)
  })

  it('has each panel, and its outer as it is cut, where they lie on the flat cover seen from outside', () => {
    const { pieces, strip } = plan
    const cornerOf = (id: string) =>
      folded.leaves.find(leaf => leaf.id === id)?.onFlat?.map(length => toMm(length))
    // from the left: the flap of the back, the back, the spine, the front
    const widths = strip.panels.map(({ width }) => toMm(width))
    expect(strip.panels.map(({ id }) => id)).to.deep.equal([
      'back-flap',
      'back',
      'spine',
      'front',
      'front-flap',
    ])
    const before = (count: number) => widths.slice(0, count).reduce((sum, width) => sum + width, 0)
    expect(cornerOf('panel:front')?.[0]).to.be.closeTo(before(3), 1e-9)
    expect(cornerOf('panel:spine')).to.deep.equal([before(2), 0])
    // it is cut higher than the cover: half of that is above it
    const cut = pieces.find(({ id }) => id === 'outer')?.height.cut ?? zero
    const outer = cornerOf('table:outer:0')
    expect(outer?.[1]).to.be.closeTo((toMm(strip.height) - toMm(cut)) / 2, 1e-9)
    expect(outer?.[1]).to.be.below(-6)
    expect(cornerOf('close-round:0:0')).to.deep.equal(outer)
    const lining = folded.leaves.find(({ piece }) => piece === 'lining')
    expect(lining && areaOnFlat(lining)).to.equal(undefined)
    const front = folded.leaves.find(({ id }) => id === 'panel:front')
    expect(front && areaOnFlat(front)).to.deep.include({
      piece: 'outer',
      fill: 'outside',
      start: front?.onFlat,
    })
  })

  it('piles flaps of 172 folded to 86 at both ends, with a gap of the opening in the stitches above', () => {
    const pile = placeLeaves(folded, stageOf(folded, 'close-round'))
    const flaps = pile.filter(({ leaf }) => leaf.piece === 'flap')
    expect(flaps.map(({ leaf }) => toMm(leaf.width))).to.deep.equal([86, 86])
    const gap = pile.flatMap(({ leaf }) => leaf.stitches).find(({ kind }) => kind === 'opening')
    const opening = plan.strip.lines.find(({ kind }) => kind === 'opening')
    expect(gap && gap.to[0] - gap.from[0]).to.equal(opening && opening.to[0] - opening.from[0])
    // the pile is as thick as its plies: outer 0.3125, two of them in a folded flap, lining 0.25
    const low = Math.min(...pile.flatMap(heightsOf))
    const high = Math.max(...pile.flatMap(heightsOf))
    expect(high - low).to.be.closeTo(0.3125 + 2 * 0.3125 + 0.25, 0.01)
  })

  it('folds its flaps over its boards, with room for the board between', () => {
    const flat = leafAt(folded, stageOf(folded, 'cover'), 'panel:back-flap')
    const over = leafAt(folded, stageOf(folded, 'flaps-over'), 'panel:back-flap')
    const back = leafAt(folded, stageOf(folded, 'flaps-over'), 'panel:back')
    expect([flat.inside[2], over.inside[2]].map(Math.round)).to.deep.equal([1, -1])
    // a board of 2 goes between the inside of the back, at 0, and that of the flap
    expect(over.at[2] - back.at[2]).to.be.closeTo(2, 1e-9)
    // it reaches in from the fore-edge by its depth of 80
    const rightEnd = back.at[0] + toMm(back.leaf.width)
    const ends = cornersOf(over).map(([x]) => x)
    expect(Math.max(...ends)).to.be.closeTo(rightEnd, 1e-9)
    expect(Math.min(...ends)).to.be.closeTo(rightEnd - 80, 1e-9)
  })

  it('closes with the front as far above the back as the spine is wide, and the book between', () => {
    const end = folded.stages.length - 1
    const [back, front, block] = ['panel:back', 'panel:front', 'thing-block'].map(id =>
      leafAt(folded, end, id),
    )
    const spine = plan.strip.panels.find(({ kind }) => kind === 'spine')?.width ?? expect.fail('no spine')
    if (!back || !front || !block) expect.fail('leaves are missing')
    expect(front.at[2] - back.at[2]).to.be.closeTo(toMm(spine), 1e-6)
    expect(front.inside[2]).to.be.closeTo(-1, 1e-9)
    // block of 20 less two boards of 2, on a board of 2
    expect(heightsOf(block)).to.satisfy(
      (heights: number[]) => Math.min(...heights) > 1.99 && Math.max(...heights) < 18.01,
    )
  })
})

describe('a gap beside the spine', () => {
  it('takes half of the turn: two hinges of 45°', () => {
    const folded = foldedOf(familyFile('board-cover', { object: everyReading }))
    const last = folded.stages.at(-1)?.poses ?? {}
    expect(
      ['panel:front-gap', 'panel:front', 'panel:back-gap', 'panel:spine'].map(id => last[id]?.angle),
    ).to.deep.equal([45, 45, 45, 45])
    const front = leafAt(folded, folded.stages.length - 1, 'panel:front')
    expect(front.inside[2]).to.be.closeTo(-1, 1e-9)
  })
})

describe('what sits on a cover that comes together', () => {
  const pouch = familyFile('zip-pouch', { object: everyReading })
  const folded = foldedOf(pouch)
  const { strip, section } = planFrom(pouch)
  const shape = strip.shapes.find(({ piece }) => piece === 'pocket-outer') ?? expect.fail('no pocket')
  const pocket = leafAt(folded, stageOf(folded, 'closed'), 'on:pocket-outer:0:panel:front')

  it('lies on its panel, outside up, as far from its edges as on the strip', () => {
    const front = leafAt(folded, stageOf(folded, 'closed'), 'panel:front')
    const panel = placePanels(strip.panels).find(({ id }) => id === 'front') ?? expect.fail('no front')
    // seen from outside: so far from the left of the panel, and from its top; its own outside lies on that of the panel
    const [left, top] = [toMm(shape.at[0]) - toMm(panel.x), toMm(shape.at[1])]
    const [wide, high] = [toMm(panel.width), toMm(strip.height)]
    const thick = section.plies.reduce((sum, { thickness }) => sum + toMm(thickness), 0)
    const corner = pointOn(pocket, toMm(pocket.leaf.width), toMm(pocket.leaf.height))
    expect(distance(corner, pointOn(front, wide - left, high - top, -thick))).to.be.below(1e-6)
    expect([pocket.leaf.outside, pocket.leaf.inside]).to.deep.equal(['outer', 'wrong-side'])
    expect(pocket.leaf.onFlat).to.deep.equal(shape.at)
  })

  it('is there from the stage at which the cover is, and not among the pieces on the table', () => {
    const there = folded.stages.map(
      (_, stage) => placeLeaves(folded, stage).filter(({ leaf }) => leaf.id === pocket.leaf.id).length,
    )
    const cover = stageOf(folded, 'cover')
    expect(there.map(count => count > 0)).to.deep.equal(folded.stages.map((_, stage) => stage >= cover))
  })

  it('lies on what lies there before it: a second layer as high as the first is thick', () => {
    const two = sewnOnLeaves(
      { strip: { ...strip, lines: [], shapes: [shape, shape] }, section, pieces: planFrom(pouch).pieces },
      { leaves: folded.leaves.filter(({ id }) => id === 'panel:front'), flaps: [] },
    )
    const [first, second] = two
    expect((first?.at[2] ?? NaN) - (second?.at[2] ?? NaN)).to.be.closeTo(toMm(first?.thickness ?? zero), 1e-9)
  })

  it('hangs from where it is held: ties stay at the fore-edge when the flaps they are drawn on fold in', () => {
    const file = familyFile('slip-cover', { object: everyReading, extras: [{ type: 'tie-pair' }] })
    const tied = foldedOf(file)
    const [tie] = planFrom(file).strip.lines.filter(({ kind }) => kind === 'tie')
    if (!tie) expect.fail('no tie')
    const end = tied.stages.length - 1
    const back = leafAt(tied, end, 'panel:back')
    const there = placeLeaves(tied, end).filter(({ leaf }) => leaf.name === 'tie')
    expect(there).to.have.length(2)
    const onBack =
      there.find(({ leaf }) => leaf.joined?.to === 'panel:back') ?? expect.fail('none at the back')
    // as long as it is drawn, 6 wide, and all of it beyond the fore-edge of the back
    expect(toMm(onBack.leaf.width)).to.be.closeTo(Math.abs(toMm(tie.to[0]) - toMm(tie.from[0])), 1e-9)
    expect(toMm(onBack.leaf.height)).to.equal(6)
    const foreEdge = Math.max(...cornersOf(back).map(([x]) => x))
    expect(Math.min(...cornersOf(onBack).map(([x]) => x))).to.be.closeTo(foreEdge, 1e-6)
  })

  it('is parted and never lost, whatever the way of making', () => {
    for (const { id } of families) {
      const file = familyFile(id, { object: everyReading })
      const { leaves } = foldedOf(file)
      for (const [index, { piece, width, height }] of planFrom(file).strip.shapes.entries()) {
        const parts = leaves.filter(leaf => leaf.id.startsWith(`on:${piece}:${index}:`))
        const area = parts.reduce((sum, leaf) => sum + toMm(leaf.width) * toMm(leaf.height), 0)
        expect(area, `${id} ${piece}`).to.be.closeTo(toMm(width) * toMm(height), 0.01)
      }
    }
  })
})

describe('every cover that comes together', () => {
  const covers = families.map(({ id }) => [id, foldedOf(familyFile(id, { object: everyReading }))] as const)

  for (const [name, folded] of covers) {
    const times = Array.from({ length: 8 * (folded.stages.length - 1) + 1 }, (_, index) => index / 8)

    it(`names leaves and stages once, and poses only leaves that it has: ${name}`, () => {
      const ids = folded.leaves.map(({ id }) => id)
      expect(new Set(ids).size).to.equal(ids.length)
      expect(new Set(folded.stages.map(({ id }) => id)).size).to.equal(folded.stages.length)
      expect(ids).to.include.members(folded.stages.flatMap(({ poses }) => Object.keys(poses)))
      for (const { joined } of folded.leaves) if (joined) expect(ids).to.include(joined.to)
    })

    it(`keeps every leaf stiff, at every moment: ${name}`, () => {
      for (const time of times)
        for (const placed of placeLeaves(folded, time)) {
          const [a, b, , d, e] = cornersOf(placed)
          const { width, height, thickness } = placed.leaf
          if (!a || !b || !d || !e) expect.fail('a leaf without corners')
          const sides = [distance(a, b), distance(a, d), distance(a, e)]
          const own = [width, height, thickness].map(toMm)
          expect(Math.max(...sides.map((side, index) => Math.abs(side - (own[index] ?? 0))))).to.be.below(
            1e-6,
          )
        }
    })

    it(`keeps what hangs together together, at every moment: ${name}`, () => {
      const hung = folded.leaves.filter(({ joined }) => joined?.kind === 'hinge' && toMm(joined.room) === 0)
      for (const time of times)
        for (const { id, joined } of hung) {
          const there = placeLeaves(folded, time)
          const [child, parent] = [id, joined?.to].map(of => there.find(({ leaf }) => leaf.id === of))
          if (!child || !parent || joined?.kind !== 'hinge') continue
          const edgeOf = ({ leaf, ...frame }: PlacedLeaf, edge: string): Place =>
            edge === 'left' || edge === 'bottom'
              ? pointOn(frame, 0, 0)
              : edge === 'right'
                ? pointOn(frame, toMm(leaf.width), 0)
                : pointOn(frame, 0, toMm(leaf.height))
          const opposite = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' } as const
          expect(distance(edgeOf(parent, joined.edge), edgeOf(child, opposite[joined.edge]))).to.be.below(
            1e-6,
          )
        }
    })

    it(`ends closed, the thing between its outermost leaves: ${name}`, () => {
      const end = placeLeaves(folded, folded.stages.length - 1)
      const cover = end.filter(({ leaf }) => leaf.id.startsWith('panel:'))
      const thing = end.filter(({ leaf }) => leaf.id.startsWith('thing'))
      expect(thing).to.not.deep.equal([])
      const [low, high] = [Math.min(...cover.flatMap(heightsOf)), Math.max(...cover.flatMap(heightsOf))]
      for (const part of thing) {
        expect(Math.min(...heightsOf(part))).to.be.at.least(low - 1e-6)
        // boards of the cover's own lie outside the thing; drawn without them the cover is as thick as its strip says
        expect(Math.max(...heightsOf(part))).to.be.at.most(high + 3)
      }
    })
  }

  it('has all of it in sight, at every stage and on the way', () => {
    for (const [name, folded] of covers)
      for (let time = 0; time < folded.stages.length; time += 1 / 4) {
        const { middle, reach } = outlookAt(folded, time)
        const there = placeLeaves(folded, time).filter(({ shown }) => shown === 1)
        const far = Math.max(0, ...there.flatMap(cornersOf).map(corner => distance(corner, middle)))
        expect(far, `${name} ${time}`).to.be.at.most(reach + 1e-6)
        // and not much smaller than it could be
        if (Number.isInteger(time)) expect(far).to.be.above(reach * 0.55)
      }
  })

  it('holds at its ends, before the first stage and after the last', () => {
    for (const [, folded] of covers) {
      expect(placeLeaves(folded, -1)).to.deep.equal(placeLeaves(folded, 0))
      const last = folded.stages.length - 1
      expect(placeLeaves(folded, last + 5)).to.deep.equal(placeLeaves(folded, last))
    }
  })
})
