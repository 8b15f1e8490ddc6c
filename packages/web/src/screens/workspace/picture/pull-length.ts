import { add, scale, toMm, type Length, type Pull } from '@snowdrift/core'
import type { HandMoved } from './use-grip'

/** How long a setting is wanted whose edge was pulled so far over the cover. */
export function pulledLength(
  { held, axis, gain }: Pick<Pull, 'held' | 'axis' | 'gain'>,
  moved: HandMoved,
): Length {
  return add(held.value, scale(moved[axis], gain))
}

/** How far its edge is from where it was once a setting is `length` long, in millimetres. */
export function edgeMoved({ held, gain }: Pick<Pull, 'held' | 'gain'>, length: Length): number {
  return toMm(add(length, scale(held.value, -1))) / gain
}

const keySteps: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 8,
  PageDown: -8,
}

/** How many marks of the tape a key makes a setting longer; with shift eight times as many. 0 for other keys. */
export function marksOf({ key, shiftKey }: { readonly key: string; readonly shiftKey: boolean }): number {
  return (keySteps[key] ?? 0) * (shiftKey && key.startsWith('Arrow') ? 8 : 1)
}
