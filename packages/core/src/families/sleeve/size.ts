import { judgeFit, type Fit } from '../../fit/fit.js'
import { neededAcrossPouch, neededDownPouch, type Device } from '../../fit/needed.js'
import { openTopBands, pouchBands } from '../../fit/verdict.js'
import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { quiltedTakeUp, type Stack } from '../../material/layer.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { beforeQuilting } from '../../piece/quilting.js'
import { because, less, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, outerSides, settleNeed, sewnEdges, type BothWays } from '../sized.js'
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
  const { object, seam } = job
  const stack = options.quilted ? quiltedTogether(job.stack) : job.stack
  const device = deviceOf(object, job.inside)
  const bulk = standOff(stack)
  const turnedEdge = options.edge === 'turned' ? turnedEdgeLoss(stack, seam) : zero
  const takeUp = quiltedTakeUp(stack)
  const sewn = { width: 2, height: options.edge === 'turned' ? 2 : 1 }
  const needed = {
    width: settleNeed(job, 'width', neededAcrossPouch(device, bulk), { seams: sewn.width }),
    height: settleNeed(job, 'height', neededDownPouch(device, bulk, 'open'), { seams: sewn.height }),
  }
  const allowance = (direction: Direction) => scale(add(seam, turnedEdge), sewn[direction])
  const walls = sewWalls(job, options, { needed, takeUp, device, turnedEdge, sewn })
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
  const { width, height } = walls
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

/** Outer and padding are quilted together: they take up alike, and neither gives any more. */
function quiltedTogether(stack: Stack): Stack {
  return stack.map(layer =>
    layer.role === 'outer' || layer.role === 'padding' ? { ...layer, quilted: true } : layer,
  )
}

interface WallParts {
  readonly needed: BothWays<readonly Reason[]>
  readonly takeUp: number
  readonly device: Device
  readonly turnedEdge: Length
  readonly sewn: BothWays<number>
}

/** Computed, the quilted panel follows from the lining; by a rule, or as it is cut already, the lining from the panel. */
function sewWalls(
  job: Job<SleeveOptions>,
  { quilted, trimAllowance: trim }: ResolvedOptions,
  { needed, takeUp, device, turnedEdge, sewn }: WallParts,
): BothWays<Sewn> {
  const { sizing, grid, unit } = job
  const ease = easesOf(job, deviceEase)
  const computed = (direction: Direction) => [
    ...needed[direction],
    ...because('ease', ease[direction]),
    ...allowances(job, turnedEdge, sewn[direction]),
  ]
  const outer = outerSides(job, {
    computed: { width: computed('width'), height: computed('height') },
    ruled: rule => byRule(deviceMeasures(device), rule),
  })
  const wallOf = (direction: Direction): Sewn => {
    const side = outer[direction]
    if (!quilted) return { side }
    if (sizing.mode !== 'computed')
      return { side: sideRoundedUp(afterQuilting(side, takeUp, trim), grid), panel: side }
    const reasons = beforeQuilting(becauseOfCut('lining’s cut', side), takeUp, unit, trim)
    return { side, panel: sideRoundedUp(reasons, grid) }
  }
  return { width: wallOf('width'), height: wallOf('height') }
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
