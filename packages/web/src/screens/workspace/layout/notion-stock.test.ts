import { toInches, weighNotions } from '@snowdrift/core'
import { expect } from 'chai'
import { materialRow, stashPiece } from '../../../testing/stash.js'
import { stockOf } from './notion-stock.js'

const cord = materialRow('cord', { stock: { notion: 'cord' } })
const metric = materialRow('metric cord', { unit: 'cm', stock: { notion: 'cord' } })
const buttons = materialRow('buttons', { stock: { notion: 'button' } })
const cloth = materialRow('cloth')
const notion = { source: 'notion', width: null } as const

describe('what the stash has of a notion', () => {
  const pieces = [
    stashPiece('1', 'cord', { ...notion, length: '30' }),
    stashPiece('2', 'metric cord', { ...notion, length: '127', count: 2 }),
    stashPiece('3', 'cord', { ...notion, length: '99', state: 'reserved', coverId: 'theirs' }),
    stashPiece('4', 'buttons', { ...notion, length: null, count: 6 }),
    stashPiece('5', 'cloth'),
  ]
  const rows = [cord, metric, buttons, cloth]

  it('is what is free of its kind, each length in its own row’s unit', () => {
    const stock = stockOf('cord', rows, pieces).map(({ count, length }) => [
      count,
      length && toInches(length),
    ])
    // 127 cm are 50 in
    expect(stock).to.deep.equal([
      [1, 30],
      [2, 50],
    ])
  })

  it('is counted where it has no length', () => {
    expect(stockOf('button', rows, pieces)).to.deep.equal([{ count: 6 }])
    expect(stockOf('zip', rows, pieces)).to.deep.equal([])
  })

  it('is enough or not as the core weighs it', () => {
    const need = { kind: 'button', count: 7, lengths: [] } as const
    const { enough, missingCount } = weighNotions(need, stockOf('button', rows, pieces))
    expect([enough, missingCount]).to.deep.equal([false, 1])
  })
})
