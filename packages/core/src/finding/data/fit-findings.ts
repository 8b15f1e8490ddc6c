import type { Length } from '../../length/length.js'
import type { SeverityOf } from '../severity.js'

export type Direction = 'width' | 'height'

/** What a verdict has to say, and what stands in the way of the thing going in. */
export interface FitFindings {
  'will-not-go': { readonly direction: Direction; readonly short: Length; readonly stretch: Length }
  'tight-but-goes': { readonly direction: Direction; readonly short: Length; readonly stretch: Length }
  'drum-tight': { readonly direction: Direction; readonly ease: Length }
  baggy: { readonly direction: Direction; readonly ease: Length; readonly most: Length }
  'flap-too-deep': { readonly depth: Length; readonly deepest: Length }
  'flap-too-shallow': { readonly depth: Length; readonly least: Length }
  /** `opens`: where its inner half stays unsewn, the flap may stay as deep as it is. */
  'will-it-go-in': { readonly depth: Length; readonly deepest: Length; readonly opens: boolean }
  'opening-too-small': {
    readonly left: Length
    readonly wanted: Length
    /** The deepest flap that leaves the opening; nothing or less where no flap does. */
    readonly deepest: Length
  }
  'opening-small': { readonly left: Length; readonly wanted: Length; readonly deepest: Length }
  'book-not-served': {
    readonly book: number
    readonly reason: 'grip-too-short' | 'free-too-long' | 'fixed-too-long' | 'too-short' | 'strap-on-fold'
    /** What came out, and the limit it misses. */
    readonly found: Length
    readonly limit: Length
  }
  'corner-pinches': { readonly clear: Length; readonly wanted: Length; readonly largest: Length }
  'too-thick-for-flat': { readonly thickness: Length; readonly most: Length }
  'zip-opening-too-small': { readonly opening: Length; readonly wanted: Length }
  /** The covers are not equally stiff: which goes in first. */
  'stiffer-first': { readonly stiffer: 'front' | 'back' }
  /** An old cover that is said to fit, and what the thing would need by its readings. */
  'old-cover-large': {
    readonly direction: Direction
    readonly finished: Length
    readonly needed: Length
    readonly nearest: Length
  }
  'page-not-flat': { readonly thickness: Length; readonly most: Length }
}

export const fitSeverities: SeverityOf<FitFindings> = {
  'will-not-go': 'error',
  'tight-but-goes': 'warning',
  'drum-tight': 'advice',
  baggy: 'advice',
  'flap-too-deep': 'warning',
  'flap-too-shallow': 'warning',
  'will-it-go-in': 'warning',
  'opening-too-small': 'warning',
  'opening-small': 'advice',
  'book-not-served': 'warning',
  'corner-pinches': 'warning',
  'too-thick-for-flat': 'warning',
  'zip-opening-too-small': 'warning',
  'stiffer-first': 'advice',
  'old-cover-large': 'warning',
  'page-not-flat': 'warning',
}
