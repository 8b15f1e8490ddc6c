import type { Unit } from '../length/unit.js'

/** Makes each unit's value when it is first asked for and keeps it: schemas cost more to build than a plan to reckon. */
export function oncePerUnit<Value>(make: (unit: Unit) => Value): (unit: Unit) => Value {
  const made = new Map<Unit, Value>()
  return unit => {
    const known = made.get(unit)
    if (known !== undefined) return known
    const value = make(unit)
    made.set(unit, value)
    return value
  }
}
