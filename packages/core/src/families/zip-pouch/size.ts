import { judgeFit, finishedFromCut, type Fit } from '../../fit/fit.js'
import { neededAcrossPouch, neededDownPouch } from '../../fit/needed.js'
import { pouchBands } from '../../fit/verdict.js'
import { add, scale, type Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { because, less } from '../../piece/reason.js'
import type { Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, outerSides, settleNeed, sewnEdges } from '../sized.js'
import { deviceEase, deviceMeasures, deviceOf } from '../device.js'
import type { ResolvedOptions, ZipPouchOptions } from './options.js'

export interface Wall {
  readonly bulk: Length
  readonly turnedEdge: Length
  readonly width: Side
  readonly height: Side
  readonly fitWidth: Fit
  readonly fitHeight: Fit
}

/** Closed at the top by a zip that adds half of what shows of it to each wall. Source: docs/craft.md, Zip pouch. */
export function sizeWall(job: Job<ZipPouchOptions>, { zipExposed }: ResolvedOptions): Wall {
  const { object, stack, seam } = job
  const device = deviceOf(object, job.inside)
  const bulk = standOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const needed = {
    width: settleNeed(job, 'width', neededAcrossPouch(device, bulk)),
    height: settleNeed(job, 'height', neededDownPouch(device, bulk, 'closed')),
  }
  const shows = scale(zipExposed, 1 / 2)
  const ease = easesOf(job, deviceEase)
  const edges = sewnEdges(seam, turnedEdge)
  const { width, height } = outerSides(job, {
    computed: {
      width: [...needed.width, ...because('ease', ease.width), ...edges],
      height: [
        ...needed.height,
        ...because('ease', ease.height),
        ...edges,
        ...less('half of what shows of the zip', shows),
      ],
    },
    ruled: sizing => byRule(deviceMeasures(device), sizing),
  })
  const judge = (direction: 'width' | 'height', finished: Length) =>
    judgeFit(direction, { needed: needed[direction], finished }, stack, pouchBands)
  return {
    bulk,
    turnedEdge,
    width,
    height,
    fitWidth: judge('width', finishedFromCut(width.cut, seam, turnedEdge)),
    fitHeight: judge('height', add(finishedFromCut(height.cut, seam, turnedEdge), shows)),
  }
}
