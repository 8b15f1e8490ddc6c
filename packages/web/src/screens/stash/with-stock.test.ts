import type { MaterialBody } from '@snowdrift/core'
import { expect } from 'chai'
import { withStock } from './with-stock.js'

const moss: MaterialBody = {
  unit: 'cm',
  swatch: '#33665a',
  material: { role: 'outer', name: 'Moss twill', thickness: '0.4' },
  stock: { price: 12, width: '140' },
}

describe('what the stash knows of a material', () => {
  it('is said, changed, and taken back by leaving the field empty', () => {
    expect(withStock(moss, 'weave', 'twill').stock).to.deep.equal({ price: 12, width: '140', weave: 'twill' })
    expect(withStock(moss, 'price', 0).stock).to.deep.equal({ price: 0, width: '140' })
    for (const empty of [undefined, ''])
      expect(withStock(moss, 'width', empty).stock).to.deep.equal({ price: 12 })
  })

  it('leaves all else as it is, and the material that it began from', () => {
    expect(withStock(moss, 'price', 9)).to.deep.include({ unit: 'cm', material: moss.material })
    expect(moss.stock).to.deep.equal({ price: 12, width: '140' })
  })
})
