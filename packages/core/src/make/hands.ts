import type { StepKind } from './step.js'
import type { Length } from '../length/length.js'

/** Where makers differ: each is a right way, with its own minutes. */
export interface Schools {
  /** Interfacing ironed on before sewing, or laid in and fused once the work is turned. */
  readonly fuse: 'before' | 'after'
  /** The turning opening closed by the edge-stitch, or with a ladder stitch. */
  readonly close: 'machine' | 'hand'
  /** What a seam catches basted first, or only clipped. */
  readonly hold: 'baste' | 'clip'
}
export type School = keyof Schools

/** What is at hand, how far it reaches, and how one works. */
export interface Hands extends Schools {
  readonly machine: boolean
  readonly evenFeedFoot: boolean
  readonly zipFoot: boolean
  readonly iron: boolean
  readonly rotaryCutter: boolean
  readonly leftHanded: boolean
  readonly beginner: boolean
  /** What the maker takes of the minutes planned, by operation, as makes have told; goes before `beginner`. */
  readonly pace?: Readonly<Partial<Record<StepKind, number>>>
  /** What goes under the presser foot, unpressed. */
  readonly footLift?: Length
  /** How far in from an edge a punch reaches. */
  readonly punchReach?: Length
  /** What holes it makes, across. */
  readonly punchSizes?: readonly Length[]
  /** The thickest board that the paper cutter cuts. */
  readonly cutsBoard?: Length
}

/** A usual workshop: nothing that is missing, nothing whose reach is known. */
export const usualHands: Hands = {
  machine: true,
  evenFeedFoot: true,
  zipFoot: true,
  iron: true,
  rotaryCutter: true,
  leftHanded: false,
  beginner: false,
  fuse: 'before',
  close: 'machine',
  hold: 'baste',
}
