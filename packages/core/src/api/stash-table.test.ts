import { expect } from 'chai'
import { guessColumns, stashColumns, stashColumnWords } from './stash-table.js'

describe('the columns of a stash’s table', () => {
  it('are guessed from what makers write over their own', () => {
    expect(guessColumns(['Name', 'Width', 'Length'])).to.deep.equal({
      Name: 'name',
      Width: 'pieceWidth',
      Length: 'pieceLength',
    })
    expect(guessColumns(['Fabric ', 'QTY', 'Colour', 'Bought at'])).to.deep.equal({
      'Fabric ': 'name',
      QTY: 'pieceCount',
      Colour: 'swatch',
    })
  })

  it('stand for each of ours once at the most', () => {
    expect(guessColumns(['name', 'Material'])).to.deep.equal({ name: 'name' })
    expect(Object.values(guessColumns(stashColumns))).to.have.members([...stashColumns])
  })

  it('have words, each its own', () => {
    expect(new Set(Object.values(stashColumnWords)).size).to.equal(stashColumns.length)
  })
})
