import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Board cover',
  summary:
    'A new hard case of laminated boards and cloth, whose spine holds booklets on elastic or signatures sewn in.',
  difficulty: 3,
  tools: 'sewing machine, glue',
}

export function suits({ kind, readings }: CoveredObject): Suitability {
  if (kind === 'journal')
    return { suits: true, why: 'Made to hold loose signatures and booklets of its own.' }
  if (kind === 'notebook' && readings.pageWidth)
    return { suits: true, why: 'A stitched notebook can live on its elastic.' }
  return { suits: false, why: 'A bound book or a device has a cover of its own already.' }
}
