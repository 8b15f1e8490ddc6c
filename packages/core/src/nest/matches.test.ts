import { expect } from 'chai'
import fc from 'fast-check'
import { inches, toInches, type Length } from '../length/length.js'
import { meetingOf, slackOf } from './matches.js'
import { nest } from './nest.js'
import { nesting } from './nesting.js'
import type { LayoutRequest, Match } from './request.js'
import { faultsOf } from './testing/check-layout.js'
import { cloth, piece, request } from './testing/requests.js'

/** Ticks a millisecond each time that it is looked at. */
function createClock(): () => number {
  let time = 0
  return () => (time += 1)
}

const lay = (changes: Partial<LayoutRequest>) => nest(request(changes), createClock())

/** Where the pieces lie on one stretch of the print, in inches. */
function match(places: Readonly<Record<string, readonly [number, number]>>, along?: number, across?: number) {
  return {
    pieces: Object.entries(places).map(([id, [x, y]]) => ({ piece: id, x: inches(x), y: inches(y) })),
    ...(along !== undefined && { along: inches(along) }),
    ...(across !== undefined && { across: inches(across) }),
  } satisfies Match
}

const back = piece('back', 10, 12)
const front = piece('front', 10, 12)
const level = match({ back: [0, 0], front: [9.5, 0] }, 5)

