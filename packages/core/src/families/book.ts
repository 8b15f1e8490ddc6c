import type { RuleMeasure } from '../fit/sizing.js'
import { add, mm, scale, subtract, zero, type Length } from '../length/length.js'
import { layerOf, outerOf, type Stack } from '../material/layer.js'
import { turnOfCloth } from '../material/stand-off.js'
import {
  deriveBoard,
  deriveInnerWidth,
  deriveSpineArc,
  deriveThickness,
  deriveWrap,
} from '../object/derive.js'
import { largestReading, type CoveredObject } from '../object/reading.js'
import type { FlapStyle } from '../piece/flap.js'
import { because, type Reason } from '../piece/reason.js'
import { plyOf, type Ply, type Section } from './section.js'
import type { BothWays } from './sized.js'
import type { Panel } from './strip.js'

/** Target ease of covers for books, both ways. Source: docs/craft.md, Ease and verdict. */
export const bookEase = mm(5)

export function defaultBookEase() {
  return { width: bookEase, height: bookEase }
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
    plies: stack.map(plyOf),
    ...(flap && { flap }),
  }
}

/** The plies of a flap that is sewn on: cloth doubled, or faced with lining. */
export function sewnFlapPlies(stack: Stack, style: FlapStyle): readonly Ply[] {
  const outer = plyOf(outerOf(stack))
  if (style === 'folded') return [outer, outer]
  const lining = layerOf(stack, 'lining')
  return [...(lining ? [plyOf(lining)] : []), outer]
}
