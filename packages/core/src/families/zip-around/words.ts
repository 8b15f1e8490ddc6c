import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Zip-around cover',
  summary:
    'A padded cover with piped edges and rounded corners, closed by a zip on three sides. The boards slide into flaps.',
  difficulty: 3,
  tools: 'sewing machine',
}

export function suits({ kind }: CoveredObject): Suitability {
  if (kind === 'planner')
    return { suits: true, why: 'Keeps pages, pens and slips together when it is carried.' }
  if (kind === 'tablet') return { suits: false, why: 'A device has no boards to slide into flaps.' }
  if (kind === 'journal') return { suits: false, why: 'Loose signatures want a cover that holds them.' }
  return { suits: true, why: 'Closes all round against dust and snow; takes patience to sew.' }
}
