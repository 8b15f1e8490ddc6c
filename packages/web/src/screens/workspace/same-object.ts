import { sayObjectUnit, type ThingBody, type TypedObject } from '@snowdrift/core'

/** What was measured, and what bare numbers of it are in. */
export type Measured = Pick<ThingBody, 'object' | 'unit'>

export function hasReadings({ readings = {} }: TypedObject): boolean {
  return Object.keys(readings).length > 0
}

/** Whether two say the same of a thing, whatever unit their bare numbers are in. The tape that was used is no difference. */
export function isSameObject(one: Measured, other: Measured): boolean {
  return canonical(one) === canonical(other)
}

function canonical({ object, unit }: Measured): string {
  const { tapeDivision: _tape, readings = {}, ...rest } = sayObjectUnit(object, unit)
  const sorted = (record: object) =>
    JSON.stringify(Object.entries(record).sort(([a], [b]) => a.localeCompare(b)))
  return sorted({ spine: 'flat', foldsBack: true, ...rest }) + sorted(readings)
}
