import { findingWhen, type Finding } from '../finding/finding.js'
import type { FlapJob } from '../fit/flap-checks.js'
import { noSlope, type Slope } from '../fit/needed.js'
import type { RuleMeasure } from '../fit/sizing.js'
import { add, mm, scale, subtract, zero, type Length } from '../length/length.js'
import { layerOf, wallOf, type Stack } from '../material/layer.js'
import { partOfStandOff, turnOfCloth } from '../material/stand-off.js'
import {
  deriveBoard,
  deriveInnerWidth,
  deriveSpineArc,
  deriveThickness,
  deriveWrap,
  isWidthUnknown,
} from '../object/derive.js'
import { largestReading, type CoveredObject } from '../object/reading.js'
import { because, type Reason } from '../piece/reason.js'
import type { Job } from './contract.js'
import { plyOf, type Section } from './section.js'
import type { BothWays } from './sized.js'
import type { Panel } from './strip.js'

/** Target ease of covers for books, both ways. Source: docs/craft.md, Ease and verdict. */
export const bookEase = mm(5)

export function defaultBookEase() {
  return { width: bookEase, height: bookEase }
}

/** Round a book whose folds are set on it: hardly any. */
export function foldedBookEase() {
  return { width: mm(1.5), height: bookEase }
}

/** How padding that ends inside the seam slopes to the edge; all in full where it is caught, or nothing pads. */
export function slopeOfPadding(
  { stack, reckoning }: Pick<Job<unknown>, 'stack' | 'reckoning'>,
  seam: Length,
): Slope {
  const padding = layerOf(stack, 'padding')
  if (!padding || reckoning === 'first' || padding.inset <= seam) return noSlope
  return { padding: partOfStandOff(stack, padding), inside: subtract(padding.inset, seam) }
}

/** What a check of flaps asks of a job. */
export function flapJobOf(job: Pick<Job<unknown>, 'object' | 'old' | 'unit' | 'grid'>): FlapJob {
  const { unit, grid, object } = job
  return { unit, grid, foldsBack: object.foldsBack, board: boardWidthOf(job) }
}

/** What a board’s width that nobody can know lets be wrong. */
export function checkWidthKnown(object: CoveredObject): readonly Finding[] {
  return findingWhen(
    isWidthUnknown(object),
    'width-unknown',
    'reading:width',
    { width: deriveInnerWidth(object) ?? zero },
    { kind: 'measure', reading: 'width' },
  )
}

/** The effective wrap, and what pockets inside make it longer by. */
export function wrapWithPockets(object: CoveredObject, inside: Length): readonly Reason[] {
  return [...(deriveWrap(object) ?? []), ...because('pockets inside', inside)]
}

/** Back, spine and front where the spine is known and leaves room for boards; else the body as one. */
export function bookPanels(object: CoveredObject, finished: Length, bulk: Length): readonly Panel[] {
  const arc = deriveSpineArc(object)
  const spine = arc === undefined ? finished : add(arc, turnOfCloth(bulk))
  const board = scale(subtract(finished, spine), 1 / 2)
  if (board <= zero) return [{ id: 'body', name: 'body', kind: 'body', width: finished }]
  return [
    { id: 'back', name: 'back', kind: 'board', side: 'back', width: board },
    { id: 'spine', name: 'spine', kind: 'spine', width: subtract(finished, scale(board, 2)) },
    { id: 'front', name: 'front', kind: 'board', side: 'front', width: board },
  ]
}

/** What a rule for books adds its amounts to: the open width where it goes by that and it was read, else the wrap. */
export function bookMeasures(object: CoveredObject, measure: RuleMeasure): BothWays<readonly Reason[]> {
  const open = measure === 'open' ? largestReading(object, 'openWidth') : undefined
  return {
    width: open === undefined ? (deriveWrap(object) ?? []) : because('open width of the book', open),
    height: because('height of the book', largestReading(object, 'height') ?? zero),
  }
}

export function flapPanel(side: 'back' | 'front', width: Length): Panel {
  return { id: `${side}-flap`, name: `${side} flap`, kind: 'flap', width }
}

/**
 * The width of one board for what must stay inside it; off an old cover that fits, half of what it is wide. Undefined
 * where neither is known.
 */
export function boardWidthOf({ object, old }: Pick<Job<unknown>, 'object' | 'old'>): Length | undefined {
  const width = deriveInnerWidth(object)
  if (width !== undefined || !old.width) return width
  return scale(subtract(old.width.finished, deriveSpineArc(object) ?? zero), 1 / 2)
}

/** Thickness as read, or what the wrap leaves between the boards; nothing where nobody can know it. */
export function thicknessOf(object: CoveredObject): Length {
  return deriveThickness(object) ?? zero
}

/** As thick, beside its width, as a book is drawn whose thickness nobody can know. */
const usualShare = 0.12

/** The closed book in its cover, seen from the tail. */
export function bookSection(object: CoveredObject, stack: Stack, flap?: Section['flap']): Section {
  const width = largestReading(object, 'width') ?? deriveInnerWidth(object) ?? zero
  const thickness = deriveThickness(object)
  return {
    title: 'The closed book in its cover, seen from the tail',
    width,
    thickness: thickness ?? scale(width, usualShare),
    ...(thickness === undefined && { thicknessUnknown: true as const }),
    board: deriveBoard(object).length,
    rounded: object.spine === 'rounded',
    device: false,
    closing: 'open',
    plies: wallOf(stack).map(plyOf),
    ...(flap && { flap }),
  }
}
