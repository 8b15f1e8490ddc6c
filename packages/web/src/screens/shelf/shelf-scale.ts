import { toMm, type Length } from '@snowdrift/core'

/** Everything on the shelf is drawn to one scale, so that a pocket book looks small beside an atlas. */
const pixelsPerMillimetre = 0.62

export function onShelf(length: Length): number {
  return toMm(length) * pixelsPerMillimetre
}
