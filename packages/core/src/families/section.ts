import type { Length } from '../length/length.js'
import { pressedThickness, type Material } from '../material/material.js'
import type { Role } from '../material/role.js'

/** One ply of the stack, as thick as it is drawn: pressed lightly, the outer as it is. */
export interface Ply {
  readonly role: Role
  readonly name: string
  readonly thickness: Length
  /** It is thicker until it is pressed, and its pressed thickness is what stands here. */
  readonly pressed?: true
}

/**
 * How the layers close at the side away from the spine. `open`: a book's fore-edge, bare or with flaps inside.
 * `seam`: walls that meet in a seam at both sides. `zip`: a gusset with a zip. `over`: wrapped over the fore-edge.
 */
export type Closing = 'open' | 'seam' | 'zip' | 'over'

/** The closed thing seen from its tail, and what lies round it. */
export interface Section {
  readonly title: string
  /** Spine edge to fore-edge; of a pouch, side to side. */
  readonly width: Length
  readonly thickness: Length
  /** Nobody can know it from what was measured; it is drawn as such books usually are, and not said. */
  readonly thicknessUnknown?: true
  /** A book's boards, drawn inside it. */
  readonly board: Length
  readonly rounded: boolean
  readonly device: boolean
  readonly closing: Closing
  /** From the object outwards. */
  readonly plies: readonly Ply[]
  /** How deep each flap reaches inside its board, and the plies of the flap; absent without flaps. */
  readonly flap?: { readonly depth: Length; readonly plies: readonly Ply[] }
  /** How far an end that wraps over reaches across the front. */
  readonly overlap?: Length
  /** Boards of the cover's own: how thick, and the gap beside the spine board. */
  readonly boards?: { readonly thickness: Length; readonly gap: Length; readonly overhang: Length }
}

export function plyOf(layer: Material): Ply {
  const { role, name, thickness } = layer
  if (role === 'outer' || layer.squash === 0) return { role, name, thickness }
  return { role, name, thickness: pressedThickness(layer), pressed: true }
}
