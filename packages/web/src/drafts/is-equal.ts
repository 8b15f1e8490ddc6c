/** Whether two values say the same in JSON, whatever the order of their keys; a key without a value is none. */
export function isEqual(one: unknown, other: unknown): boolean {
  if (one === other) return true
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false
  if (Array.isArray(one) !== Array.isArray(other)) return false
  const [a, b] = [keysOf(one), keysOf(other)]
  return (
    a.length === b.length &&
    a.every(key => isEqual((one as Record<string, unknown>)[key], (other as Record<string, unknown>)[key]))
  )
}

function keysOf(value: object): readonly string[] {
  return Object.entries(value).flatMap(([key, entry]) => (entry === undefined ? [] : [key]))
}
