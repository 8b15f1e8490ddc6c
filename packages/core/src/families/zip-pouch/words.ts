import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'
import { suitsPouch } from '../device.js'

export const words: FamilyWords = {
  name: 'Zip pouch',
  summary: 'A flat lined pouch closed by a zip along the top, with a scoop pocket on the front.',
  difficulty: 2,
  tools: 'sewing machine',
}

export function suits(object: CoveredObject): Suitability {
  return suitsPouch(object, {
    device: 'Closes all round, and carries a cable in its pocket.',
    book: 'Keeps it and its pens together in a bag.',
  })
}
