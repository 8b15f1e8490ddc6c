import type { Side } from './side.js'

/** What is not cut from cloth, card or board: zip, cord, ribbon, elastic, hook-and-loop, snap, button. */
export interface Notion {
  readonly id: string
  readonly count: number
  /** Absent for what is only counted, such as a button. */
  readonly length?: Side
  /** Planned here, but best measured off the made thing. */
  readonly measureFirst: boolean
  /** What is weighed, such as glue. */
  readonly grams?: number
}
