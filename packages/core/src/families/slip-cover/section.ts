import { subtract, zero, type Length } from '../../length/length.js'
import { layerOf, outerOf, type Layer, type Stack } from '../../material/layer.js'
import { pressedThickness } from '../../material/material.js'
import { deriveBoard, deriveInnerWidth, deriveWrap } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { totalOf } from '../../piece/reason.js'
import type { Job } from '../contract.js'
import type { Ply, Section } from '../section.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'

/** The closed book in its cover, seen from the tail. */
export function cutSection(job: Job<SlipCoverOptions>, options: ResolvedOptions): Section {
  const { object, stack } = job
  const width = largestReading(object, 'width') ?? deriveInnerWidth(object) ?? zero
  return {
    width,
    thickness: largestReading(object, 'thickness') ?? spineFromWrap(job, width),
    board: deriveBoard(object).length,
    rounded: object.spine === 'rounded',
    plies: stack.map(plyOf),
    flap: { depth: options.flapDepth, plies: flapPlies(stack, options) },
  }
}

/** What the wrap leaves between the boards where nobody measured the thickness. */
function spineFromWrap({ object }: Job<SlipCoverOptions>, width: Length): Length {
  const left = subtract(totalOf(deriveWrap(object) ?? []), (width * 2) as Length)
  return left > zero ? left : zero
}

function flapPlies(stack: Stack, { flapStyle }: ResolvedOptions): readonly Ply[] {
  const outer = plyOf(outerOf(stack))
  if (flapStyle === 'folded') return [outer, outer]
  const lining = layerOf(stack, 'lining')
  return [...(lining ? [plyOf(lining)] : []), outer]
}

function plyOf(layer: Layer): Ply {
  const { role, name } = layer
  return { role, name, thickness: role === 'outer' ? layer.thickness : pressedThickness(layer) }
}
