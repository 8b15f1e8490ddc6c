import { expect } from 'chai'
import { inches, mm, toInches, toMm, zero } from '../length/length.js'
import { meetingOf } from '../nest/matches.js'
import { nest } from '../nest/nest.js'
import { plan } from '../plan/plan.js'
import { groupPieces, type CoverToCut } from './group.js'
import { matchesOf, meetingsIn } from './meetings.js'
import { printPlaces } from './print-places.js'
import { layoutRequestOf } from './request-of.js'
import { notebookCover } from './testing/notebook.js'

const readOf = (changes: object) =>
  notebookCover({
    layers: [
      { role: 'lining', name: 'Fog', thickness: '0.28 mm' },
      { role: 'outer', name: 'Larch', thickness: '0.28 mm', print: 'one-way', shrinkage: 5 },
    ],
    ...changes,
  })

const planOf = (changes: object) => plan(readOf(changes))

function coverToCut(changes: object): CoverToCut {
  const { stack, cutFrom } = readOf(changes)
  const planned = planOf(changes)
  return { id: 'it', name: 'it', pieces: planned.pieces, stack, cutFrom, places: printPlaces(planned) }
}

const tablet = { kind: 'tablet', readings: { height: ['8'], width: ['6'], thickness: ['3/8'] } }
const outerOf = (cover: CoverToCut) => {
  const group = groupPieces([cover]).find(({ role }) => role === 'outer')
  if (!group) throw new Error('There is no outer cloth')
  return group
}
const pairsOf = (cover: CoverToCut) =>
  meetingsIn(outerOf(cover), [cover]).map(({ one, other }) => `${one.slice(3)} – ${other.slice(3)}`)

describe('where the print could run on', () => {
  it('is from the flaps to the outer, which overlap it by both allowances of the seam', () => {
    const cover = coverToCut({})
    const [outer, left, right] = ['outer 1', 'flap 1', 'flap 2'].map(name =>
      cover.places?.find(({ piece, copy }) => `${piece} ${copy}` === name),
    )
    if (!outer || !left || !right) throw new Error('A piece has no place')
    // A seam of ¼ in: ½ in of each flap lies over the outer, the rest beside it.
    expect(toInches(left.x) + toInches(left.width) - toInches(outer.x)).to.be.closeTo(0.5, 1e-9)
    expect(toInches(outer.x) + toInches(outer.width) - toInches(right.x)).to.be.closeTo(0.5, 1e-9)
    expect([left.y, right.y]).to.deep.equal([outer.y, outer.y])
    expect(pairsOf(cover)).to.deep.equal(['outer 1 – flap 1', 'outer 1 – flap 2'])
  })

  it('is from wall to wall of a sleeve, which are cut larger than they are trimmed', () => {
    const cover = coverToCut({ object: tablet, family: 'sleeve' })
    const [back, front] = cover.places ?? []
    const piece = cover.pieces.find(({ id }) => id === 'outer')
    if (!back || !front || !piece) throw new Error('A wall has no place')
    // The seam lines coincide: from corner to corner it is a wall as it is finished, trimmed evenly all round.
    const strip = planOf({ object: tablet, family: 'sleeve' }).strip
    expect(toMm(front.x) - toMm(back.x)).to.be.closeTo(toMm(strip.panels[0]?.width ?? zero), 0.001)
    const trimmed = strip.cutPieces[0]
    expect(toMm(trimmed?.at[0] ?? zero) - toMm(back.x)).to.be.closeTo(
      (toMm(piece.width.cut) - toMm(trimmed?.width ?? zero)) / 2,
      0.001,
    )
    expect(pairsOf(cover)).to.deep.equal(['outer 1 – outer 2'])
  })

  it('is from a pocket outside to the wall that it is sewn on, foot to foot', () => {
    const changes = {
      object: tablet,
      family: 'sleeve',
      extras: [{ type: 'pocket-patch', on: 'front' }],
    }
    const cover = coverToCut(changes)
    expect(pairsOf(cover)).to.include('outer 2 – pocket-patch 1')
    const pocket = cover.places?.find(({ piece }) => piece === 'pocket-patch')
    const shape = planOf(changes).strip.shapes.find(({ piece }) => piece === 'pocket-patch')
    if (!pocket || !shape) throw new Error('The pocket has no place')
    // ¼ in is turned under at the left and at the foot.
    expect(toInches(shape.at[0]) - toInches(pocket.x)).to.be.closeTo(0.25, 1e-9)
    expect(
      toInches(pocket.y) + toInches(pocket.height) - toInches(shape.at[1]) - toInches(shape.height),
    ).to.be.closeTo(0.25, 0.0001)
  })

  it('shows in the panels of a piece, which lie in it as they lie on the cover', () => {
    const { places = [] } = coverToCut({})
    const windows = (name: string) =>
      places.find(({ piece, copy }) => `${piece} ${copy}` === name)?.windows.map(window => window.name)
    expect(windows('outer 1')).to.deep.equal(['back', 'spine', 'front'])
    expect(windows('flap 1')).to.deep.equal(['back flap'])
    expect(windows('flap 2')).to.deep.equal(['front flap'])
    const { strip } = planOf({})
    const [outer] = places
    const spine = outer?.windows[1]
    // The flap and the back lie to the left of the spine, on the strip and on the piece.
    const left = toMm(strip.panels[0]?.width ?? zero) + toMm(strip.panels[1]?.width ?? zero)
    expect(toMm(spine?.x ?? zero) + toMm(outer?.x ?? zero)).to.be.closeTo(left, 0.001)
    expect(toMm(spine?.y ?? zero)).to.be.closeTo(-toMm(outer?.y ?? zero), 0.001)
  })

  it('is nowhere inside, and not between cloths', () => {
    const inside = coverToCut({ extras: [{ type: 'pocket-patch' }] })
    expect(pairsOf(inside)).to.deep.equal(['outer 1 – flap 1', 'outer 1 – flap 2'])
    const own = coverToCut({
      cloths: [{ role: 'outer', name: 'Moss', thickness: '0.4 mm' }],
      cutFrom: { flap: 'Moss' },
    })
    expect(pairsOf(own)).to.deep.equal([])
  })
})

