import type { Cover } from '../../file/cover.js'
import type { Finding } from '../../finding/finding.js'
import { severityIn } from '../../finding/severities.js'
import { add, clamp, roundTo, scale, subtract, type Length } from '../../length/length.js'
import { plan, type Plan } from '../../plan/plan.js'
import type { Held, SettableSize } from './holds.js'
import { setOn } from './setting.js'

/** Why a setting goes no further: a finding, or the end of what can be set at all. */
export type Stop =
  { readonly kind: 'range'; readonly end: Length } | { readonly kind: 'finding'; readonly finding: Finding }

export interface Pulled {
  readonly length: Length
  /** What is in the way of what was wanted; absent where that is what it came to. */
  readonly stop?: Stop
}

/**
 * As near to `wanted` as a setting can go, on marks of `division`: never out of its range, nor to where the cover could
 * no longer be made though it can be as it is planned. Where it cannot be as it is, only new errors are in the way.
 */
export function pullTo(cover: Cover, planned: Plan, held: Held, wanted: Length, division: Length): Pulled {
  const { min, max } = held.range
  const marked = roundTo(wanted, division)
  const aim = clamp(marked, min, max)
  const known = new Set(errorsIn(planned).map(({ code }) => code))
  const trouble = (length: Length) =>
    errorsIn(plan(setOn(cover, held.setting, length))).find(({ code }) => !known.has(code))
  const finding = trouble(aim)
  if (!finding) return aim === marked ? { length: aim } : { length: aim, stop: { kind: 'range', end: aim } }
  return stopBefore(held.value, aim, { division, finding, trouble })
}

/** Halves the way from a length that works to one that does not. */
function stopBefore(
  good: Length,
  bad: Length,
  {
    division,
    finding,
    trouble,
  }: { division: Length; finding: Finding; trouble: (length: Length) => Finding | undefined },
): Pulled {
  const way = bad > good ? 1 : -1
  let marks = Math.floor(Math.abs(bad - good) / division)
  let works = 0
  let reason = finding
  const at = (count: number) =>
    count === 0 ? good : roundTo(add(good, scale(division, way * count)), division)
  while (marks - works > 1) {
    const middle = Math.floor((marks + works) / 2)
    const found = trouble(at(middle))
    if (found) {
      marks = middle
      reason = found
    } else works = middle
  }
  return { length: at(works), stop: { kind: 'finding', finding: reason } }
}

function errorsIn({ findings }: Plan): readonly Finding[] {
  return findings.filter(finding => severityIn(finding) === 'error')
}

/** What its setting is to be, for a dimension to come to `wanted`: as near as the cutting grid comes to it. */
export function settingFor({ held, size, rate }: SettableSize, wanted: Length): Length {
  return add(held.value, scale(subtract(wanted, size), 1 / rate))
}
