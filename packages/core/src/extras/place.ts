import { lengthOption, textOption } from '../families/option-fields.js'
import type { FamilyPlan } from '../families/contract.js'
import {
  foldingFlaps,
  placePanels,
  totalWidth,
  type Face,
  type Strip,
  type StripPoint,
} from '../families/strip.js'
import { absolute, add, mm, scale, subtract, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import type { Unit } from '../length/unit.js'
import type { Footprint, Ground } from './contract.js'
import { placeLabels, type Place } from './place-keys.js'

/** The options that say where an extra sits; every cover file may carry them, whether or not they move it. */
export function placeOptions(unit: Unit) {
  const range = { min: zero, max: mm(3000) }
  return {
    on: textOption(60, {
      label: placeLabels.on,
      help: 'The panel or the piece that carries it.',
    }),
    x: lengthOption(unit, range, {
      label: placeLabels.x,
      help: 'As seen from the right side of that piece.',
    }),
    y: lengthOption(unit, range, { label: placeLabels.y, help: 'From the lower edge of that piece.' }),
  }
}

/**
 * The ground of a piece or of a panel, or of the first of `usual` that the cover has. A panel is taken from the side that
 * `face` says; a flap shows its right side inside. Undefined where the cover has none of them.
 */
export function findGround(
  cover: FamilyPlan,
  on: string | undefined,
  usual: readonly string[],
  face: Face = 'outside',
): Ground | undefined {
  for (const id of on === undefined ? usual : [on]) {
    const ground = groundOfPiece(cover, id) ?? groundOfPanel(cover, id, face)
    if (ground) return ground
  }
  return undefined
}

function groundOfPiece({ pieces, strip }: FamilyPlan, id: string): Ground | undefined {
  const piece = pieces.find(known => known.id === id)
  if (!piece) return undefined
  const name = piece.id.replaceAll('-', ' ')
  const flap = placePanels(strip.panels).findLast(({ kind }) => kind === 'flap')
  if (piece.part === 'flap' && flap)
    return {
      ...faceOfFlap(strip),
      name,
      piece: id,
      at: [flap.x, zero],
      width: flap.width,
      height: strip.height,
    }
  const face = piece.role === 'outer' ? 'outside' : 'inside'
  const area = [...strip.cutPieces, ...strip.areas, ...strip.shapes].findLast(
    known => known.piece === piece.id,
  )
  const { at, width, height } = area ?? partFor(piece, strip)
  return { name, piece: id, face, mirrored: face === 'inside', at, width, height }
}

/** The part of the finished strip that a piece makes: all of it, its body, or one wall, whichever it is cut most like. */
function partFor(
  { width: { cut } }: Piece,
  { panels, height }: Strip,
): Pick<Ground, 'at' | 'width' | 'height'> {
  const placed = placePanels(panels)
  const flaps = foldingFlaps(panels)
  const walls = placed.filter(({ kind }) => kind === 'wall')
  const parts = [placed, placed.filter(panel => !flaps.includes(panel)), walls.slice(-1)].flatMap(part => {
    const [first] = part
    return first ? [{ at: [first.x, zero] as const, width: totalWidth(part), height }] : []
  })
  const unlike = (part: { readonly width: Length }) => absolute(subtract(part.width, cut))
  const [whole, ...others] = parts
  return others.reduce(
    (best, part) => (unlike(part) < unlike(best) ? part : best),
    whole ?? { at: [zero, zero], width: zero, height },
  )
}

/** A flap shows its right side inside once it is folded in; opened out on the strip that side is up. */
function faceOfFlap({ panels }: Strip): Pick<Ground, 'face' | 'mirrored'> {
  return { face: 'inside', mirrored: foldingFlaps(panels).length === 0 }
}

function groundOfPanel({ strip, pieces }: FamilyPlan, id: string, face: Face): Ground | undefined {
  const panel = placePanels(strip.panels).find(known => known.id === id)
  if (!panel) return undefined
  const { name, x, width, kind } = panel
  const flap = kind === 'flap' ? pieces.find(({ part }) => part === 'flap') : undefined
  return {
    ...(flap && { piece: flap.id }),
    name,
    ...(kind === 'flap' ? faceOfFlap(strip) : { face, mirrored: face === 'inside' }),
    at: [x, zero],
    width,
    height: strip.height,
  }
}

export interface Size {
  readonly width: Length
  readonly height: Length
}

/** Where something of a size lies on its ground: where it was put, else with its middle at `usual` shares of it. */
export function placeOn(
  ground: Ground,
  { x, y }: Place,
  { width, height }: Size,
  usual: readonly [number, number] = [0.5, 0.5],
): StripPoint {
  const left = x ?? subtract(scale(ground.width, usual[0]), scale(width, 1 / 2))
  const low = y ?? subtract(scale(ground.height, usual[1]), scale(height, 1 / 2))
  const fromLeft = ground.mirrored ? subtract(subtract(ground.width, left), width) : left
  return [add(ground.at[0], fromLeft), add(ground.at[1], subtract(subtract(ground.height, low), height))]
}

/** The footprint of something of a size on its ground. */
export function footprintOn(ground: Ground, at: StripPoint, size: Size): Footprint {
  return { ...size, at, face: ground.face, within: ground }
}
