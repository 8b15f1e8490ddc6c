import { inches, type ClothMark, type LeftOver } from '@snowdrift/core'
import { expect } from 'chai'
import { typedLeftOver } from './typed-left-over.js'

describe('what is left of a cloth', () => {
  it('comes back in the unit of its material, with its marks from its own corner', () => {
    const part: LeftOver = {
      ...{ cloth: 'larch', sheet: 1 },
      ...{ x: inches(18), y: inches(28), width: inches(10), height: inches(4.5) },
    }
    const border: ClothMark = {
      ...{ name: 'the hem', what: 'border' },
      ...{ x: inches(0), y: inches(31), width: inches(54), height: inches(2) },
    }
    // 31 - 28 = 3, and 1 ½ of the 2 in reach in
    expect(typedLeftOver(part, [border], 'in')).to.deep.equal({
      width: '10 in',
      length: '4 1/2 in',
      marks: [{ name: 'the hem', what: 'border', x: '0 in', y: '3 in', width: '10 in', height: '1 1/2 in' }],
    })
    expect(typedLeftOver(part, [], 'mm')).to.deep.equal({ width: '254 mm', length: '114.3 mm', marks: [] })
  })
})
