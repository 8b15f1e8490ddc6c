import type { Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { checkFlapDepth, checkTurningOpening } from '../../fit/flap-checks.js'
import { checkWidthKnown, flapJobOf } from '../book.js'
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
    ...checkFlapDepth(flapJobOf(job), depth),
    ...checkWidthKnown(job.object),
    ...checkTurningOpening(job, { finished: fitWidth.finished, depth, wanted }),
  ]
}
