import type { Length } from '../../length/length.js'
import type { SeverityOf } from '../severity.js'

/** What stands in the way of an extra. */
export interface ExtraFindings {
  'extra-not-carried': { readonly extra: string; readonly why: string }
  'extras-collide': {
    readonly first: string
    readonly second: string
    /** How far one lies over the other, and how far the second has to go to clear it. */
    readonly over: Length
    readonly clear: Length
    readonly way: 'left' | 'right' | 'up' | 'down'
  }
  'extra-outside': { readonly extra: string; readonly on: string; readonly by: Length; readonly room: Length }
  'extra-over-fold': { readonly extra: string; readonly by: Length }
  /** What is said of its place and does not move it. */
  'place-unheeded': { readonly extra: string; readonly said: readonly string[] }
  'extra-too-short': { readonly extra: string; readonly has: Length; readonly needs: Length }
  'extra-in-opening': { readonly extra: string; readonly over: Length }
  'pocket-through-outside': { readonly extra: string; readonly on: string }
  'step-too-small': { readonly step: Length; readonly least: Length }
  'handle-span': { readonly span: Length; readonly least: Length }
  'handle-frays': { readonly cloth: string }
  'magnet-near-sensor': { readonly distance: Length; readonly least: Length }
  'quilting-without-padding': { readonly cloth: string }
}

export const extraSeverities: SeverityOf<ExtraFindings> = {
  'extra-not-carried': 'warning',
  'extras-collide': 'warning',
  'extra-outside': 'warning',
  'extra-over-fold': 'warning',
  'place-unheeded': 'advice',
  'extra-too-short': 'warning',
  'extra-in-opening': 'warning',
  'pocket-through-outside': 'warning',
  'step-too-small': 'warning',
  'handle-span': 'warning',
  'handle-frays': 'advice',
  'magnet-near-sensor': 'warning',
  'quilting-without-padding': 'advice',
}