describe('pieces on which the print runs on', () => {
  it('lie whole repeats apart, which costs less than one', () => {
    // On cloth of 12 they lie one behind the other: 12 long, then on to the next repeat of 5 at 15, and 12 more: 27.
    const layout = lay({ cloths: [cloth('strip', 12)], pieces: [back, front], matches: [level] })
    expect(layout.placements.map(({ y }) => toInches(y)).toSorted((one, other) => one - other)).to.deep.equal(
      [0, 15],
    )
    expect(layout.used.map(({ length }) => toInches(length))).to.deep.equal([27])
    expect(meetingOf(layout, level, ['back', 'front'])).to.deep.equal({ kind: 'meets' })
  })

  it('lie by what they are apart in the print, too', () => {
    // The front begins 2 lower in the print: 12 = 2 · 5 + 2, so that it may follow at once, 24 long; the other way round
    // the back comes 3 · 5 - 2 = 13 after it, 25 long.
    const lower = match({ back: [0, 0], front: [9.5, 2] }, 5)
    const layout = lay({ cloths: [cloth('strip', 12)], pieces: [back, front], matches: [lower] })
    expect(layout.used.map(({ length }) => toInches(length))[0]).to.be.oneOf([24, 25])
    expect(meetingOf(layout, lower, ['back', 'front'])).to.deep.equal({ kind: 'meets' })
  })

  it('meet across the cloth as well, where the print comes again so', () => {
    const both = match({ back: [0, 0], front: [9.5, 0] }, 5, 4)
    const layout = lay({ pieces: [back, front], matches: [both] })
    const at = (id: string) => layout.placements.find(placed => placed.piece === id)
    // 9.5 from the back to the right, or whole repeats of 4 more or less.
    const repeats = (toInches(at('front')?.x ?? inches(0)) - toInches(at('back')?.x ?? inches(0)) - 9.5) / 4
    expect(repeats % 1).to.be.closeTo(0, 1e-9)
    expect(meetingOf(layout, both, ['back', 'front'])).to.deep.equal({ kind: 'meets' })
  })

  it('follow the one that is pinned', () => {
    const pin = { cloth: 'strip', sheet: 1, x: inches(1), y: inches(3), turned: false }
    const layout = lay({
      cloths: [cloth('strip', 12)],
      pieces: [back, { ...front, width: inches(9), pin }],
      matches: [level],
    })
    // From 3 to 15; the back at the next place that is 3 beyond whole repeats: 18.
    const placed = layout.placements.find(({ piece: id }) => id === 'back')
    expect(placed && toInches(placed.y)).to.equal(18)
  })

  it('are laid without it where there is no room, and then it is known by how much they miss', () => {
    const layout = lay({ cloths: [cloth('short', 12, 26)], pieces: [back, front], matches: [level] })
    expect(layout.unplaced).to.deep.equal([])
    // One after the other: 12 is 2 beyond two repeats of 5.
    expect(meetingOf(layout, level, ['back', 'front'])).to.deep.include({ kind: 'misses' })
    const meeting = meetingOf(layout, level, ['back', 'front'])
    expect(meeting.kind === 'misses' && Math.abs(toInches(meeting.along))).to.equal(2)
  })

  it('miss by the shorter way', () => {
    // 14 along is 4 beyond two repeats of 5: 1 too little for the third.
    const pins = (y: number) => ({ cloth: 'strip', sheet: 1, x: inches(0), y: inches(y), turned: false })
    const layout = lay({
      cloths: [cloth('strip', 12)],
      pieces: [
        { ...back, pin: pins(0) },
        { ...front, pin: pins(14) },
      ],
      matches: [level],
    })
    expect(meetingOf(layout, level, ['back', 'front'])).to.deep.equal({
      kind: 'misses',
      along: inches(-1),
      across: inches(0),
    })
  })

  it('cannot be held together on different pieces of cloth', () => {
    const layout = lay({ cloths: [cloth('quarter', 12, 13, 2)], pieces: [back, front], matches: [level] })
    expect(meetingOf(layout, level, ['back', 'front'])).to.deep.equal({ kind: 'apart' })
  })

  it('are not turned; one that must be is said to be, and one without room, too', () => {
    const long = piece('back', 20, 10, { turn: 'quarter' })
    const narrow = lay({ cloths: [cloth('strip', 12, 60)], pieces: [long, front], matches: [level] })
    expect(meetingOf(narrow, level, ['back', 'front'])).to.deep.equal({ kind: 'turned', piece: 'back' })
    const wide = lay({ cloths: [cloth('strip', 22, 60)], pieces: [long, front], matches: [level] })
    expect(wide.placements.map(({ turned }) => turned)).to.deep.equal([false, false])
    const small = lay({ cloths: [cloth('scrap', 12, 12)], pieces: [back, front], matches: [level] })
    expect(meetingOf(small, level, ['back', 'front']).kind).to.equal('unplaced')
  })

  it('lie on one piece of cloth where one takes them, and take no more than it needs', () => {
    // A front fills what the back leaves of a short piece; but both go onto the long one: 12, on to 15, and 12 more.
    const cloths = [cloth('short', 12, 13), cloth('long', 12, 27)]
    const layout = lay({ cloths, pieces: [back, front], matches: [level] })
    expect(layout.placements.map(placed => placed.cloth)).to.deep.equal(['long', 'long'])
    expect(meetingOf(layout, level, ['back', 'front'])).to.deep.equal({ kind: 'meets' })
    expect(faultsOf(layout, request({ cloths, pieces: [back, front] }))).to.deep.equal([])
  })

  it('go round what is pinned and to be avoided without room for a whole repeat', () => {
    const pin = { cloth: 'strip', sheet: 1, x: inches(0), y: inches(1), turned: false }
    const avoid = [{ x: inches(0), y: inches(14), width: inches(12), height: inches(3) }]
    const cloths = [{ ...cloth('strip', 12, 35), avoid }]
    const layout = lay({ cloths, pieces: [back, { ...front, pin }], matches: [level] })
    // The back at 1 beyond whole repeats: not at 16, which is to be avoided up to 17, but at 21, up to 33.
    expect(layout.placements.map(({ piece: id, y }) => [id, toInches(y)])).to.deep.equal([
      ['front', 1],
      ['back', 21],
    ])
    const short = [{ ...cloth('strip', 12, 32), avoid }]
    const missed = lay({ cloths: short, pieces: [back, { ...front, pin }], matches: [level] })
    expect(meetingOf(missed, level, ['back', 'front']).kind).to.equal('misses')
  })

  it('leave the largest where it lies: it wants no room', () => {
    const asked = request({ pieces: [back, { ...front, width: inches(11) }], matches: [level] })
    expect(slackOf('front', asked)).to.deep.equal({ along: inches(0), across: inches(0) })
    expect(slackOf('back', asked)).to.deep.equal({ along: inches(5), across: inches(0) })
  })

  it('are laid right whatever else is asked, and meet on cloth without end', () => {
    const eighth = (least: number, most: number) =>
      fc.integer({ min: least, max: most }).map(count => inches(count / 8))
    const size = fc.tuple(eighth(8, 120), eighth(8, 120))
    const anyMatched = fc.record({
      cuts: fc.constantFrom('scissors' as const, 'rotary' as const),
      gap: fc.constantFrom(inches(0), inches(1 / 4)),
      sizes: fc.array(size, { minLength: 2, maxLength: 6 }),
      along: eighth(1, 60),
      across: fc.option(eighth(1, 40), { nil: undefined }),
      lower: eighth(0, 60),
    })
    fc.assert(
      fc.property(anyMatched, ({ cuts, gap, sizes, along, across, lower }) => {
        const pieces = sizes.map(([width, height], index) => ({ ...piece(`${index}`, 1, 1), width, height }))
        const meant: Match = {
          pieces: [
            { piece: '0', x: inches(0), y: inches(0) },
            { piece: '1', x: sizes[0]?.[0] as Length, y: lower },
          ],
          along,
          ...(across && { across }),
        }
        const asked = request({ cuts, gap, pieces, matches: [meant] })
        let least = Infinity
        let turns = 0
        for (const layout of nesting(asked)) {
          if (layout) {
            expect(faultsOf(layout, asked)).to.deep.equal([])
            expect(meetingOf(layout, meant, ['0', '1'])).to.deep.equal({ kind: 'meets' })
            const [used] = layout.used
            expect(used?.length).to.be.at.most(least)
            least = used?.length ?? least
          }
          if ((turns += 1) > 60) break
        }
        expect(least).to.be.below(Infinity)
      }),
      { numRuns: 60 },
    )
  })
})
