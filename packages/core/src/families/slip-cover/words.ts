import type { FamilyWords } from '../contract.js'

export const words: FamilyWords = {
  name: 'Slip-on cover, separate flaps',
  summary:
    'A lined cover with a flap sewn on at each end. The boards slide into the flaps; it comes off to wash. Sewn and turned, no glue.',
}
