import { expect } from 'chai'
import { coverFrom, familyFile, coverFile } from '../file/testing/cover-files.js'
import { inches, mm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { clothNeeded } from './cloth.js'
import { layOutBought, usualClothWidth } from './all-bought.js'

describe('everything bought', () => {
  it('is a length of cloth in the shop’s steps for each material, and where each piece lies', () => {
    const cover = coverFrom(coverFile())
    const planned = plan(cover)
    const bought = layOutBought(cover, planned)
    expect(bought.map(({ material }) => material)).to.deep.equal(['printed cotton', 'plain cotton', 'fleece'])
    const [outer] = bought
    const needed = clothNeeded(planned, cover, 'outer', usualClothWidth('in'))
    expect(outer?.toBuy?.kind === 'length' && outer.toBuy.needed).to.equal(needed)
    // an eighth of a yard is 4 1/2 in
    const length = outer?.toBuy?.kind === 'length' ? outer.toBuy.length : mm(0)
    expect(length % inches(4.5)).to.equal(0)
    const laid = outer?.sheets.flatMap(sheet => sheet.placements.map(sheet.labelOf)) ?? []
    expect(laid.toSorted()).to.deep.equal(['flap 1', 'flap 2', 'outer'])
  })

  it('is boards in sheets', () => {
    const cover = coverFrom(familyFile('board-cover'))
    const board = layOutBought(cover, plan(cover)).find(({ role }) => role === 'board')
    expect(board?.toBuy?.kind).to.equal('sheets')
    expect(board?.toBuy?.kind === 'sheets' && board.toBuy.count).to.equal(board?.sheets.length)
  })

  it('says nothing of what is too large for the cloth that is sold', () => {
    const cover = coverFrom(
      familyFile('slip-cover', { sizing: { mode: 'cut', width: '1200 mm', height: '1150 mm' } }),
    )
    const [outer] = layOutBought(cover, plan(cover))
    expect(outer).to.deep.include({ toBuy: undefined, sheets: [] })
  })
})
