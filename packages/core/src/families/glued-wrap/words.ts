import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'

export const words: FamilyWords = {
  name: 'Glued wrap',
  summary:
    'Cloth glued on for good, round the spine and over the edges of the boards. No sewing; it does not come off.',
  difficulty: 2,
  tools: 'glue',
}

export function suits({ kind, spine }: CoveredObject): Suitability {
  if (kind === 'hardcover')
    return { suits: true, why: 'Stiff boards take the glue and stay flat under a weight.' }
  if (kind === 'tablet') return { suits: false, why: 'Nothing is glued to a device.' }
  if (spine === 'coil') return { suits: false, why: 'A coil cannot be glued over.' }
  if (kind === 'journal') return { suits: false, why: 'Loose signatures want a cover that holds them.' }
  return { suits: false, why: 'Soft covers cockle under wet glue.' }
}
