import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Soft wrap',
  summary:
    'A soft journal cover that goes round the pages, over the fore-edge and back over the front, raw edges zigzagged.',
  difficulty: 2,
  tools: 'sewing machine',
}

export function suits({ kind, readings }: CoveredObject): Suitability {
  if (kind === 'journal') return { suits: true, why: 'Holds sewn signatures and wraps over what sticks out.' }
  if (kind === 'notebook' && readings.pageWidth)
    return { suits: true, why: 'A thin notebook is sewn or slipped into it.' }
  return { suits: false, why: 'It is sewn to its pages; a bound book has its own cover.' }
}
