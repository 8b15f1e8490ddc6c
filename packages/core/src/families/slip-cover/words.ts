import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Slip-on cover, separate flaps',
  summary:
    'A lined cover with a flap sewn on at each end. The boards slide into the flaps; it comes off to wash. Sewn and turned, no glue.',
  difficulty: 1,
  tools: 'sewing machine',
}

export function suits({ kind, spine }: CoveredObject): Suitability {
  if (kind === 'tablet') return { suits: false, why: 'A device has no boards to slide into flaps.' }
  if (kind === 'journal') return { suits: false, why: 'Loose signatures want a cover that holds them.' }
  if (spine === 'coil') return { suits: true, why: 'Goes over a coil too; the wrap is reckoned round it.' }
  return { suits: true, why: 'The boards slide into its flaps, and it comes off to wash.' }
}
