import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Adjustable wrap',
  summary:
    'One cover for a whole series: a fixed flap at one end, a free end that folds round the other board and tucks under a strap.',
  difficulty: 2,
  tools: 'sewing machine',
}

export function suits({ kind, foldsBack }: CoveredObject): Suitability {
  if (kind === 'tablet') return { suits: false, why: 'A device has no boards for its ends to fold round.' }
  if (kind === 'journal') return { suits: false, why: 'Loose signatures want a cover that holds them.' }
  return foldsBack
    ? { suits: true, why: 'Moves on to the next volume of the same height, thicker or thinner.' }
    : {
        suits: true,
        why: 'The stiff board goes into the fixed flap first; the free end folds round the other.',
      }
}
