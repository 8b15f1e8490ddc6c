import type { Length } from '../length/length.js'
import type { Role } from '../material/role.js'

/** One ply of the stack, as thick as it is drawn: pressed lightly, the outer as it is. */
export interface Ply {
  readonly role: Role
  readonly name: string
  readonly thickness: Length
}

/** The closed thing seen from its tail, and what lies round it. */
export interface Section {
  /** Spine edge to fore-edge. */
  readonly width: Length
  readonly thickness: Length
  readonly board: Length
  readonly rounded: boolean
  /** From the object outwards. */
  readonly plies: readonly Ply[]
  /** How deep each flap reaches inside its board, and the plies of the flap; absent without flaps. */
  readonly flap?: { readonly depth: Length; readonly plies: readonly Ply[] }
}
