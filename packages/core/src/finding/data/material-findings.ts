import type { Length } from '../../length/length.js'
import type { SeverityOf } from '../severity.js'

/** What the materials make one think of. Shares and percentages as in Material. */
export interface MaterialFindings {
  'stiffen-outer': { readonly cloth: string; readonly thickness: Length; readonly with: 'woven' | 'batting' }
  'too-stiff': { readonly cloth: string; readonly thickness: Length; readonly layer: string }
  'shows-through': { readonly cloth: string; readonly seeThrough: number; readonly over: 'boards' | 'print' }
  'frays-much': { readonly cloth: string; readonly where: 'seam' | 'raw edge' }
  'glue-strikes-through': { readonly cloth: string; readonly thickness: Length }
  'shrinkage-differs': {
    readonly most: string
    readonly mostPercent: number
    readonly least: string
    readonly leastPercent: number
  }
  'padding-in-seam': { readonly padding: string; readonly inset: Length; readonly seam: Length }
  'clip-corners': { readonly thickness: Length }
  'one-way-print': { readonly cloth: string }
}

export const materialSeverities: SeverityOf<MaterialFindings> = {
  'stiffen-outer': 'advice',
  'too-stiff': 'advice',
  'shows-through': 'advice',
  'frays-much': 'advice',
  'glue-strikes-through': 'advice',
  'shrinkage-differs': 'advice',
  'padding-in-seam': 'advice',
  'clip-corners': 'advice',
  'one-way-print': 'advice',
}
