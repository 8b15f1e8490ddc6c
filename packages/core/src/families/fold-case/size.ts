import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { openTopBands, pouchBands } from '../../fit/verdict.js'
import { add, scale, zero, type Length } from '../../length/length.js'
import { layerOf } from '../../material/layer.js'
import { standOff, turnedEdgeLoss, turnOfCloth } from '../../material/stand-off.js'
import {
  because,
  becauseOfBulk,
  becauseRead,
  becauseTried,
  times,
  twice,
  type Reason,
} from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, sewnEdges } from '../sized.js'
import { deviceEase, deviceMeasures, deviceOf } from '../device.js'
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
  const { stack, seam, grid } = job
  const bulk = standOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const needed = neededFor(job, bulk)
  const cut = cutReasons(job, needed, turnedEdge)
  const width = sideRoundedUp(cut.width, grid)
  const length = sideRoundedUp(cut.length, grid)
  return {
    bulk,
    turnedEdge,
    width,
    length,
    fitWidth: judgeFit(
      'width',
      { needed: needed.width, finished: finishedFromCut(width.cut, seam, turnedEdge) },
      stack,
      pouchBands,
    ),
    fitLength: judgeFit(
      'height',
      { needed: needed.length, finished: finishedFromCut(length.cut, seam, turnedEdge) },
      stack,
      openTopBands,
      { parts: 2 },
    ),
  }
}

interface Reasons {
  readonly width: readonly Reason[]
  readonly length: readonly Reason[]
}

/** need_w = W + T + π·(s + s_p)/2, the pocket with s_p = 1.5·t_lining; need_l = 2·(H + T/2) + T + π·s. */
function neededFor({ object, stack, inside, told }: Job<FoldCaseOptions>, bulk: Length): Reasons {
  const device = deviceOf(object, inside)
  const pocket = scale(layerOf(stack, 'lining')?.thickness ?? zero, 1.5)
  return {
    width: [
      ...becauseRead('width of the device', 'width', device.width),
      ...device.thick('its thickness'),
      ...becauseOfBulk(
        'bulk of case and pocket round the sides',
        turnOfCloth(scale(add(bulk, pocket), 1 / 2)),
      ),
      ...becauseTried(told.width),
    ],
    length: [
      ...becauseRead('height of the device, twice', 'height', device.height, 2),
      ...device.thick('half its thickness at each end'),
      ...device.thick('its thickness at the fold'),
      ...becauseOfBulk('bulk round the fold', turnOfCloth(bulk)),
      ...becauseTried(told.height === undefined ? undefined : scale(told.height, 2)),
    ],
  }
}

function cutReasons(
  { object, sizing, seam }: Job<FoldCaseOptions>,
  needed: Reasons,
  turnedEdge: Length,
): Reasons {
  if (sizing.mode === 'rule') {
    const device = deviceOf(object, zero)
    return {
      width: byRule(deviceMeasures(device), sizing).width,
      length: [
        ...times(2, 'height of the device, twice', device.height),
        ...twice('added by the rule', sizing.addHeight),
      ],
    }
  }
  const edges = sewnEdges(seam, turnedEdge)
  const ease = easesOf(sizing, deviceEase)
  return {
    width: [...needed.width, ...because('ease', ease.width), ...edges],
    length: [...needed.length, ...twice('ease of each half', ease.height), ...edges],
  }
}
