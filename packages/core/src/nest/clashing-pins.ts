import { zero } from '../length/length.js'
import type { LayoutRequest } from './request.js'
import { meets, roomsByCuts } from './rooms-around-pins.js'
import { prepareTask } from './task.js'

/**
 * Why pins cannot all stand: one lies over another or over what is avoided, or no cut from edge to edge parts what is
 * pinned on a cloth.
 */
export type PinClash =
  | { readonly kind: 'avoided'; readonly piece: string; readonly cloth: string }
  | { readonly kind: 'over'; readonly piece: string; readonly other: string }
  | { readonly kind: 'not-parted'; readonly cloth: string }

/** Pins over one another, and, for edge-to-edge cuts, pins that no such cut parts. */
export function clashingPins(request: LayoutRequest): readonly PinClash[] {
  const { sheets } = prepareTask({ ...request, gap: zero })
  const over = sheets.flatMap(({ pins, avoided, cloth }) =>
    pins.flatMap((one, index): readonly PinClash[] => [
      ...(avoided.some(place => meets(one, place))
        ? [{ kind: 'avoided' as const, piece: one.piece.id, cloth: cloth.id }]
        : []),
      ...pins
        .slice(index + 1)
        .filter(other => meets(one, other))
        .map(other => ({ kind: 'over' as const, piece: other.piece.id, other: one.piece.id })),
    ]),
  )
  if (over.length > 0 || request.cuts === 'scissors') return over
  return prepareTask(request).sheets.flatMap(({ pins, width, length, cloth }): readonly PinClash[] => {
    const height = length ?? Math.max(1, ...pins.map(pin => pin.y + pin.height))
    const parted = roomsByCuts({ x: 0, y: 0, width, height }, { pins }) !== undefined
    return parted ? [] : [{ kind: 'not-parted', cloth: cloth.id }]
  })
}
