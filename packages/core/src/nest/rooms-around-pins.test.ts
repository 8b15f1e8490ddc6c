import { expect } from 'chai'
import fc from 'fast-check'
import { roomsByCuts, roomsByStrips, type Rectangle } from './rooms-around-pins.js'

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
    expect(roomsByCuts(sheet, [])).to.deep.equal([sheet])
    expect(roomsByCuts(sheet, [sheet])).to.deep.equal([])
  })

  it('keeps the largest part whole', () => {
    const rooms = roomsByCuts(sheet, [{ x: 0, y: 0, width: 8, height: 5 }]) ?? []
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
    expect(roomsByCuts(sheet, pinwheel)).to.equal(undefined)
    expect(roomsByStrips(sheet, pinwheel)).to.deep.equal([{ x: 8, y: 10, width: 4, height: 10 }])
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
        for (const rooms of [roomsByStrips(sheet, pins), roomsByCuts(sheet, pins)]) {
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
