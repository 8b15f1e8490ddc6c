import { expect } from 'chai'
import { inches, zero } from '../length/length.js'
import { cloth, piece, request } from './testing/requests.js'
import { goesOn, prepareTask } from './task.js'

const eighth = inches(1 / 8)

describe('a request made ready', () => {
  it('counts in the largest unit of which all is whole, the gap in every piece and sheet', () => {
    const { unit, kit, sheets } = prepareTask(
      request({
        gap: inches(1 / 4),
        cloths: [cloth('quarter', 18, 21)],
        pieces: [piece('a', 3, 5), piece('b', 4.5, 2)],
      }),
    )
    // 3 1/4, 5 1/4, 4 3/4, 2 1/4 are whole quarters.
    expect(unit).to.equal(2 * eighth)
    expect([...kit.widths, ...kit.heights]).to.deep.equal([13, 19, 21, 9])
    expect([sheets[0]?.width, sheets[0]?.length]).to.deep.equal([73, 85])
  })

  it('takes pins out of the kit, one copy each, and stands them on their sheet', () => {
    const pin = { cloth: 'quarter', sheet: 2, x: inches(1), y: inches(2), turned: true }
    const { kit, items, sheets } = prepareTask(
      request({
        cloths: [cloth('quarter', 18, 21, 2)],
        pieces: [piece('a', 3, 5, { count: 3, turn: 'quarter', pin })],
      }),
    )
    expect(kit.count).to.equal(2)
    expect(items.map(({ copy }) => copy)).to.deep.equal([2, 3])
    expect(sheets.map(({ pins }) => pins.length)).to.deep.equal([0, 1])
    // Turned, it is 5 wide and 3 high, an inch the unit.
    expect(sheets[1]?.pins[0]).to.include({ x: 1, y: 2, width: 5, height: 3 })
  })

  it('sets aside what goes on nothing, with how far it goes over', () => {
    const { kit, tooLarge } = prepareTask(
      request({
        cloths: [cloth('card', 12, 12), cloth('roll', 20)],
        pieces: [piece('a', 22, 13), piece('b', 22, 13, { turn: 'quarter' })],
      }),
    )
    expect(kit.count).to.equal(1)
    expect(tooLarge).to.deep.equal([
      { piece: 'a', copy: 1, why: 'too-large', over: { cloth: 'roll', width: inches(2), length: zero } },
    ])
  })

  it('knows what goes on an empty cloth, one way or the other', () => {
    expect(goesOn(piece('a', 10, 20), cloth('c', 12, 20))).to.equal(true)
    expect(goesOn(piece('a', 20, 10), cloth('c', 12, 20))).to.equal(false)
    expect(goesOn(piece('a', 20, 10, { turn: 'quarter' }), cloth('c', 12, 20))).to.equal(true)
    expect(goesOn(piece('a', 10, 500), cloth('c', 12))).to.equal(true)
  })
})
