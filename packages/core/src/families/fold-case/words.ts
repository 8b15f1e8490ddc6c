import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Fold-over case',
  summary:
    'A long padded panel that folds over the device and ties, with a pocket inside and a zip pocket outside.',
  difficulty: 2,
  tools: 'sewing machine',
}

export function suits({ kind }: CoveredObject): Suitability {
  if (kind === 'tablet')
    return { suits: true, why: 'Opens flat under the device and carries pens and cables.' }
  return { suits: false, why: 'Made for a flat device; a book wants flaps for its boards.' }
}
