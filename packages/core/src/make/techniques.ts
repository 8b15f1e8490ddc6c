import { toMm, type Length } from '../length/length.js'
import { customary } from '../length/unit.js'
import { type Bench } from './bench.js'
import type { Draft } from './draft.js'
import {
  ladderMinutes,
  pinningMinutes,
  pressingMinutes,
  rates,
  sewingMinutes,
  trimmingMinutes,
  turningMinutes,
} from './minutes.js'
import type { StepCheck } from './step.js'

/** The way through which the work is turned. */
export interface Opening {
  /** What it takes out of the seam. */
  readonly length: Length
  readonly where: string
}

/** Sewing right sides together all round but for an opening. */
export function sewRound(
  { say, seam }: Bench,
  {
    id = 'sew-round',
    name,
    pieces,
    aroundMm,
    corners = 4,
    opening,
    joining,
    needs,
  }: {
    readonly id?: string
    readonly name: string
    readonly pieces: readonly string[]
    readonly aroundMm: number
    readonly corners?: number
    readonly opening?: Opening
    readonly joining?: string
    readonly needs?: readonly string[]
  },
): Draft {
  const stitchedMm = aroundMm - (opening ? toMm(opening.length) : 0)
  const gap = opening
    ? ` from one end of the opening (${say(opening.length)}, ${opening.where}) round to the other, back and forth at both ends`
    : ', back and forth at both ends'
  return {
    id,
    kind: 'sew',
    place: 'machine',
    minutes: sewingMinutes(stitchedMm, corners),
    stitchedMm,
    name,
    does: `Sew with ${say(seam)} of seam${gap}. At each corner needle down, foot up, turn. Take pins out before the needle comes to them.`,
    why: 'The finished size is from seam line to seam line: a steady allowance is the fit.',
    pieces,
    face: 'wrong side',
    tools: ['sewing machine', 'clips or pins'],
    cautions: ['needles'],
    turn: 'catches',
    ...(joining && { joining }),
    ...(needs && { needs }),
  }
}

/** Pinning a pile and marking its opening. */
export function layTogether(
  { say }: Bench,
  {
    id,
    name,
    does,
    pieces,
    aroundMm,
    opening,
    needs,
  }: {
    readonly id: string
    readonly name: string
    readonly does: string
    readonly pieces: readonly string[]
    readonly aroundMm: number
    readonly opening?: Opening
    readonly needs?: readonly string[]
  },
): Draft {
  const gap = opening
    ? ` Mark the opening of ${say(opening.length)} ${opening.where} with two pins at each end.`
    : ''
  return {
    id,
    kind: 'baste',
    place: 'table',
    minutes: pinningMinutes(aroundMm),
    name,
    does: does + gap,
    why: 'What is held does not creep under the foot.',
    pieces,
    tools: ['clips or pins'],
    cautions: ['needles'],
    ...(needs && { needs }),
  }
}

/** Clipping corners of a sewn pile and trimming its allowance. */
export function clipCorners(
  { say, unit }: Bench,
  {
    pieces,
    aroundMm,
    corners = 4,
    needs,
  }: {
    readonly pieces: readonly string[]
    readonly aroundMm: number
    readonly corners?: number
    readonly needs: readonly string[]
  },
): Draft {
  return {
    id: 'clip-corners',
    kind: 'clip',
    place: 'table',
    minutes: trimmingMinutes(aroundMm) + corners * rates.clippedCorner,
    name: 'Pins out, trim, clip the corners',
    does: `Take every pin out. Trim the allowance to ${say(customary(1 / 8, unit))} where it is thick, padding back to the stitching. Cut each corner off slantwise, two threads outside the stitches.`,
    why: 'Bulk in a corner keeps it round; a pin left inside is found by a finger.',
    pieces,
    tools: ['scissors'],
    check: {
      ask: 'Are all pins out, and every corner clipped without a cut through the stitches?',
      ifNot: 'Count the pins. Where a stitch was cut, sew over that corner again, a hair further in.',
      cost: 'cheap',
    },
    cautions: ['needles'],
    needs,
  }
}

export function turnOut({
  pieces,
  corners = 4,
  needs,
  through,
}: {
  readonly pieces: readonly string[]
  readonly corners?: number
  readonly needs: readonly string[]
  readonly through: string
}): Draft {
  return {
    id: 'turn-out',
    kind: 'turn',
    place: 'table',
    minutes: turningMinutes(corners),
    name: 'Turn right side out',
    does: `Pull it through ${through}. Push the corners out from inside with a blunt stick; roll the seam between finger and thumb until it lies on the edge.`,
    why: 'A sharp stick goes through the cloth.',
    pieces,
    face: 'right side',
    tools: ['blunt stick'],
    needs,
  }
}

