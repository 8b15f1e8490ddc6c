import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import type { Direction } from '../../finding/finding.js'
import type { Plan } from '../../plan/plan.js'

/** Finished sizes, both ends included. */
export interface Stretch {
  readonly from: Length
  readonly to: Length
}

/** The finished sizes of a cover that serve one thing, by direction; a thing may be served by several stretches. */
export interface SizesThatServe {
  readonly width: readonly Stretch[]
  readonly height: readonly Stretch[]
}

/**
 * Which sizes serve the thing that a cover was planned for alone: from what it is given, ease and all, to where it would
 * be baggy; of an adjustable cover whatever leaves room for its free end. Undefined where size decides nothing: such a
 * cover serves its own thing only. `short` keeps rooms so far from their limits, for what rounding takes.
 */
export function sizesThatServe(plan: Plan, short = zero): SizesThatServe | undefined {
  const width = stretchesIn(plan, 'width', short)
  const height = stretchesIn(plan, 'height', short)
  return width && height && { width, height }
}

function stretchesIn(plan: Plan, direction: Direction, short: Length): readonly Stretch[] | undefined {
  const finished = finishedIn(plan, direction)
  if (finished === undefined) return undefined
  const fit = plan.fits.find(one => one.direction === direction)
  const rooms = (plan.clearances ?? []).filter(one => one.direction === direction)
  if (!fit && rooms.length === 0) return undefined
  const byFit: readonly Stretch[] | undefined = fit && [
    { from: finished, to: add(fit.needed, scale(fit.bands.top, fit.parts)) },
  ]
  return rooms.reduce<readonly Stretch[] | undefined>((known, { room, works, planned = works }) => {
    const stretches = planned.map(({ from, to }) => ({
      from: add(subtract(finished, room), from, short),
      to: to === undefined ? longestEver : subtract(add(subtract(finished, room), to), short),
    }))
    return known ? common(known, stretches) : stretches
  }, byFit)
}

/** More than any cover. */
const longestEver = 1e9 as Length

function common(one: readonly Stretch[], other: readonly Stretch[]): readonly Stretch[] {
  return one.flatMap(a =>
    other.flatMap(b => {
      const from = a.from > b.from ? a.from : b.from
      const to = a.to < b.to ? a.to : b.to
      return from <= to ? [{ from, to }] : []
    }),
  )
}

/** What the outer is once it is sewn; undefined where it is not sewn and turned. */
function finishedIn({ pieces, allowances, fits }: Plan, direction: Direction): Length | undefined {
  const fit = fits.find(one => one.direction === direction)
  if (fit) return fit.finished
  const outer = pieces.find(({ id }) => id === 'outer')
  if (!outer || !allowances) return undefined
  return subtract(outer.trimTo?.[direction] ?? outer[direction].cut, allowances[direction])
}
