import { findingWhen, type Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { checkFlapDepth } from '../../fit/flap-checks.js'
import { roundDownToGrid } from '../../length/grid.js'
import { add, longest, scale, shortest, subtract, zero } from '../../length/length.js'
import { deriveThickness, deriveWrap } from '../../object/derive.js'
import { largestReading, smallestReading } from '../../object/reading.js'
import { totalOf } from '../../piece/reason.js'
import { checkWidthKnown, flapJobOf, thicknessOf } from '../book.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, ZipAroundOptions } from './options.js'
import type { Body } from './size.js'

/** Source: docs/craft.md, Zip-around cover. */
export function checkZipAround(
  job: Job<ZipAroundOptions>,
  body: Body,
  options: ResolvedOptions,
): readonly Finding[] {
  const { object } = job
  return [
    ...checkFit(body.fitWidth),
    ...checkFit(body.fitHeight),
    ...checkFlapDepth(flapJobOf(job), options.flapDepth),
    ...checkWidthKnown(object),
    ...checkCorners(job, body, options),
    ...findingWhen(
      deriveThickness(object) === undefined,
      'thickness-unknown',
      'reading:thickness',
      { assumed: thicknessOf(object) },
      { kind: 'measure', reading: 'thickness' },
    ),
  ]
}

/** A corner rounded by r_c comes 0.29·(r_c − the thing’s own radius) nearer than a square one. */
const cornerShare = 0.29

function checkCorners(
  { object, grid }: Job<ZipAroundOptions>,
  { fitWidth, fitHeight }: Body,
  { cornerRadius }: ResolvedOptions,
): readonly Finding[] {
  const own = smallestReading(object, 'cornerRadius') ?? zero
  const wanted = scale(longest(zero, subtract(cornerRadius, own)), cornerShare)
  const clear = shortest(
    scale(subtract(fitHeight.finished, largestReading(object, 'height') ?? zero), 1 / 2),
    scale(subtract(fitWidth.finished, totalOf(deriveWrap(object) ?? [])), 1 / 2),
  )
  const largest = roundDownToGrid(add(own, scale(clear, 1 / cornerShare)), grid)
  return findingWhen(
    clear < wanted,
    'corner-pinches',
    'option:cornerRadius',
    { clear, wanted, largest },
    largest > zero
      ? { kind: 'set-option', option: 'cornerRadius', name: 'corner radius', length: largest }
      : undefined,
  )
}
