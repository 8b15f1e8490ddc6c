import { add, mm, scale, toMm, type Length, type Pull } from '@snowdrift/core'

/** How long a setting is wanted whose edge was pulled by so many pixels on a picture with so many to the millimetre. */
export function pulledLength(
  { held, axis, gain }: Pick<Pull, 'held' | 'axis' | 'gain'>,
  moved: { readonly x: number; readonly y: number },
  pixelsPerMm: number,
): Length {
  return add(held.value, scale(mm(moved[axis] / pixelsPerMm), gain))
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
