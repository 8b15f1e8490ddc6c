import { expect } from 'chai'
import { inches, mm, toInches, zero } from '../length/length.js'
import type { Layout } from '../nest/layout.js'
import type { LayoutRequest } from '../nest/request.js'
import type { CuttingGroup } from './group.js'
import { boughtCloth, layoutRequestOf } from './request-of.js'
import { nest } from '../nest/nest.js'
import { comesInSheets, sheetToBuy } from './sheet-sizes.js'
import { convertPrice, costOf, findToBuy } from './to-buy.js'

const board = (...sides: readonly (readonly [number, number])[]): CuttingGroup => ({
  key: 'board grey',
  role: 'board',
  material: 'Grey board',
  thickness: mm(1),
  shrinkage: 0,
  washed: false,
  print: 'none',
  pieces: sides.map(([wide, high], index) => ({
    id: `b${index}`,
    label: 'board',
    coverId: '',
    piece: 'board',
    copy: 1,
    width: inches(wide),
    height: inches(high),
    turn: 'half',
  })),
})

const bought = (group: CuttingGroup, named: string | null = null) => {
  const request = layoutRequestOf(group, {
    cuts: 'scissors',
    unit: 'in',
    sheets: [],
    buySheet: sheetToBuy(group, named),
    pins: {},
    budgetMs: 0,
  })
  if (!request) throw new Error('Nothing to lay out')
  return findToBuy(
    group,
    request,
    nest(request, () => 0),
    'in',
  )
}

describe('boards and card to buy', () => {
  it('may lie across the sheet only where they may be turned', () => {
    // 16 by 11: along a folder’s 17 ½ by 11 ¾ only when it is turned; else it wants the large one, 27 ½ by 19 ¾
    const across = board([16, 11])
    const [piece] = across.pieces
    if (!piece) throw new Error('No board')
    expect(sheetToBuy(across, null).id).to.equal('large')
    expect(sheetToBuy({ ...across, pieces: [{ ...piece, turn: 'quarter' }] }, null).id).to.equal('folder')
    // 10 by 16 fits as it lies
    expect(sheetToBuy(board([10, 16]), null).id).to.equal('folder')
  })

  it('come in sheets, the smallest that takes the largest piece', () => {
    expect(comesInSheets('board') && comesInSheets('card')).to.equal(true)
    expect(comesInSheets('outer')).to.equal(false)
    expect(sheetToBuy(board([6.5, 9.5]), null).id).to.equal('letter')
    // 9 in is wider than 8 ½, and boards run head to tail: 12 × 12
    expect(sheetToBuy(board([9, 9]), null).id).to.equal('square')
    expect(sheetToBuy(board([30, 40]), null).id).to.equal('large')
    expect(sheetToBuy(board([6.5, 9.5]), 'folder').id).to.equal('folder')
  })

  it('are counted, not measured off a bolt', () => {
    // two boards of 6 ½ in beside each other are wider than 8 ½: one sheet each
    const group = board([6.5, 9.5], [6.5, 9.5])
    expect(bought(group)).to.deep.equal({
      kind: 'sheets',
      count: 2,
      width: inches(8.5),
      length: inches(11),
    })
    const roomy = bought(group, 'large')
    expect(roomy?.kind === 'sheets' && roomy.count).to.equal(1)
  })
})

describe('cloth to buy', () => {
  const cloth = { ...board(), role: 'outer' as const }
  const layout = (length: number): Layout => ({
    placements: [],
    used: [{ cloth: boughtCloth, sheet: 1, width: inches(42), length: inches(length), bound: zero }],
    unplaced: [],
    best: false,
  })
  const request: LayoutRequest = {
    cuts: 'scissors',
    gap: zero,
    budgetMs: 0,
    seed: 1,
    cloths: [{ id: boughtCloth, width: inches(42), count: 1 }],
    pieces: [],
  }

  it('is a length in the shop’s steps; nothing where the stash has it all', () => {
    const toBuy = findToBuy(cloth, request, layout(10), 'in')
    // eighths of a yard: 13 ½
    expect(toBuy?.kind === 'length' && toInches(toBuy.length)).to.equal(13.5)
    expect(findToBuy(cloth, request, { ...layout(10), used: [] }, 'in')).to.equal(undefined)
  })

  it('costs by the yard or by the metre, sheets by the sheet', () => {
    const toBuy = { kind: 'length', needed: inches(10), length: inches(13.5) } as const
    // 13 ½ of 36 in at 16 a yard
    expect(costOf(toBuy, 16, 'in')).to.be.closeTo(6, 1e-9)
    // 342.9 mm at 10 a metre
    expect(costOf(toBuy, 10, 'cm')).to.be.closeTo(3.429, 1e-9)
    expect(costOf({ kind: 'sheets', count: 3, width: inches(12), length: inches(12) }, 1.5, 'in')).to.equal(
      4.5,
    )
  })

  it('is priced in either unit: 10 a metre are 9.14 a yard', () => {
    expect(convertPrice(10, 'mm', 'in')).to.be.closeTo(9.144, 1e-9)
    expect(convertPrice(9.144, 'in', 'cm')).to.be.closeTo(10, 1e-9)
    expect(convertPrice(7, 'cm', 'mm')).to.equal(7)
  })
})
