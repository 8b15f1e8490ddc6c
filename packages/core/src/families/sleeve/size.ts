import { judgeFit, type Fit } from '../../fit/fit.js'
import { neededAcrossPouch, neededDownPouch } from '../../fit/needed.js'
import { openTopBands, pouchBands } from '../../fit/verdict.js'
import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { beforeQuilting } from '../../piece/quilting.js'
import { because, becauseTried, less, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, sewnEdges } from '../sized.js'
import { deviceEase, deviceMeasures, deviceOf } from '../device.js'
import type { ResolvedOptions, SleeveOptions } from './options.js'

/** One wall: as it is sewn (the lining's size), and as its quilted plies are cut before they are trimmed to it. */
export interface Wall {
  readonly bulk: Length
  readonly turnedEdge: Length
  readonly width: Side
  readonly height: Side
  /** Present where the wall is quilted. */
  readonly panel?: { readonly width: Side; readonly height: Side }
  readonly fitWidth: Fit
  readonly fitHeight: Fit
}

type Direction = 'width' | 'height'

interface Sewn {
  readonly side: Side
  readonly panel?: Side
}

/** Source: docs/craft.md, Sleeve. */
export function sizeWall(job: Job<SleeveOptions>, options: ResolvedOptions): Wall {
  const { object, stack, seam, grid, sizing, unit, told } = job
  const device = deviceOf(object, job.inside)
  const bulk = standOff(stack)
  const turnedEdge = options.edge === 'turned' ? turnedEdgeLoss(stack, seam) : zero
  const takeUp = takeUpOf(job, options)
  const needed = {
    width: [...neededAcrossPouch(device, bulk), ...becauseTried(told.width)],
    height: [...neededDownPouch(device, bulk, 'open'), ...becauseTried(told.height)],
  }
  const sewn = { width: 2, height: options.edge === 'turned' ? 2 : 1 }
  const allowance = (direction: Direction) => scale(add(seam, turnedEdge), sewn[direction])
  const wallOf = (direction: Direction): Sewn => {
    if (sizing.mode === 'computed') {
      const reasons = [
        ...needed[direction],
        ...because('ease', easesOf(sizing, deviceEase)[direction]),
        ...allowances(job, turnedEdge, sewn[direction]),
      ]
      const side = sideRoundedUp(reasons, grid)
      if (!options.quilted) return { side }
      return {
        side,
        panel: sideRoundedUp(
          beforeQuilting(becauseOfCut('lining’s cut', side), takeUp, unit, options.trimAllowance),
          grid,
        ),
      }
    }
    const panel = sideRoundedUp(byRule(deviceMeasures(device), sizing)[direction], grid)
    if (!options.quilted) return { side: panel }
    return { side: sideRoundedUp(afterQuilting(panel, takeUp, options.trimAllowance), grid), panel }
  }
  const [width, height] = [wallOf('width'), wallOf('height')]
  const fit = (direction: Direction, { side, panel }: Sewn) =>
    judgeFit(
      direction,
      {
        needed: needed[direction],
        finished: subtract(side.cut, allowance(direction)),
        making: {
          cutEdges: 2,
          seamLines: sewn[direction],
          foldLines: 0,
          takenUp: panel && options.trimAllowance === zero ? scale(panel.cut, takeUp) : zero,
        },
      },
      stack,
      direction === 'width' ? pouchBands : openTopBands,
    )
  return {
    bulk,
    turnedEdge,
    width: width.side,
    height: height.side,
    ...(width.panel && height.panel && { panel: { width: width.panel, height: height.panel } }),
    fitWidth: fit('width', width),
    fitHeight: fit('height', height),
  }
}

/** By rule the amount gives the quilted panel; the lining is what is left of it: (panel − trim)·(1 − take-up). */
function afterQuilting(panel: Side, takeUp: number, trim: Length): readonly Reason[] {
  const left = subtract(panel.cut, trim)
  return [
    ...becauseOfCut('the quilted panel', panel),
    ...less('room to trim', trim),
    ...less('taken up by the quilting', scale(left, takeUp)),
  ]
}

function allowances({ seam }: Job<SleeveOptions>, turnedEdge: Length, edges: number): readonly Reason[] {
  if (edges === 1) return because('seam at the bottom', seam)
  return sewnEdges(seam, turnedEdge)
}

/** Outer and padding are quilted together and lose what the greedier of them takes. */
function takeUpOf({ stack }: Job<SleeveOptions>, { quilted }: ResolvedOptions): number {
  const plies = stack.filter(layer => (quilted ? layer.role !== 'lining' : layer.quilted))
  return Math.max(0, ...plies.map(({ takeUp }) => takeUp / 100))
}
