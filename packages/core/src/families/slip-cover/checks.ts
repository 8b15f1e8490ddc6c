import type { Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { checkFlapDepth, checkTurningOpening } from '../../fit/flap-checks.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'
import type { Body } from './size.js'

/** What can go wrong with the cover as planned. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function checkSlipCover(
  job: Job<SlipCoverOptions>,
  { fitWidth, fitHeight }: Body,
  { flapDepth: depth, turningOpening: wanted }: ResolvedOptions,
): readonly Finding[] {
  return [
    ...checkFit(fitWidth),
    ...checkFit(fitHeight),
    ...checkFlapDepth(job, depth),
    ...checkTurningOpening(job.grid, { finished: fitWidth.finished, depth, wanted }),
  ]
}
