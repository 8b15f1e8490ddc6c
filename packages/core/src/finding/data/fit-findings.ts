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
  'will-it-go-in': { readonly depth: Length; readonly deepest: Length }
  'opening-too-small': {
    readonly left: Length
    readonly wanted: Length
    /** The deepest flap that leaves the opening; nothing or less where no flap does. */
    readonly deepest: Length
  }
  'book-not-served': {
    readonly book: number
    readonly reason: 'grip-too-short' | 'free-too-long' | 'fixed-too-long' | 'too-low' | 'strap-on-fold'
    /** What came out, and the limit it misses. */
    readonly found: Length
    readonly limit: Length
  }
  'corner-pinches': { readonly clear: Length; readonly wanted: Length; readonly largest: Length }
  'too-thick-for-flat': { readonly thickness: Length; readonly most: Length }
  'zip-opening-too-small': { readonly opening: Length; readonly wanted: Length }
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
  'book-not-served': 'warning',
  'corner-pinches': 'warning',
  'too-thick-for-flat': 'warning',
  'zip-opening-too-small': 'warning',
  'page-not-flat': 'warning',
}