describe('what is asked of a layout so that the print meets', () => {
  const cover = coverToCut({})
  const group = outerOf(cover)
  const all = meetingsIn(group, [cover])

  it('is one match of all that hangs together, with the repeat as the wash leaves it', () => {
    const [match, ...more] = matchesOf(group, [cover], all, { along: mm(100) })
    expect(more).to.deep.equal([])
    expect(match?.pieces.map(({ piece }) => piece)).to.deep.equal(['it outer 1', 'it flap 1', 'it flap 2'])
    // 5 % shorter.
    expect(toMm(match?.along ?? zero)).to.be.closeTo(95, 0.01)
    expect(match?.across).to.equal(undefined)
  })

  it('is nothing without a repeat, nor of pieces that do not meet', () => {
    expect(matchesOf(group, [cover], all, {})).to.deep.equal([])
    const strangers = [{ one: 'it flap 1', other: 'it flap 2' }]
    expect(matchesOf(group, [cover], strangers, { along: mm(100) })).to.deep.equal([])
  })

  it('is kept on cloth by the yard', () => {
    const matches = matchesOf(group, [cover], all, { along: inches(3), across: inches(2) })
    const request = layoutRequestOf(group, {
      cuts: 'scissors',
      unit: 'in',
      sheets: [],
      pins: {},
      matches,
      buyWidth: inches(42),
      budgetMs: 30,
    })
    if (!request) throw new Error('There is no cloth')
    let time = 0
    const layout = nest(request, () => (time += 1))
    const [match] = matches
    expect(all.map(({ one, other }) => match && meetingOf(layout, match, [one, other]))).to.deep.equal([
      { kind: 'meets' },
      { kind: 'meets' },
    ])
  })
})
