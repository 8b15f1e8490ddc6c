import { expect } from 'chai'
import fc from 'fast-check'
import { partings, roomsByCuts, roomsByStrips, type Rectangle } from './rooms-around-pins.js'

const sheet = { x: 0, y: 0, width: 20, height: 30 }
const area = (boxes: readonly Rectangle[]) =>
  boxes.reduce((sum, { width, height }) => sum + width * height, 0)
const meets = (one: Rectangle, other: Rectangle) =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height

describe('the ground round what is pinned', () => {
  it('is the whole sheet where nothing is, and nothing where all is', () => {
    expect(roomsByCuts(sheet, { pins: [] })).to.deep.equal([sheet])
    expect(roomsByCuts(sheet, { pins: [sheet] })).to.deep.equal([])
  })

  it('keeps the largest part whole', () => {
    const rooms = roomsByCuts(sheet, { pins: [{ x: 0, y: 0, width: 8, height: 5 }] }) ?? []
    // Cutting across first leaves 20 × 25 = 500; cutting along first 12 × 30 = 360.
    expect(rooms).to.deep.equal([
      { x: 8, y: 0, width: 12, height: 5 },
      { x: 0, y: 5, width: 20, height: 25 },
    ])
  })

  it('cannot be parted by cuts where four stand as a pinwheel; strips do it then', () => {
    const pinwheel = [
      { x: 0, y: 0, width: 12, height: 10 },
      { x: 12, y: 0, width: 8, height: 20 },
      { x: 8, y: 20, width: 12, height: 10 },
      { x: 0, y: 10, width: 8, height: 20 },
    ]
    expect(roomsByCuts(sheet, { pins: pinwheel })).to.equal(undefined)
    expect(roomsByStrips(sheet, pinwheel)).to.deep.equal([{ x: 8, y: 10, width: 4, height: 10 }])
  })

  it('may be cut through what is avoided, even a pinwheel of it, and where places lie over one another', () => {
    const stain = { x: 6, y: 0, width: 2, height: 30 }
    // The stain is 2 wide from end to end: 6 × 30 before it, 12 × 30 behind.
    expect(roomsByCuts(sheet, { pins: [], avoided: [stain] })).to.deep.equal([
      { x: 0, y: 0, width: 6, height: 30 },
      { x: 8, y: 0, width: 12, height: 30 },
    ])
    // One over the other, both over the edge: 5 × 30 and 15 × 20 are left.
    const over = [
      { x: 5, y: -4, width: 10, height: 14 },
      { x: 10, y: 2, width: 40, height: 8 },
      { x: 5, y: 0, width: 15, height: 10 },
    ]
    expect(area(roomsByCuts(sheet, { pins: [], avoided: over }) ?? [])).to.equal(5 * 30 + 15 * 20)
    expect(
      roomsByCuts(sheet, { pins: [], avoided: [{ x: -1, y: -1, width: 22, height: 32 }] }),
    ).to.deep.equal([])
  })

  it('is all of the sheet that the pins leave, in rooms that do not meet', () => {
    const anyPin = fc.record({
      x: fc.integer({ min: 0, max: 12 }),
      y: fc.integer({ min: 0, max: 22 }),
      width: fc.integer({ min: 1, max: 8 }),
      height: fc.integer({ min: 1, max: 8 }),
    })
    fc.assert(
      fc.property(fc.array(anyPin, { maxLength: 5 }), all => {
        const pins = all.filter((pin, index) => all.slice(0, index).every(other => !meets(pin, other)))
        for (const rooms of [
          roomsByStrips(sheet, pins),
          ...partings.map(parting => roomsByCuts(sheet, { pins, parting })),
        ]) {
          if (!rooms) continue
          expect(area(rooms) + area(pins)).to.equal(area([sheet]))
          const boxes = [...rooms, ...pins]
          boxes.forEach((one, index) =>
            boxes.slice(index + 1).forEach(other => expect(meets(one, other)).to.equal(false)),
          )
        }
      }),
    )
  })
})