export function pressTurned(pieces: readonly string[], aroundMm: number, needs: readonly string[]): Draft {
  return {
    id: 'press-turned',
    kind: 'press',
    place: 'iron',
    minutes: pressingMinutes(aroundMm),
    name: 'Press',
    does: 'Press all edges flat, the lining a thread inside. Press the allowance of the opening in along the seam line.',
    why: 'Edges that are pressed first are stitched straight.',
    pieces,
    tools: ['iron'],
    cautions: ['hot-iron'],
    needs,
  }
}

/** Closing the opening: by the edge-stitch that goes all round, or with a ladder stitch. */
export function closeOpening(
  { say, unit, hands }: Bench,
  {
    pieces,
    aroundMm,
    opening,
    needs,
    why = 'It closes the opening and keeps the edge flat.',
  }: {
    readonly pieces: readonly string[]
    readonly aroundMm: number
    readonly opening: Opening
    readonly needs: readonly string[]
    readonly why?: string
  },
): Draft {
  const byHand = hands.close === 'hand'
  const edge = say(customary(1 / 8, unit))
  const shared = { id: 'close-opening', pieces, needs, turn: 'last' } as const
  if (byHand)
    return {
      ...shared,
      kind: 'hand-sew',
      place: 'hand',
      minutes: ladderMinutes(toMm(opening.length)),
      name: 'Close the opening with a ladder stitch',
      does: `Ladder-stitch ${say(opening.length)} ${opening.where}, the thread hidden in both folds; knot it inside.`,
      why: 'No stitch shows.',
      tools: ['needle', 'thread'],
      cautions: ['needles'],
    }
  return {
    ...shared,
    kind: 'topstitch',
    place: 'machine',
    minutes: sewingMinutes(aroundMm, 4),
    stitchedMm: aroundMm,
    name: 'Edge-stitch all round, which closes the opening',
    does: `Stitch ${edge} from the edge all round, slowly over the flaps’ ends; the opening’s allowance lies inside.`,
    why,
    tools: ['sewing machine'],
    cautions: ['needles'],
  }
}

/** Trying the thing in while the seam can still be moved. */
export function tryIn(
  thing: string,
  {
    id = 'try-in',
    does,
    needs,
    check,
    pieces,
  }: {
    readonly id?: string
    readonly does: string
    readonly needs: readonly string[]
    readonly pieces: readonly string[]
    readonly check: StepCheck
  },
): Draft {
  return {
    id,
    kind: 'try-in',
    place: 'table',
    minutes: rates.tryingIn,
    name: `Try the ${thing} in`,
    does,
    why: 'After this the seam cannot be moved any more.',
    pieces,
    check,
    gate: true,
    cautions: ['stiff-spine'],
    needs,
  }
}

/** A look at sides and directions before the seam that closes. */
export function lookAtSides({
  ask,
  needs,
  pieces,
}: {
  readonly ask: string
  readonly needs: readonly string[]
  readonly pieces: readonly string[]
}): Draft {
  return {
    id: 'check-sides',
    kind: 'inspect',
    place: 'table',
    minutes: rates.inspecting,
    name: 'Look at sides and directions',
    does: 'Go once round the pile, edge by edge, before the seam shuts it in.',
    why: 'A flap on the wrong side or a pocket upside down is found here for nothing.',
    pieces,
    check: {
      ask,
      ifNot: 'Take out the clips and lay it right: nothing is sewn yet.',
      cost: 'cheap',
    },
    gate: true,
    turn: 'looks',
    needs,
  }
}

/** A step that ends the work. */
export function finish({
  id = 'finish',
  does,
  needs,
  pieces,
  notions = [],
  check,
}: {
  readonly id?: string
  readonly does: string
  readonly needs: readonly string[]
  readonly pieces: readonly string[]
  readonly notions?: readonly string[]
  readonly check: StepCheck
}): Draft {
  return {
    id,
    kind: 'finish',
    place: 'table',
    minutes: rates.inspecting,
    name: 'Look it over',
    does,
    why: 'What one sees now is quick to mend, and worth writing down.',
    pieces,
    notions,
    check,
    goes: 'after-the-last',
    needs,
  }
}
