import { formatLength } from '../length/format.js'
import type { Unit } from '../length/unit.js'
import type { StandardSize } from '../object/standard-sizes.js'
import type { TypedObject } from './cover-schema.js'

/** The thing with a standard size in place of what was read of it; its readings say that nobody laid a tape on it. */
export function takeStandardSize(thing: TypedObject, { readings }: StandardSize, unit: Unit): TypedObject {
  const taken = Object.entries(readings).map(([key, length]) => [
    key,
    [{ value: formatLength(length, unit, { finest: 64 }), state: 'standard-size' as const }],
  ])
  return {
    ...thing,
    readings: { ...thing.readings, ...(Object.fromEntries(taken) as TypedObject['readings']) },
  }
}
