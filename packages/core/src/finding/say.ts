import type { Length } from '../length/length.js'

/** Says a length in the workshop's unit; what is written differs between screen and file. */
export type SayLength = (length: Length) => string
