import { findingWhen, type Finding } from '../finding/finding.js'
import type { Device } from '../fit/needed.js'
import { add, mm, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { wallOf, type Stack } from '../material/layer.js'
import { deriveThickness, isThicknessAssumed } from '../object/derive.js'
import type { EdgeShape } from '../object/kind.js'
import { because, becauseRead, type Reason } from '../piece/reason.js'
import { largestReading, type CoveredObject } from '../object/reading.js'
import type { RequiredReadings } from '../object/required.js'
import type { Suitability } from './contract.js'
import { plyOf, type Closing, type Section } from './section.js'
import type { BothWays } from './sized.js'
import type { Panel, StripArea } from './strip.js'

/** Width along the mouth, height from the mouth down, thickness or what it follows from: what a pouch needs. */
export const deviceReadings: RequiredReadings = [[['height']], [['width']], [['thickness'], ['wrap']]]

/** Target ease of pouches, sleeves and cases for devices. Source: docs/craft.md, Ease and verdict. */
export const deviceEase = { width: mm(8), height: mm(10) }

/** The thing as it goes into a pouch; pockets inside make it thicker. */
export function deviceOf(object: CoveredObject, inside: Length): Device {
  return {
    height: largestReading(object, 'height') ?? zero,
    width: largestReading(object, 'width') ?? zero,
    thickness: add(deriveThickness(object) ?? zero, inside),
    thick: (label, share = 1) => becauseThick(object, inside, label, share),
    rounded: (label, share) => becauseThick(object, zero, label, -roundings[object.edges] * share),
  }
}

/** The radius of a device’s edges as a share of its thickness. Source: docs/craft.md, Fit. */
const roundings: Readonly<Record<EdgeShape, number>> = { square: 0, eased: 1 / 4, round: 1 / 2 }

/** The thickness as a part of a size: as read, what the wrap leaves beside twice the width, or as tablets are. */
function becauseThick(
  object: CoveredObject,
  inside: Length,
  label: string,
  share: number,
): readonly Reason[] {
  if (share === 0) return []
  const read = largestReading(object, 'thickness')
  if (read !== undefined) return becauseRead(label, 'thickness', add(read, inside), share)
  if (isThicknessAssumed(object))
    return becauseRead(
      `${label}, as tablets are`,
      'thickness',
      add(deriveThickness(object) ?? zero, inside),
      share,
    )
  return [
    ...becauseRead(`${label}: the wrap`, 'wrap', largestReading(object, 'wrap') ?? zero, share),
    ...becauseRead('less the width, twice', 'width', largestReading(object, 'width') ?? zero, -2 * share),
    ...because('pockets inside', scale(inside, share)),
  ]
}

/** Whatever goes round a device rests on its thickness: a guess is said. */
export function checkThicknessKnown(object: CoveredObject): readonly Finding[] {
  return findingWhen(
    isThicknessAssumed(object),
    'thickness-assumed',
    'reading:thickness',
    { assumed: deriveThickness(object) ?? zero },
    { kind: 'measure', reading: 'thickness' },
  )
}

/** What a rule for devices adds its amounts to. */
export function deviceMeasures({ width, height }: Device): BothWays<readonly Reason[]> {
  return {
    width: because('width of the device', width),
    height: because('height of the device', height),
  }
}

/** A pouch takes anything flat; a book in daily use rather wants a cover. */
export function suitsPouch(
  object: CoveredObject,
  why: { readonly device: string; readonly book: string },
): Suitability {
  const suits = object.kind === 'tablet' || object.kind === 'notebook' || object.kind === 'planner'
  return { suits, why: object.kind === 'tablet' ? why.device : why.book }
}

/** The device inside its walls, seen from the bottom. */
export function pouchSection(device: Device, stack: Stack, closing: Closing): Section {
  return {
    title: 'The device in its case, seen from below',
    width: device.width,
    thickness: device.thickness,
    board: zero,
    rounded: false,
    device: true,
    closing,
    plies: wallOf(stack).map(plyOf),
  }
}

/** Two walls side by side: the back, and the front as it is seen. */
export function wallPanels(width: Length): readonly Panel[] {
  return [
    { id: 'back', name: 'back', kind: 'wall', side: 'back', width },
    { id: 'front', name: 'front', kind: 'wall', side: 'front', width },
  ]
}

/** The cut edge of each wall, so far outside its seam line at the left, at the right and at the top. */
export function wallCuts(
  width: Length,
  cut: { readonly width: Length; readonly height: Length },
  out: { readonly side: Length; readonly top: Length },
): readonly StripArea[] {
  return [zero, width].map(left => ({
    piece: 'outer',
    at: [subtract(left, out.side), negate(out.top)],
    width: cut.width,
    height: cut.height,
  }))
}
