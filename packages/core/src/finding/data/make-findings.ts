import type { Length } from '../../length/length.js'
import type { SeverityOf } from '../severity.js'

/** What stands in the way of making the pieces and joining them. */
export interface MakeFindings {
  'recipe-changed': { readonly recipe: string; readonly changes: readonly RecipeChange[] }
  'piece-too-small': { readonly piece: string; readonly width: Length; readonly height: Length }
  'outside-usual': {
    readonly label: string
    readonly value: Length
    readonly least: Length
    readonly most: Length
  }
  'spine-too-thin': { readonly contents: Length; readonly inside: Length; readonly spine: Length }
  'gap-too-narrow': { readonly gap: Length; readonly least: Length }
  'gap-tight': { readonly gap: Length; readonly comfortable: Length }
  'gap-floppy': { readonly gap: Length; readonly most: Length }
  'turn-in-tight': { readonly turnIn: Length; readonly comfortable: Length }
  /** `board`: what of the turn-in the board’s own edge takes. Less than nothing where the cloth does not reach it. */
  'turn-in-too-small': { readonly turnIn: Length; readonly least: Length; readonly board: Length }
  'print-over-fold': { readonly join: Length }
  'seam-too-thick': { readonly seam: string; readonly thickness: Length; readonly most: Length }
  'grade-seam': { readonly seam: string; readonly thickness: Length }
  'punch-too-short': { readonly hole: Length; readonly reach: Length }
  /** `nearest`: the next larger hole that the punch makes, else its largest. */
  'no-such-punch': { readonly hole: Length; readonly nearest: Length }
  'board-too-thick': { readonly board: Length; readonly most: Length }
  'too-thick-for-foot': { readonly seam: string; readonly thickness: Length; readonly most: Length }
  'no-closure': { readonly closures: readonly string[] }
  'card-turned': { readonly piece: string }
  'cloth-not-there': { readonly piece: string; readonly cloth: string; readonly known: readonly string[] }
  /** Something is said of a piece that the cover does not have. */
  'piece-not-there': { readonly piece: string; readonly said: string; readonly known: readonly string[] }
  /** Sizes that an older reckoning gave and that are otherwise now. */
  'sizes-mended': { readonly pieces: readonly MendedSize[] }
}

/** A piece, or a length of a notion (`height` is missing then), as it was cut (not at all without `before`) and is now. */
export interface MendedSize {
  readonly piece: string
  readonly before?: { readonly width: Length; readonly height?: Length }
  readonly now: { readonly width: Length; readonly height?: Length }
}

export interface RecipeChange {
  readonly what: string
  readonly recipe: Length | string
  readonly stated: Length | string
}

export const makeSeverities: SeverityOf<MakeFindings> = {
  'recipe-changed': 'advice',
  'piece-too-small': 'error',
  'outside-usual': 'advice',
  'spine-too-thin': 'error',
  'gap-too-narrow': 'error',
  'gap-tight': 'advice',
  'gap-floppy': 'advice',
  'turn-in-tight': 'warning',
  'turn-in-too-small': 'error',
  'print-over-fold': 'warning',
  'seam-too-thick': 'warning',
  'punch-too-short': 'warning',
  'no-such-punch': 'advice',
  'board-too-thick': 'warning',
  'too-thick-for-foot': 'warning',
  'grade-seam': 'advice',
  'no-closure': 'advice',
  'card-turned': 'advice',
  'cloth-not-there': 'error',
  'piece-not-there': 'warning',
  'sizes-mended': 'advice',
}
