import { readingKeys, type ReadingKey } from '../object/reading.js'

/** A key, or a number in a list. */
export type Part = string | number

/** `object.readings.height[0]` → `['object', 'readings', 'height', 0]`. */
export function partsOfPath(path: string): readonly Part[] {
  return path
    .split(/[.[\]]+/)
    .filter(part => part !== '')
    .map(part => (/^\d+$/.test(part) ? Number(part) : part))
}

/** Under which key of the file a place stands: `object` of `object.spine`. */
export function topOfPath(path: string): string {
  return String(partsOfPath(path)[0] ?? '')
}

/** Which reading a place is of; undefined for a place that is of none. */
export function readingAt(path: string): ReadingKey | undefined {
  const parts = partsOfPath(path)
  const at = parts.indexOf('readings')
  return at < 0 ? undefined : readingKeys.find(key => key === parts[at + 1])
}
