import { normalQuantile } from './believe.js'
import type { MakeRecord } from './make-record.js'

/** Makes that were foretold alike, and how many of them fitted. */
export interface CalibrationGroup {
  readonly foretold: number
  readonly came: number
  readonly low: number
  readonly high: number
  readonly makes: number
}

/** How well chances were foretold. */
export interface Calibration {
  readonly makes: number
  /** The mean of the squared differences, 0 to 1; absent without makes. */
  readonly brier?: number
  readonly groups: readonly CalibrationGroup[]
}

const mostGroups = 10
const leastInGroup = 10

/** Chances against what came of them, in at most ten groups of at least ten makes, from the lowest chance up. */
export function calibrate(makes: readonly MakeRecord[], level: number): Calibration {
  const told = makes
    .flatMap(({ id, chance, fit }) =>
      chance === undefined || fit === undefined ? [] : [{ id, chance, came: fit ? 1 : 0 }],
    )
    .sort((one, other) => one.chance - other.chance || (one.id < other.id ? -1 : 1))
  if (told.length === 0) return { makes: 0, groups: [] }
  const brier = told.reduce((sum, { chance, came }) => sum + (chance - came) ** 2, 0) / told.length
  const many = Math.min(mostGroups, Math.floor(told.length / leastInGroup))
  const cut = (group: number) => Math.round((group * told.length) / many)
  const groups = Array.from({ length: many }, (_, group) => {
    const members = told.slice(cut(group), cut(group + 1))
    const mean = (of: (one: (typeof told)[number]) => number) =>
      members.reduce((sum, one) => sum + of(one), 0) / members.length
    const came = mean(one => one.came)
    return {
      foretold: mean(({ chance }) => chance),
      came,
      ...wilson(came, members.length, level),
      makes: members.length,
    }
  })
  return { makes: told.length, brier, groups }
}

/**
 * The interval of a share that was seen so many times. Source: E. B. Wilson, Probable inference, the law of succession,
 * and statistical inference, 1927.
 */
export function wilson(
  share: number,
  many: number,
  level: number,
): { readonly low: number; readonly high: number } {
  const z = normalQuantile(1 - (1 - level) / 2)
  const middle = (share + z ** 2 / (2 * many)) / (1 + z ** 2 / many)
  const reach = (z / (1 + z ** 2 / many)) * Math.sqrt((share * (1 - share)) / many + z ** 2 / (4 * many ** 2))
  return { low: Math.max(0, middle - reach), high: Math.min(1, middle + reach) }
}
