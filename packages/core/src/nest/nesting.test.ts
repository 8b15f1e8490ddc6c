import { expect } from 'chai'
import fc from 'fast-check'
import { inches, toInches } from '../length/length.js'
import { orderCuts } from './cut-order.js'
import type { Layout } from './layout.js'
import { nest } from './nest.js'
import { nesting } from './nesting.js'
import type { AvoidedPlace, Cloth, LayoutRequest } from './request.js'
import { faultsOf } from './testing/check-layout.js'
import { anyRequest, cloth, piece, request } from './testing/requests.js'

/** A clock that ticks a millisecond each time that it is looked at: the same number of turns on every machine. */
function createClock(): () => number {
  let time = 0
  return () => (time += 1)
}

function lay(changes: Partial<LayoutRequest>): Layout {
  return nest(request(changes), createClock())
}

const noLength = () => undefined

const lengthOn = (layout: Layout, id: string) => {
  const sheet = layout.used.find(entry => entry.cloth === id)
  return sheet && toInches(sheet.length)
}
const sheetsUsed = ({ used }: Layout) => used.map(({ cloth: id, sheet }) => `${id} ${sheet}`)

describe('laying pieces on cloth', () => {
  it('is right whatever is asked: nothing overlaps, hangs over, turns or moves against its pin', () => {
    fc.assert(
      fc.property(anyRequest, asked => {
        expect(faultsOf(nest(asked, createClock()), asked)).to.deep.equal([])
      }),
      { numRuns: 150 },
    )
  })

  it('is right at every moment at which it may be stopped, and never gets worse', () => {
    const asked = request({
      gap: inches(1 / 4),
      pieces: [piece('outer', 17, 11, { count: 3 }), piece('flap', 7, 11, { count: 6, turn: 'quarter' })],
    })
    let before = Infinity
    let seen = 0
    for (const layout of nesting(asked)) {
      if (!layout) continue
      expect(faultsOf(layout, asked)).to.deep.equal([])
      expect(lengthOn(layout, 'yardage')).to.be.at.most(before)
      before = lengthOn(layout, 'yardage') ?? NaN
      if ((seen += 1) === 5) break
    }
    expect(seen).to.be.at.least(1)
  })

  it('comes out the same for the same seed', () => {
    fc.assert(
      fc.property(anyRequest, asked => {
        expect(nest(asked, createClock())).to.deep.equal(nest(asked, createClock()))
      }),
      { numRuns: 20 },
    )
  })

  it('finds the five of a pinwheel, which no edge-to-edge cut parts', () => {
    // 3 × 1, 1 × 3, 3 × 1, 1 × 3 round a 2 × 2: a square of 4 without any loss.
    const pieces = [
      piece('wide', 3, 1, { count: 2 }),
      piece('high', 1, 3, { count: 2 }),
      piece('middle', 2, 2),
    ]
    const layout = lay({ cloths: [cloth('square', 4)], pieces })
    expect(lengthOn(layout, 'square')).to.equal(4)
    expect(layout.best).to.equal(true)
    expect(orderCuts(layout, noLength)).to.equal(undefined)
    const rotary = lay({ cuts: 'rotary', cloths: [cloth('square', 4)], pieces })
    expect(lengthOn(rotary, 'square')).to.equal(5)
    expect(orderCuts(rotary, noLength)).to.have.length.above(0)
  })

  it('leaves a gap open where that is better', () => {
    // Two of 3 × 2 and one of 4 × 2 on a strip 5 wide need 6: nothing goes beside a piece of 3 or 4.
    const three = [piece('a', 3, 2, { count: 2 }), piece('b', 4, 2)]
    expect(lengthOn(lay({ cloths: [cloth('strip', 5)], pieces: three }), 'strip')).to.equal(6)
    // A 2 × 3 beside a 3 × 2 leaves a gap of 3 × 1 that the 1 × 1 could fill; the 5 × 1 must bridge it.
    const pieces = [piece('a', 2, 3), piece('b', 3, 2), piece('c', 5, 1)]
    expect(lengthOn(lay({ cloths: [cloth('strip', 5)], pieces }), 'strip')).to.equal(4)
  })

  it('keeps room between pieces and none to the edges', () => {
    // 4 + 1/4 + 4 = 8 1/4 across; two rows of it 3 + 1/4 + 3 = 6 1/4.
    const pieces = [piece('a', 4, 3, { count: 4 })]
    const just = { id: 'just', width: inches(8.25), count: 1 }
    expect(lengthOn(lay({ gap: inches(1 / 4), cloths: [just], pieces }), 'just')).to.equal(6.25)
    const short = { id: 'short', width: inches(8.125), count: 1 }
    expect(lengthOn(lay({ gap: inches(1 / 4), cloths: [short], pieces }), 'short')).to.equal(12.75)
  })

  it('turns by a quarter only what may be', () => {
    const asked = (turn: 'half' | 'quarter') =>
      lay({ cloths: [cloth('narrow', 5)], pieces: [piece('a', 4, 10), piece('b', 10, 1, { turn })] })
    expect(lengthOn(asked('quarter'), 'narrow')).to.equal(10)
    expect(asked('half').unplaced.map(({ piece: id, why }) => [id, why])).to.deep.equal([['b', 'too-large']])
  })

  it('lies on nothing that is to be avoided, and needs no room to it', () => {
    const place = (x: number, y: number, width: number, height: number) => ({
      x: inches(x),
      y: inches(y),
      width: inches(width),
      height: inches(height),
    })
    const avoiding = (bare: Cloth, ...avoid: readonly AvoidedPlace[]) => ({ ...bare, avoid })
    // 5 in right across come first: 5 + 10 = 15 are used.
    const across = lay({
      cloths: [avoiding(cloth('yardage', 42), place(0, 0, 42, 5))],
      pieces: [piece('outer', 20, 10)],
    })
    expect(lengthOn(across, 'yardage')).to.equal(15)
    // 10 + 1 + 10 = 21 across: one on each side of the seam, though ¼ in belongs between pieces.
    for (const cuts of ['scissors', 'rotary'] as const) {
      const beside = lay({
        cuts,
        gap: inches(1 / 4),
        cloths: [avoiding(cloth('yardage', 21), place(10, 0, 1, 400))],
        pieces: [piece('outer', 10, 10, { count: 2 })],
      })
      expect(lengthOn(beside, 'yardage')).to.equal(10)
    }
    // 4 in stay on each side of the stain: 4 × 10 has room, 5 × 5 has none.
    const square = avoiding(cloth('square', 10, 10), place(4, 4, 2, 2))
    expect(lay({ cloths: [square], pieces: [piece('strip', 4, 10)] }).unplaced).to.deep.equal([])
    expect(lay({ cloths: [square], pieces: [piece('pocket', 5, 5)] }).unplaced).to.deep.equal([
      { piece: 'pocket', copy: 1, why: 'no-room' },
    ])
    // Nothing is left of it at all.
    const ruined = avoiding(cloth('square', 10, 10), place(0, 0, 10, 10))
    expect(lay({ cloths: [ruined], pieces: [piece('tab', 1, 1)] }).unplaced).to.have.length(1)
  })

  it('stays right with twenty places to avoid on each of five cloths', () => {
    const spots = (seed: number): readonly AvoidedPlace[] =>
      Array.from({ length: 20 }, (_, at) => ({
        x: inches((7 * at + 3 * seed) % 40),
        y: inches((11 * at + 5 * seed) % 58),
        width: inches(1 + (at % 3)),
        height: inches(1 + (at % 2)),
      }))
    for (const cuts of ['scissors', 'rotary'] as const) {
      const asked = request({
        cuts,
        gap: inches(1 / 4),
        cloths: [1, 2, 3, 4, 5].map(seed => ({ ...cloth(`cloth ${seed}`, 42, 60), avoid: spots(seed) })),
        pieces: [
          piece('outer', 17, 11, { count: 2 }),
          piece('flap', 7, 11, { count: 6, turn: 'quarter' }),
          piece('pocket', 5, 6, { count: 12, turn: 'half' }),
        ],
      })
      let layouts = 0
      for (const layout of nesting(asked)) {
        if (!layout) continue
        expect(faultsOf(layout, asked)).to.deep.equal([])
        if ((layouts += 1) === 20) break
      }
      expect(layouts).to.be.at.least(1)
    }
  })

  it('flows round what is pinned', () => {
    const pin = { cloth: 'yardage', sheet: 1, x: inches(16), y: inches(2), turned: false }
    const layout = lay({ pieces: [piece('motif', 10, 10, { pin }), piece('a', 16, 12, { count: 2 })] })
    // 16 at the left of the pin at 16, and 42 − 26 = 16 at its right: all within 12.
    expect(lengthOn(layout, 'yardage')).to.equal(12)
    expect(layout.placements.find(({ piece: id }) => id === 'motif')).to.include({ x: pin.x, y: pin.y })
  })
})

