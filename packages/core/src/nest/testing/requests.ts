import fc from 'fast-check'
import { inches, zero, type Length } from '../../length/length.js'
import type { AvoidedPlace, Cloth, LayoutPiece, LayoutRequest } from '../request.js'

/** Lengths in whole inches, for sums that can be followed by eye. */
export function piece(
  id: string,
  width: number,
  height: number,
  more: Partial<LayoutPiece> = {},
): LayoutPiece {
  return { id, width: inches(width), height: inches(height), count: 1, turn: 'none', ...more }
}

export function cloth(id: string, width: number, length?: number, count = 1): Cloth {
  return { id, width: inches(width), ...(length !== undefined && { length: inches(length) }), count }
}

export function request(changes: Partial<LayoutRequest>): LayoutRequest {
  return {
    cuts: 'scissors',
    gap: zero,
    budgetMs: 300,
    seed: 1,
    cloths: [cloth('yardage', 42)],
    pieces: [],
    ...changes,
  }
}

const eighth = (least: number, most: number) =>
  fc.integer({ min: least, max: most }).map(count => inches(count / 8))

const anyPiece = fc.record({
  width: eighth(4, 200),
  height: eighth(4, 200),
  count: fc.integer({ min: 1, max: 3 }),
  turn: fc.constantFrom('none' as const, 'half' as const, 'quarter' as const),
})

const anyPlace = fc.record({
  x: eighth(0, 200),
  y: eighth(0, 200),
  width: eighth(1, 80),
  height: eighth(1, 80),
})

/**
 * Anything that may be asked: endless cloth and cut, scissors and rotary, with and without room between, pins, and places
 * to avoid.
 */
export const anyRequest: fc.Arbitrary<LayoutRequest> = fc
  .record({
    cuts: fc.constantFrom('scissors' as const, 'rotary' as const),
    gap: fc.constantFrom(zero, inches(1 / 4)),
    seed: fc.integer({ min: 0, max: 1000 }),
    endless: fc.array(eighth(100, 400), { maxLength: 2 }),
    cut: fc.array(
      fc.record({ width: eighth(60, 250), length: eighth(60, 250), count: fc.integer({ min: 1, max: 3 }) }),
      { maxLength: 3 },
    ),
    pieces: fc.array(anyPiece, { minLength: 1, maxLength: 7 }),
    pinned: fc.boolean(),
    at: fc.tuple(eighth(0, 40), eighth(0, 40)),
    avoided: fc.array(anyPlace, { maxLength: 6 }),
  })
  .filter(({ endless, cut }) => endless.length + cut.length > 0)
  .map(({ cuts, gap, seed, endless, cut, pieces, pinned, at, avoided }) => {
    const bare: readonly Cloth[] = [
      ...endless.map((width, index) => ({ id: `endless ${index}`, width, count: 1 })),
      ...cut.map((sheet, index) => ({ id: `cut ${index}`, ...sheet })),
    ]
    const [first] = bare as readonly [Cloth]
    const pin = { cloth: first.id, sheet: 1, x: at[0], y: at[1], turned: false }
    const fits = (width: Length, height: Length) =>
      at[0] + width <= first.width && at[1] + height <= (first.length ?? Infinity)
    const [toPin] = pieces
    const isPinned = pinned && toPin !== undefined && fits(toPin.width, toPin.height)
    const underPin = ({ x, y, width, height }: AvoidedPlace) =>
      isPinned &&
      x < at[0] + toPin.width &&
      at[0] < x + width &&
      y < at[1] + toPin.height &&
      at[1] < y + height
    // Every other cloth has its bad places, the first so that what is pinned may stay.
    const cloths = bare.map((entry, index) =>
      avoided.length === 0 || index % 2 > 0
        ? entry
        : { ...entry, avoid: avoided.filter(place => entry !== first || !underPin(place)) },
    )
    return {
      cuts,
      gap,
      budgetMs: 20,
      seed,
      cloths,
      pieces: pieces.map((entry, index) => ({
        id: `piece ${index}`,
        ...entry,
        ...(isPinned && index === 0 && { pin }),
      })),
    }
  })
