import { expect } from 'chai'
import { firstOf, joinOf, secondOf, secondTurned, sideBySide, turnIf } from './blocks.js'
import { createKit } from './kit.js'
import { copyRooms, createRoomLevel, dropRoom, hashOfRooms, tightestRoom } from './room-level.js'
import {
  copySkyline,
  createSkylineLevel,
  dropStretch,
  endOfStretch,
  far,
  hashOfSkyline,
  leftOf,
  lowestGap,
  rightOf,
} from './skyline-level.js'
import { createWeighing } from './weighing.js'

describe('the skylines of a level', () => {
  /** Layout 1 of 2: from 0 at 30, from 40 at 10, from 70 at 20; the cloth is 100 wide. */
  function level() {
    const made = createSkylineLevel(2, 4)
    made.x.set([0, 40, 70], 4)
    made.y.set([30, 10, 20], 4)
    made.count[1] = 3
    made.lost[1] = 5
    made.area[1] = 900
    return made
  }

  it('know their lowest gap, where it ends and what stands beside it', () => {
    const skylines = level()
    const at = lowestGap(skylines, 1)
    expect([at, endOfStretch(skylines, 1, at, 100)]).to.deep.equal([1, 70])
    expect([leftOf(skylines, 1, at), rightOf(skylines, 1, at)]).to.deep.equal([30, 20])
    expect([leftOf(skylines, 1, 0), rightOf(skylines, 1, 2)]).to.deep.equal([far, far])
    expect(endOfStretch(skylines, 1, 2, 100)).to.equal(100)
  })

  it('are copied and shortened without touching each other', () => {
    const skylines = level()
    copySkyline(skylines, 1, 0)
    dropStretch(skylines, 0, 1)
    expect([...skylines.x.subarray(0, 2), skylines.count[0]]).to.deep.equal([0, 70, 2])
    expect([...skylines.x.subarray(4, 7), skylines.count[1]]).to.deep.equal([0, 40, 70, 3])
    expect([skylines.lost[0], skylines.area[0]]).to.deep.equal([5, 900])
  })

  it('look alike only where all their stretches do', () => {
    const skylines = level()
    copySkyline(skylines, 1, 0)
    expect(hashOfSkyline(skylines, 0, 7)).to.equal(hashOfSkyline(skylines, 1, 7))
    expect(hashOfSkyline(skylines, 0, 8)).not.to.equal(hashOfSkyline(skylines, 1, 7))
    skylines.y[1] = 11
    expect(hashOfSkyline(skylines, 0, 7)).not.to.equal(hashOfSkyline(skylines, 1, 7))
  })
})

describe('the rooms of a level', () => {
  function level() {
    const made = createRoomLevel(2, 3)
    made.width.set([50, 20, 10], 3)
    made.height.set([40, 30, 70], 3)
    made.count[1] = 3
    return made
  }

  it('know their tightest: 20 · 30 is less than 10 · 70 and 50 · 40', () => {
    expect(tightestRoom(level(), 1)).to.equal(1)
  })

  it('are copied, and one dropped leaves the others', () => {
    const rooms = level()
    copyRooms(rooms, 1, 0)
    dropRoom(rooms, 0, 0)
    expect(rooms.count[0]).to.equal(2)
    expect([...rooms.width.subarray(0, 2)].toSorted((one, other) => one - other)).to.deep.equal([10, 20])
    expect(rooms.count[1]).to.equal(3)
  })

  it('look alike in any order, and not with one more or one larger', () => {
    const rooms = level()
    rooms.width.set([10, 50, 20], 0)
    rooms.height.set([70, 40, 30], 0)
    rooms.count[0] = 3
    expect(hashOfRooms(rooms, 0, 7)).to.equal(hashOfRooms(rooms, 1, 7))
    rooms.height[1] = 41
    expect(hashOfRooms(rooms, 0, 7)).not.to.equal(hashOfRooms(rooms, 1, 7))
  })
})

describe('weighing partial layouts', () => {
  const kit = createKit([
    { width: 10, height: 10, turnable: true },
    { width: 10, height: 30, turnable: true },
  ])
  const room = { x: 0, y: 0, width: 10, height: 45, sheet: 0, left: 0, bottom: 0 }
  const taste = { perEdge: 0.5, perArea: 0.1, noise: 0, pilot: 1 }

  it('may lose what the rooms have over the pieces: 450 − 400', () => {
    const weighing = createWeighing(kit, () => 0)
    weighing.begin([room], taste)
    expect([weighing.isTooMuch(50), weighing.isTooMuch(51), weighing.mayLoseNothing()]).to.deep.equal([
      false,
      true,
      false,
    ])
    weighing.begin([{ ...room, height: 40 }], taste)
    expect(weighing.mayLoseNothing()).to.equal(true)
  })

  it('adds what is lost and half a mean piece of 200 an edge, and takes a tenth of what is laid', () => {
    const weighing = createWeighing(kit, () => 0)
    weighing.begin([room], taste)
    // 20 + 3 · 0.5 · 200 − 0.1 · 100
    expect(weighing.score(20, 3, 100)).to.equal(310)
  })
})

describe('a join of two blocks', () => {
  it('is one number that tells the two and what is done with them', () => {
    const how = joinOf(3, 7, 12) | sideBySide | secondTurned
    expect([firstOf(how, 12), secondOf(how, 12)]).to.deep.equal([3, 7])
    expect([how & sideBySide, how & secondTurned]).to.deep.equal([sideBySide, secondTurned])
  })

  it('turns a block whole: what lay beside lies above', () => {
    const block = { width: 30, height: 20, items: [{ item: 4, x: 10, y: 5, turned: false }] }
    expect(turnIf(true, block)).to.deep.equal({
      width: 20,
      height: 30,
      items: [{ item: 4, x: 5, y: 10, turned: true }],
    })
    expect(turnIf(false, block)).to.equal(block)
  })
})
