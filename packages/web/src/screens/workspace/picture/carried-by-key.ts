import { scale, type Length } from '@snowdrift/core'

const ways: Readonly<Record<string, { readonly right: number; readonly up: number }>> = {
  ArrowLeft: { right: -1, up: 0 },
  ArrowRight: { right: 1, up: 0 },
  ArrowUp: { right: 0, up: 1 },
  ArrowDown: { right: 0, up: -1 },
}

/** How far an arrow key carries something: a mark of the tape, with shift eight. Undefined for other keys. */
export function carriedByKey(
  { key, shiftKey }: { readonly key: string; readonly shiftKey: boolean },
  division: Length,
): { readonly right: Length; readonly up: Length } | undefined {
  const way = ways[key]
  const marks = shiftKey ? 8 : 1
  return way && { right: scale(division, way.right * marks), up: scale(division, way.up * marks) }
}
