import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Cover with turned flaps',
  summary:
    'One strip whose ends fold back over the boards. The fold is set on the closed book, so its width always fits.',
  difficulty: 1,
  tools: 'sewing machine',
}

export function suits({ kind, foldsBack }: CoveredObject): Suitability {
  if (kind === 'tablet') return { suits: false, why: 'A device has no boards to slide into flaps.' }
  if (kind === 'journal') return { suits: false, why: 'Loose signatures want a cover that holds them.' }
  return foldsBack
    ? { suits: true, why: 'Quick and forgiving: the width is set on the book itself.' }
    : { suits: true, why: 'Its shallow flaps go on boards that do not fold back.' }
}
