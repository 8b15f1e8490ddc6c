import { expect } from 'chai'
import { namePiece } from './name-piece.js'

describe('what a piece is called at the table', () => {
  const called: readonly (readonly [id: string, name: string])[] = [
    ['outer', 'outer'],
    ['spine-lining', 'spine lining'],
    ['pocket-divided', 'divided pocket'],
    ['pocket-divided-2', 'divided pocket 2'],
    ['pocket-zip-lining', 'zip pocket, lining'],
    ['flap-outer', 'flap outer'],
    ['tie-pair', 'pair of ties'],
    ['bookmark', 'bookmark'],
    ['hook-and-loop', 'hook and loop'],
  ]
  for (const [id, name] of called)
    it(`is “${name}” for ${id}`, () => {
      expect(namePiece(id)).to.equal(name)
    })
})
