import { absolute, add, inches, longest, mm, scale, subtract, type Length } from '../length/length.js'
import { totalOf } from '../piece/reason.js'
import { deriveWrapFromSides } from './derive.js'
import { largestReading, readingKeys, type CoveredObject, type Reading, type ReadingKey } from './reading.js'

/**
 * How tapes are misread again and again. `tape-end`: begun at the first mark instead of the end. `eighth`: an eighth
 * read for a sixteenth, or the other way round. `sagging`: the spine read while the leaf block hung down.
 */
export type SlipKind = 'tape-end' | 'eighth' | 'sagging'

/** A reading that would agree with the others if one known slip were put right. */
export interface Slip {
  readonly kind: SlipKind
  readonly reading: ReadingKey
  readonly read: Length
  readonly rather: Length
}

/** How closely a slip must explain a disagreement to be named. */
const close = mm(1.6)

/**
 * The classic slip that explains why readings disagree: those of one measurement among themselves, or the wrap with
 * width and thickness. Undefined where they agree, or no single slip explains it. Source: docs/craft.md, Slips of the tape.
 */
export function findSlip(object: CoveredObject): Slip | undefined {
  return slipAmongReadings(object) ?? slipAgainstWrap(object)
}

function slipAmongReadings({ readings }: CoveredObject): Slip | undefined {
  const found = readingKeys.flatMap(key =>
    pairsOf(readings[key] ?? []).flatMap(([one, other]) =>
      slipsOf(key, one).filter(({ rather }) => apart(rather, other.length) <= mm(0.5)),
    ),
  )
  return found[0]
}

/** Pairs that are further apart than a thing out of square is. */
function pairsOf(taken: readonly Reading[]): readonly (readonly [Reading, Reading])[] {
  return taken.flatMap((one, index) =>
    taken
      .filter((other, place) => place !== index && apart(one.length, other.length) > mm(3))
      .map(other => [one, other] as const),
  )
}

function slipAgainstWrap(object: CoveredObject): Slip | undefined {
  const wrap = largestReading(object, 'wrap')
  const sides = deriveWrapFromSides(object)
  if (wrap === undefined || !sides) return undefined
  const gap = subtract(wrap, totalOf(sides))
  if (absolute(gap) <= longest(mm(3), scale(wrap, 0.015))) return undefined
  const counted = (['wrap', 'width', 'thickness'] as const).flatMap(key => {
    const reading = object.readings[key]?.find(({ length }) => length === largestReading(object, key))
    return reading ? slipsOf(key, reading) : []
  })
  const explained = counted
    .map(slip => ({ slip, left: absolute(subtract(gap, effectOf(slip))) }))
    .filter(({ left }) => left <= close)
    .toSorted((one, other) => one.left - other.left)
  return explained[0]?.slip ?? saggingSpine(object, gap)
}

/** What putting the slip right does to the sides, less what it does to the wrap. */
function effectOf({ reading, read, rather }: Slip): Length {
  const change = subtract(rather, read)
  switch (reading) {
    case 'wrap':
      return subtract(read, rather)
    case 'width':
      return scale(change, 2)
    default:
      return change
  }
}

/** A wrap that is too long for its sides by up to half the spine: the block hung while the spine was read. */
function saggingSpine(object: CoveredObject, gap: Length): Slip | undefined {
  const read = largestReading(object, 'thickness')
  if (read === undefined || gap <= 0 || gap > scale(read, 1 / 2)) return undefined
  return { kind: 'sagging', reading: 'thickness', read, rather: add(read, gap) }
}

function slipsOf(reading: ReadingKey, { text, length: read }: Reading): readonly Slip[] {
  const metric = /[mc]m/.test(text)
  const first = metric ? mm(10) : inches(1)
  const ends = [subtract(read, first), add(read, first)]
  return [
    ...ends.map(rather => ({ kind: 'tape-end', reading, read, rather }) as const),
    ...otherFraction(text).map(
      change => ({ kind: 'eighth', reading, read, rather: add(read, change) }) as const,
    ),
  ]
}

/** What the reading changes by where its fraction is taken in eighths instead of sixteenths, or the other way round. */
function otherFraction(text: string): readonly Length[] {
  const fraction = /(\d+)\/(8|16)(?!\d)/.exec(text)
  if (!fraction) return []
  const [count, parts] = [Number(fraction[1]), Number(fraction[2])]
  return [inches(count / (parts === 8 ? 16 : 8) - count / parts)]
}

function apart(one: Length, other: Length): Length {
  return absolute(subtract(one, other))
}
