import { zero } from '../length/length.js'
import type { LayoutRequest } from './request.js'
import { roomsByCuts } from './rooms-around-pins.js'
import { prepareTask, type PinnedCopy } from './task.js'

/** Why pins cannot all stand: one lies over another, or no cut from edge to edge parts what is pinned on a cloth. */
export type PinClash =
  | { readonly kind: 'over'; readonly piece: string; readonly other: string }
  | { readonly kind: 'not-parted'; readonly cloth: string }

/** Pins over one another, and, for edge-to-edge cuts, pins that no such cut parts. */
export function clashingPins(request: LayoutRequest): readonly PinClash[] {
  const { sheets } = prepareTask({ ...request, gap: zero })
  const over = sheets.flatMap(({ pins }) =>
    pins.flatMap((one, index) =>
      pins
        .slice(index + 1)
        .filter(other => overlap(one, other))
        .map((other): PinClash => ({ kind: 'over', piece: other.piece.id, other: one.piece.id })),
    ),
  )
  if (over.length > 0 || request.cuts === 'scissors') return over
  return prepareTask(request).sheets.flatMap(({ pins, width, length, cloth }): readonly PinClash[] => {
    const height = length ?? Math.max(1, ...pins.map(pin => pin.y + pin.height))
    const parted = roomsByCuts({ x: 0, y: 0, width, height }, pins) !== undefined
    return parted ? [] : [{ kind: 'not-parted', cloth: cloth.id }]
  })
}

function overlap(one: PinnedCopy, other: PinnedCopy): boolean {
  return (
    one.x < other.x + other.width &&
    other.x < one.x + one.width &&
    one.y < other.y + other.height &&
    other.y < one.y + one.height
  )
}
