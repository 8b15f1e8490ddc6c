import { expect } from 'chai'
import { stashTable } from './stash-table.js'
import { guessColumns } from './table.js'
import { thingsTable } from './things-table.js'

describe('the columns of a stash’s table', () => {
  it('are guessed from what makers write over their own', () => {
    expect(guessColumns(stashTable, ['Name', 'Width', 'Length'])).to.deep.equal({
      Name: 'name',
      Width: 'pieceWidth',
      Length: 'pieceLength',
    })
    expect(guessColumns(stashTable, ['Fabric ', 'QTY', 'Colour', 'Bought at'])).to.deep.equal({
      'Fabric ': 'name',
      QTY: 'pieceCount',
      Colour: 'swatch',
    })
  })

  it('stand for each of ours once at the most', () => {
    expect(guessColumns(stashTable, ['name', 'Material'])).to.deep.equal({ name: 'name' })
    expect(Object.values(guessColumns(stashTable, stashTable.columns))).to.have.members([
      ...stashTable.columns,
    ])
  })

  it('have words, each its own', () => {
    for (const { columns, words } of [stashTable, thingsTable])
      expect(new Set(Object.values(words)).size).to.equal(columns.length)
  })
})

describe('the columns of a table of books and devices', () => {
  it('are guessed from what makers write over their own', () => {
    expect(guessColumns(thingsTable, ['Title', 'H', 'Width (mm)', 'Thick', 'Shelf', 'Type'])).to.deep.equal({
      Title: 'name',
      H: 'height',
      'Width (mm)': 'width',
      Thick: 'thickness',
      Type: 'kind',
    })
    expect(Object.values(guessColumns(thingsTable, thingsTable.columns))).to.have.members([
      ...thingsTable.columns,
    ])
  })
})