/** The first layout, if it comes within twenty turns. */
function atOnce(asked: LayoutRequest): Layout | undefined {
  let turns = 0
  for (const layout of nesting(asked)) {
    if (layout) return layout
    if ((turns += 1) > 20) return undefined
  }
  return undefined
}

describe('several cloths', () => {
  const quarters = cloth('quarter', 18, 21, 3)
  const yardage = cloth('yardage', 42)

  it('does with the cut ones where they suffice, and with as few as will do', () => {
    const layout = lay({ cloths: [yardage, quarters], pieces: [piece('a', 9, 10, { count: 8 })] })
    // Four of 9 × 10 go on an 18 × 21.
    expect(sheetsUsed(layout)).to.deep.equal(['quarter 1', 'quarter 2'])
    expect(layout.unplaced).to.deep.equal([])
  })

  it('takes the rest off the endless one, as little of it as will do', () => {
    const layout = lay({ cloths: [yardage, quarters], pieces: [piece('a', 9, 10, { count: 16 })] })
    // Twelve on the quarters, four beside each other on 42 in.
    expect(sheetsUsed(layout)).to.deep.equal(['yardage 1', 'quarter 1', 'quarter 2', 'quarter 3'])
    expect(lengthOn(layout, 'yardage')).to.equal(10)
  })

  it('chooses the endless cloth that comes out shortest', () => {
    const layout = lay({ cloths: [yardage, cloth('wide', 60)], pieces: [piece('a', 20, 10, { count: 3 })] })
    expect(sheetsUsed(layout)).to.deep.equal(['wide 1'])
    expect(lengthOn(layout, 'wide')).to.equal(10)
  })

  it('lays what it can where there is too little, and names the rest', () => {
    const layout = lay({ cloths: [quarters], pieces: [piece('a', 9, 10, { count: 13 })] })
    expect(layout.placements).to.have.length(12)
    expect(layout.unplaced.map(({ why }) => why)).to.deep.equal(['no-room'])
  })

  it('says by how much a piece is too large, of the cloth that it comes nearest to', () => {
    const [left] = lay({ cloths: [quarters, cloth('card', 12, 12)], pieces: [piece('a', 20, 22)] }).unplaced
    expect(left).to.deep.include({
      why: 'too-large',
      over: { cloth: 'quarter', width: inches(2), length: inches(1) },
    })
  })

  it('has something to show at once, however hard it is to say whether the cut ones suffice', () => {
    // 300 of 5 × 7 and a little more: 32 quarters have the area, but nine at most go on each, 288.
    const asked = request({
      cloths: [yardage, cloth('quarter', 18, 21, 32)],
      pieces: [piece('a', 5, 7, { count: 150 }), piece('b', 5, 7.125, { count: 150 })],
    })
    const first = atOnce(asked)
    expect(first?.placements).to.have.length(300)
    const onlyCut = request({ ...asked, cloths: asked.cloths.slice(1) })
    const most = atOnce(onlyCut)
    // Six go on each whatever the mix: 32 · 6.
    expect(most?.placements.length).to.be.at.least(192)
  })

  it('lays a thousand pieces', () => {
    const pieces = Array.from({ length: 250 }, (_, index) =>
      piece(`p${index}`, 2 + (index % 9), 3 + (index % 7), {
        count: 4,
        turn: index % 2 ? 'quarter' : 'none',
      }),
    )
    const asked = request({ pieces, budgetMs: 20 })
    expect(faultsOf(nest(asked, createClock()), asked)).to.deep.equal([])
  })
})

