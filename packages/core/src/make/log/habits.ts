import type { MakeLog, MakeRow } from '../../api/makes.js'
import { toMm } from '../../length/length.js'
import type { Plan } from '../../plan/plan.js'

/** Where a plan departs from how its maker made the last one of its kind. */
export type Departure =
  | {
      readonly kind: 'ease'
      readonly direction: 'width' | 'height'
      readonly nowMm: number
      readonly lastMm: number
    }
  | { readonly kind: 'layer-gone'; readonly layer: string }
  | { readonly kind: 'layer-new'; readonly layer: string }

export interface DepartureFrom {
  readonly cover: string
  readonly finished: string
  readonly departures: readonly Departure[]
}

/** Less of a difference in ease is nobody’s habit. */
const leastMm = 2

/** It fits, and nobody found it tight or slack. */
function wentWell({ fit, wentOn }: MakeLog): boolean {
  return fit !== false && Object.values(wentOn).every(verdict => verdict === 'snug' || verdict === 'easy')
}

/** The last make of the same way of making that went well, and where the plan departs from it; undefined without one. */
export function departuresFrom(
  plan: Plan,
  { family, roles }: { readonly family: string; readonly roles: readonly string[] },
  makes: readonly MakeRow[],
): DepartureFrom | undefined {
  const last = makes
    .filter(({ log }) => log.family === family && wentWell(log))
    .reduce<MakeRow | undefined>(
      (latest, make) => (latest && latest.log.finished >= make.log.finished ? latest : make),
      undefined,
    )
  if (!last) return undefined
  const { easeMm, layers } = last.log.planned
  const eases = plan.fits.flatMap(({ direction, ease, thing }): readonly Departure[] => {
    const lastMm = easeMm[direction]
    const nowMm = toMm(ease)
    return thing > 0 || lastMm === undefined || Math.abs(nowMm - lastMm) < leastMm
      ? []
      : [{ kind: 'ease', direction, nowMm, lastMm }]
  })
  const lastRoles = layers.map(layer => layer.split(':')[0] ?? layer)
  return {
    cover: last.log.name,
    finished: last.log.finished,
    departures: [
      ...eases,
      ...lastRoles
        .filter(role => !roles.includes(role))
        .map(layer => ({ kind: 'layer-gone', layer }) as const),
      ...(lastRoles.length > 0
        ? roles
            .filter(role => !lastRoles.includes(role))
            .map(layer => ({ kind: 'layer-new', layer }) as const)
        : []),
    ],
  }
}
