import type { CoveredObject } from '../../object/reading.js'
import type { FamilyWords, Suitability } from '../contract.js'
import { suitsPouch } from '../device.js'

export const words: FamilyWords = {
  name: 'Sleeve',
  summary: 'A padded pouch with an open mouth. The device slides in from the top; a loop and button hold it.',
  difficulty: 2,
  tools: 'sewing machine',
}

export function suits(object: CoveredObject): Suitability {
  return suitsPouch(object, {
    device: 'Padded all round, and quick to slide out of.',
    book: 'Carries it in a bag; it has to come out to be used.',
  })
}