describe('an exhaustive search of small kits', () => {
  it('is never shorter', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ width: fc.integer({ min: 1, max: 5 }), height: fc.integer({ min: 1, max: 5 }) }),
          {
            minLength: 2,
            maxLength: 5,
          },
        ),
        sides => {
          const pieces = sides.map(({ width, height }, index) => piece(`p${index}`, width, height))
          const layout = lay({ cloths: [cloth('strip', 6)], pieces, budgetMs: 400 })
          expect(lengthOn(layout, 'strip')).to.equal(shortestByTryingAll(6, sides))
        },
      ),
      { numRuns: 60 },
    )
  })
})

interface Sides {
  readonly width: number
  readonly height: number
}

/** Every piece at every whole place, by ever longer strips; for sides in whole inches only. */
function shortestByTryingAll(width: number, sides: readonly Sides[]): number {
  for (let length = 1; ; length += 1) if (canLay(width, length, sides, [])) return length
}

type Box = Sides & { readonly x: number; readonly y: number }

function canLay(width: number, length: number, sides: readonly Sides[], laid: readonly Box[]): boolean {
  const next = sides[laid.length]
  if (!next) return true
  for (let x = 0; x + next.width <= width; x += 1)
    for (let y = 0; y + next.height <= length; y += 1) {
      const box = { ...next, x, y }
      if (laid.every(other => isApart(box, other)) && canLay(width, length, sides, [...laid, box]))
        return true
    }
  return false
}

