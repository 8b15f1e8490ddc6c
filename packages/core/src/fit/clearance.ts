import type { Direction } from '../finding/finding.js'
import type { Length } from '../length/length.js'
import type { Reason } from '../piece/reason.js'
import type { Making } from './making.js'

/** A room that a make must keep where nobody feels an ease: the free end that a book leaves of an adjustable cover. */
export interface Clearance {
  readonly name: string
  /** The dimension whose cutting and sewing it shares. */
  readonly direction: Direction
  /** As it is planned. */
  readonly room: Length
  /** What the room gives way to, and how what it is left of comes about. */
  readonly errs: readonly Reason[]
  readonly making: Making
  /** Like rooms that share what is left: the two flaps of a strip; 1 unless said. */
  readonly parts?: number
  /** Which of the things that the cover is for, counted from 0. */
  readonly thing: number
  /** From where to where it works, without `to` however much there is; it fails outside all of them. */
  readonly works: readonly { readonly from: Length; readonly to?: Length }[]
  /** Where it is planned to lie, with margins that a make may use up; as it works unless said. */
  readonly planned?: readonly { readonly from: Length; readonly to?: Length }[]
}
