import type { Unit } from '../length/unit.js'

/** Makes a schema once a unit: making one takes longer than reading a line with it. */
export function onceFor<Schema>(make: (unit: Unit) => Schema): (unit: Unit) => Schema {
  const made = new Map<Unit, Schema>()
  return unit => {
    const schema = made.get(unit) ?? make(unit)
    made.set(unit, schema)
    return schema
  }
}