function isApart(one: Box, other: Box): boolean {
  return (
    one.x + one.width <= other.x ||
    other.x + other.width <= one.x ||
    one.y + one.height <= other.y ||
    other.y + other.height <= one.y
  )
}

describe('the order of cuts', () => {
  it('frees every piece once, each cut within what is in hand', () => {
    fc.assert(
      fc.property(anyRequest, asked => {
        const layout = nest({ ...asked, cuts: 'rotary' }, createClock())
        const steps = orderCuts(layout, noLength)
        if (!steps) throw new Error('A layout for the ruler cannot be cut')
        const freed = steps.flatMap(({ frees }) => frees.map(({ piece: id, copy }) => `${id} ${copy}`))
        expect(new Set(freed).size).to.equal(freed.length)
        for (const { at, part, direction } of steps)
          expect(at).to.be.within(1, (direction === 'across' ? part.height : part.width) - 1)
      }),
      { numRuns: 60 },
    )
  })

  it('cuts the larger part first', () => {
    const layout = lay({
      cuts: 'rotary',
      cloths: [cloth('card', 12, 10)],
      pieces: [piece('large', 8, 10), piece('small', 4, 5, { count: 2 })],
    })
    const steps = orderCuts(layout, noLength) ?? []
    expect(steps.map(({ direction, at }) => [direction, toInches(at)])).to.deep.equal([
      [
        'along',
        toInches(layout.placements.find(({ piece: id }) => id === 'large')?.x === 0 ? inches(8) : inches(4)),
      ],
      ['across', 5],
    ])
    expect(steps[0]?.frees).to.deep.equal([{ piece: 'large', copy: 1 }])
  })

  it('takes off first what is not needed, in one', () => {
    const layout = lay({ cuts: 'rotary', cloths: [cloth('card', 12, 20)], pieces: [piece('a', 12, 5)] })
    // 5 of the 20 long: one cut across at 5, and the piece is free.
    expect(orderCuts(layout, () => inches(20))).to.deep.equal([
      {
        cloth: 'card',
        sheet: 1,
        part: { x: 0, y: 0, width: inches(12), height: inches(20) },
        direction: 'across',
        at: inches(5),
        frees: [{ piece: 'a', copy: 1 }],
      },
    ])
  })

  it('needs no cut where a piece is the whole cloth', () => {
    const layout = lay({ cuts: 'rotary', cloths: [cloth('card', 8, 10)], pieces: [piece('a', 8, 10)] })
    expect(orderCuts(layout, noLength)).to.deep.equal([])
    expect(layout.used[0]?.length).to.equal(inches(10))
  })
})
