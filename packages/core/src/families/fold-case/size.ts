import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { neededAcrossPouch, neededRoundDevice } from '../../fit/needed.js'
import type { RuleSizing } from '../../fit/sizing.js'
import { openTopBands, pouchBands } from '../../fit/verdict.js'
import { add, scale, zero, type Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { because, times, twice, type Reason } from '../../piece/reason.js'
import type { Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { deviceEase, deviceMeasures, deviceOf } from '../device.js'
import { clothOf } from '../../material/cut-from.js'
import { byRule, easesOf, outerSides, settleNeed, sewnEdges, type BothWays } from '../sized.js'
import type { FoldCaseOptions } from './options.js'

export interface Body {
  readonly bulk: Length
  readonly turnedEdge: Length
  readonly width: Side
  readonly length: Side
  readonly fitWidth: Fit
  /** Needed and finished are of the whole length, ease and verdict of one half. */
  readonly fitLength: Fit
}

/** Two halves and the fold between them. Source: docs/craft.md, Fold-over case. */
export function sizeBody(job: Job<FoldCaseOptions>): Body {
  const { stack, seam, reckoning } = job
  const bulk = standOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const needed = neededFor(job, bulk)
  const { width, height: length } = outerSides(job, {
    computed: computedCut(job, needed, turnedEdge),
    ruled: sizing => ruledCut(job, sizing),
  })
  return {
    bulk,
    turnedEdge,
    width,
    length,
    fitWidth: judgeFit(
      'width',
      { needed: needed.width, finished: finishedFromCut(width.cut, seam, turnedEdge) },
      stack,
      reckoning === 'first' ? pouchBands : openTopBands,
    ),
    fitLength: judgeFit(
      'height',
      { needed: needed.height, finished: finishedFromCut(length.cut, seam, turnedEdge) },
      stack,
      openTopBands,
      { parts: 2 },
    ),
  }
}

/** The device in its pocket across, and lengthwise twice over and round the fold. */
function neededFor(job: Job<FoldCaseOptions>, bulk: Length): BothWays<readonly Reason[]> {
  const { object, inside } = job
  const device = deviceOf(object, inside)
  const pocket = scale(clothOf(job, 'pocket', 'lining')?.thickness ?? zero, 1.5)
  return {
    width: settleNeed(job, 'width', neededAcrossPouch(device, scale(add(bulk, pocket), 1 / 2))),
    height: settleNeed(job, 'height', neededRoundDevice(device, bulk), { parts: 2 }),
  }
}

function computedCut(
  job: Job<FoldCaseOptions>,
  needed: BothWays<readonly Reason[]>,
  turnedEdge: Length,
): BothWays<readonly Reason[]> {
  const edges = sewnEdges(job.seam, turnedEdge)
  const ease = easesOf(job, deviceEase)
  return {
    width: [...needed.width, ...because('ease', ease.width), ...edges],
    height: [...needed.height, ...twice('ease of each half', ease.height), ...edges],
  }
}

function ruledCut({ object }: Job<FoldCaseOptions>, sizing: RuleSizing): BothWays<readonly Reason[]> {
  const device = deviceOf(object, zero)
  return {
    width: byRule(deviceMeasures(device), sizing).width,
    height: [
      ...times(2, 'height of the device, twice', device.height),
      ...twice('added by the rule', sizing.addHeight),
    ],
  }
}
