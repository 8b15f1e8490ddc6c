import { toMm } from '../length/length.js'
import { customary } from '../length/unit.js'
import type { Draft } from '../make/draft.js'
import { rates, sewingMinutes } from '../make/minutes.js'
import { holdForSeam } from '../make/single-layer.js'
import type { ExtraWork } from './contract.js'

type AnyWork = ExtraWork<unknown>

export const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1)
const spoken = (id: string): string => id.replaceAll('-', ' ')

/** “2 in from the left, 1 ½ in from the foot”, or the notes that an extra has of its place. */
export function sayPlace({ placed, notes, say }: AnyWork): string {
  if (placed) return `${say(placed.x)} from its left edge and ${say(placed.y)} from its lower edge`
  const [note] = notes
  return note ? `${note.label} ${say(note.length)}` : 'in the middle'
}

/** Held by the seam that catches it; where none does, stitched or glued to the edge that is closed over it. */
export function hold(
  work: AnyWork,
  what: {
    readonly id: string
    readonly what: string
    readonly where?: string
    readonly pieces?: readonly string[]
    readonly notions?: readonly string[]
    readonly lengthMm: number
  },
): Draft {
  const { carrier, say, unit, traits, held } = work
  const where = what.where ?? `(${sayPlace(work)})`
  if (held === 'seam') return holdForSeam(work, { ...what, where, carrier })
  const { id, pieces = [], notions = [], lengthMm } = what
  const half = say(customary(1 / 2, unit))
  const glued = traits.includes('glued')
  return {
    id,
    kind: 'attach',
    place: glued ? 'glue' : 'machine',
    minutes: glued ? rates.turnInCorner * 2 : sewingMinutes(lengthMm + 80),
    ...(!glued && { stitchedMm: lengthMm + 80 }),
    name: `Fasten ${what.what}`,
    does: glued
      ? `Glue ${half} of each end to the inside of its board, ${where}; what is glued in later covers it.`
      : `With the end opened out, stitch ${what.what} in a small box ${half} inside the fold, ${where}, through the outer and not through what folds over it.`,
    why: 'Once the edge is closed nothing can be stitched behind it.',
    pieces: [...pieces, carrier],
    notions,
    face: glued ? 'inside' : 'outside',
    tools: glued ? ['brush'] : ['sewing machine'],
    cautions: [glued ? 'glue' : 'needles'],
    check: {
      ask: 'Is it at the same height on both sides, the right side out and not twisted?',
      ifNot: glued ? 'Peel it off while it is damp.' : 'Unpick the box and move it.',
      cost: 'cheap',
    },
    goes: 'to-the-edge',
  }
}

/** Stitched, or glued, to the right side of what carries it while that is a single layer. */
export function sewOn(
  work: AnyWork,
  {
    id,
    what,
    aroundMm,
    pieces,
    notions = [],
    does,
    ask,
    needs,
  }: {
    readonly id: string
    readonly what: string
    readonly aroundMm: number
    readonly pieces: readonly string[]
    readonly notions?: readonly string[]
    readonly does: string
    readonly ask: string
    readonly needs?: readonly string[]
  },
): Draft {
  const { carrier, traits } = work
  const glued = traits.includes('glued') && !traits.includes('boards')
  return {
    id,
    kind: 'attach',
    place: glued ? 'glue' : 'machine',
    minutes: glued ? rates.smoothing : sewingMinutes(aroundMm, 2),
    ...(!glued && { stitchedMm: aroundMm }),
    name: `${glued ? 'Glue' : 'Sew'} ${what} on`,
    does: glued ? `${does} Glue it on thinly.` : does,
    why: `On the ${spoken(carrier)} alone: later the needle would go through everything.`,
    pieces: [...pieces, carrier],
    notions,
    face: 'right side',
    tools: glued ? ['brush'] : ['sewing machine'],
    cautions: [glued ? 'glue' : 'needles'],
    check: { ask, ifNot: 'Take the stitches out before anything lies over them.', cost: 'costly' },
    on: { piece: carrier, stage: 'dress' },
    ...(needs && { needs }),
  }
}

/** Set on the closed cover, its place taken off the real thing. */
export function setHardware(
  { traits }: AnyWork,
  draft: Pick<Draft, 'id' | 'minutes' | 'name' | 'does'> &
    Partial<Pick<Draft, 'pieces' | 'notions' | 'measures' | 'cautions' | 'tools' | 'kind' | 'needs'>>,
): Draft {
  return {
    kind: 'set',
    place: 'hand',
    why: 'Hardware comes last: only the closed thing says where it belongs.',
    tools: ['awl', 'pencil'],
    cautions: ['small-parts'],
    pieces: ['outer'],
    check: {
      ask: `With the ${traits.includes('device') ? 'device' : 'book'} in and closed, does the mark lie where it will close, and is no flap or pocket behind it?`,
      ifNot: 'Mark again: there is no hole yet.',
      cost: 'too-late',
    },
    gate: true,
    goes: 'after-the-last',
    ...draft,
  }
}

/** The first of its notions that is of a kind. */
export function ownNotion({ ownNotions }: AnyWork, kind: string) {
  return ownNotions.find(notion => notion.kind === kind)
}

/** How long a notion is, in millimetres; 0 for what is only counted. */
export function notionMm(work: AnyWork, kind: string): number {
  const length = ownNotion(work, kind)?.length
  return length ? toMm(length.cut) : 0
}
