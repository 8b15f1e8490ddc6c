import { judgeFit, finishedFromCut, type Fit } from '../../fit/fit.js'
import { neededAcrossPouch, neededDownPouch } from '../../fit/needed.js'
import { pouchBands } from '../../fit/verdict.js'
import { add, scale, type Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { because, becauseTried, less, type Reason } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, sewnEdges } from '../sized.js'
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
  const { object, stack, seam, grid, sizing, told } = job
  const device = deviceOf(object, job.inside)
  const bulk = standOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const needed = {
    width: [...neededAcrossPouch(device, bulk), ...becauseTried(told.width)],
    height: [...neededDownPouch(device, bulk, 'closed'), ...becauseTried(told.height)],
  }
  const shows = scale(zipExposed, 1 / 2)
  const ease = easesOf(sizing, deviceEase)
  const cut = (direction: 'width' | 'height'): readonly Reason[] => {
    if (sizing.mode === 'rule') return byRule(deviceMeasures(device), sizing)[direction]
    const zip = direction === 'height' ? less('half of what shows of the zip', shows) : []
    return [...needed[direction], ...because('ease', ease[direction]), ...sewnEdges(seam, turnedEdge), ...zip]
  }
  const width = sideRoundedUp(cut('width'), grid)
  const height = sideRoundedUp(cut('height'), grid)
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
