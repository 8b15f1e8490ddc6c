import { wallRoles } from '../material/role.js'
import type { Cover } from '../file/cover.js'
import { refit, type Fit } from '../fit/fit.js'
import { add, longest, subtract, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import { plan, type Plan } from '../plan/plan.js'
import { missingIn, whatIfs } from './kinds.js'
import { fitIn, type Planned, type WhatIf, type WhatIfId } from './what-if.js'

/** What comes of a cover when things go otherwise than planned. */
export interface Outcome {
  /** The same fits as the plan’s, as they then are. */
  readonly fits: readonly Fit[]
  /** By direction, what is lacking for it to go on without stretch; nothing where it does. */
  readonly missing: { readonly width: Length; readonly height: Length }
  /** Pieces that differ from the plan’s: as they lie on the table after the slip, or as they should be cut for it. */
  readonly pieces: readonly PieceChange[]
  /** The plan with these fits, so that its chance can be reckoned. */
  readonly plan: Plan
}

export interface PieceChange {
  readonly id: string
  readonly planned: Piece
  readonly width: Length
  readonly height: Length
  /** `slip`: cut so by mistake. `instead`: cut so, it would come out as planned. */
  readonly why: 'slip' | 'instead'
}

/** Those of the list that can happen to the cover, in the order of the list. */
export function applicable(planned: Planned, ids: readonly WhatIfId[]): readonly WhatIf[] {
  return whatIfs.filter(({ id, cannot }) => ids.includes(id) && cannot(planned) === undefined)
}

/** All of them at once: mistakes in the cut first, then what is really there, then what happens to what was made. */
export function reckonOutcome(planned: Planned, ids: readonly WhatIfId[]): Outcome {
  const happening = applicable(planned, ids)
  const cut = plan(follow(planned.cover, happening, ({ mistaken }) => mistaken))
  const world = plan(follow(planned.cover, happening, ({ really }) => really))
  const fits = planned.plan.fits.map(fit => {
    const made = happening.reduce(
      (finished, { finishes }) => finishes?.(finished, fit, planned) ?? finished,
      subtract(fitIn(cut, fit.direction)?.finished ?? fit.finished, cutOff(fit, planned, happening)),
    )
    const taken = happening.flatMap(({ takesUp }) => (takesUp ? [takesUp(fit, planned)] : []))
    const needed = fitIn(world, fit.direction) ?? fit
    return {
      ...refit({ ...needed, finished: fit.finished, give: fit.give }, { finished: made }),
      making: { ...fit.making, takenUp: taken[0] ?? fit.making.takenUp },
    }
  })
  return {
    fits,
    missing: { width: missingOf(fits, 'width'), height: missingOf(fits, 'height') },
    pieces: [...slips(planned, happening, cut), ...instead(planned, happening)],
    plan: { ...planned.plan, fits },
  }
}

function follow(
  cover: Cover,
  happening: readonly WhatIf[],
  change: (what: WhatIf) => ((cover: Cover) => Cover) | undefined,
): Cover {
  return happening.reduce((followed, what) => change(what)?.(followed) ?? followed, cover)
}

function missingOf(fits: readonly Fit[], direction: 'width' | 'height'): Length {
  const fit = fits.find(candidate => candidate.direction === direction)
  return fit ? missingIn(fit) : zero
}

function cutOff(fit: Fit, planned: Planned, happening: readonly WhatIf[]): Length {
  return add(...happening.map(({ cutsOff }) => cutsOff?.(fit, planned) ?? zero))
}

/** What lies on the table after the slips, all of them together: cut by a mistaken plan, and from that what was cut off. */
function slips(planned: Planned, happening: readonly WhatIf[], cut: Plan): readonly PieceChange[] {
  const short = add(...happening.map(({ everyPiece }) => everyPiece?.(planned) ?? zero))
  const lost = (direction: 'width' | 'height') => {
    const fit = fitIn(planned.plan, direction)
    const forgotten = happening.filter(({ everyPiece }) => !everyPiece)
    return fit ? cutOff(fit, planned, forgotten) : zero
  }
  const [lostWidth, lostHeight] = [lost('width'), lost('height')]
  return planned.plan.pieces.flatMap(piece => {
    const { width, height } = cut.pieces.find(({ id }) => id === piece.id) ?? piece
    const isBody = wallRoles.some(role => role === piece.id)
    const left = (size: Length, off: Length) => longest(zero, subtract(size, add(short, isBody ? off : zero)))
    const [wide, high] = [left(width.cut, lostWidth), left(height.cut, lostHeight)]
    if (wide === piece.width.cut && high === piece.height.cut) return []
    return [{ id: piece.id, planned: piece, width: wide, height: high, why: 'slip' }]
  })
}

/** How the pieces would be cut by somebody who knew. */
function instead(planned: Planned, happening: readonly WhatIf[]): readonly PieceChange[] {
  const knowing = happening.filter(({ really, allowed }) => really ?? allowed)
  if (knowing.length === 0) return []
  const cover = knowing.reduce(
    (followed, { really, allowed }) => allowed?.(followed, planned) ?? really?.(followed) ?? followed,
    planned.cover,
  )
  const { pieces } = plan(cover)
  return planned.plan.pieces.flatMap(piece => {
    const now = pieces.find(({ id }) => id === piece.id)
    if (!now || (now.width.cut === piece.width.cut && now.height.cut === piece.height.cut)) return []
    return [{ id: piece.id, planned: piece, width: now.width.cut, height: now.height.cut, why: 'instead' }]
  })
}
