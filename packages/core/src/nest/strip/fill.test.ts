import { expect } from 'chai'
import fc from 'fast-check'
import { createGapFiller } from './fill-gaps.js'
import { createRoomFiller } from './fill-rooms.js'
import type { Filler } from './filler.js'
import { createKit, createLaid, type Kit, type KitRectangle } from './kit.js'
import { inARow, type Room, type RoomOnSheet } from './rooms.js'

const side = fc.integer({ min: 1, max: 12 })
const anyRectangle = fc.record({ width: side, height: side, turnable: fc.boolean() })
const anyRoom = fc
  .record({ width: fc.integer({ min: 3, max: 25 }), height: fc.integer({ min: 3, max: 25 }) })
  .map(room => ({ ...room, sheet: 0, left: 0, bottom: 0 }))

interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

function boxesOf(kit: Kit, filler: Filler, rooms: readonly Room[], order: readonly number[]) {
  const laid = createLaid(kit.count)
  const outItems = new Int32Array(kit.count)
  const out = filler.fill(Int32Array.from(order), rooms, Infinity, laid)
  const left = new Set(outItems.subarray(0, filler.listOut(outItems)))
  const boxes = order
    .filter(item => !left.has(item))
    .map((item): Box => {
      const [wide, high] = [kit.widths[item] as number, kit.heights[item] as number]
      const turned = laid.turned[item] === 1
      return {
        x: laid.x[item] as number,
        y: laid.y[item] as number,
        width: turned ? high : wide,
        height: turned ? wide : high,
      }
    })
  return { out, boxes, left }
}

const isIn = (box: Box, room: Room) =>
  box.x >= room.x &&
  box.y >= room.y &&
  box.x + box.width <= room.x + room.width &&
  box.y + box.height <= room.y + room.height
const meets = (one: Box, other: Box) =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height

for (const [name, createFiller] of [
  ['filling gaps', createGapFiller],
  ['filling rooms', createRoomFiller],
] as const)
  describe(name, () => {
    const fillerOf = (rectangles: readonly KitRectangle[], rooms: readonly RoomOnSheet[]) => {
      const kit = createKit(rectangles)
      return { kit, row: inARow(rooms), filler: createFiller(kit, rooms.length) }
    }

    it('lays each piece within one room and over no other, and tells the area of what is left out', () => {
      fc.assert(
        fc.property(
          fc.array(anyRectangle, { minLength: 1, maxLength: 14 }),
          fc.array(anyRoom, { minLength: 1, maxLength: 3 }),
          fc.infiniteStream(fc.nat(1000)),
          (rectangles, rooms, luck) => {
            const { kit, row, filler } = fillerOf(rectangles, rooms)
            const keys = rectangles.map(() => luck.next().value as number)
            const order = rectangles
              .map((_, item) => item)
              .toSorted((a, b) => (keys[a] ?? 0) - (keys[b] ?? 0))
            const { out, boxes, left } = boxesOf(kit, filler, row, order)
            const areaLeft = [...left].reduce(
              (sum, item) => sum + (kit.widths[item] as number) * (kit.heights[item] as number),
              0,
            )
            expect(out).to.equal(areaLeft)
            for (const box of boxes) expect(row.some(room => isIn(box, room))).to.equal(true)
            boxes.forEach((one, index) =>
              boxes.slice(index + 1).forEach(other => expect(meets(one, other)).to.equal(false)),
            )
          },
        ),
      )
    })

    it('lays what fits alone, turned where that is the only way', () => {
      const { kit, row, filler } = fillerOf(
        [{ width: 9, height: 2, turnable: true }],
        [{ width: 3, height: 10, sheet: 0, left: 0, bottom: 0 }],
      )
      const { out, boxes } = boxesOf(kit, filler, row, [0])
      expect(out).to.equal(0)
      expect(boxes).to.deep.equal([{ x: 0, y: 0, width: 2, height: 9 }])
    })

    it('prefers the piece that fills the width, whatever the order', () => {
      const { kit, row, filler } = fillerOf(
        [
          { width: 4, height: 3, turnable: false },
          { width: 6, height: 3, turnable: false },
        ],
        [{ width: 6, height: 6, sheet: 0, left: 0, bottom: 0 }],
      )
      const { out, boxes } = boxesOf(kit, filler, row, [0, 1])
      expect(out).to.equal(0)
      expect(boxes[1]).to.include({ x: 0, y: 0 })
    })

    it('stops early once too much is lost, and says no less than it was told to bear', () => {
      const { row, filler } = fillerOf(
        [
          { width: 8, height: 8, turnable: false },
          { width: 8, height: 8, turnable: false },
        ],
        [{ width: 10, height: 10, sheet: 0, left: 0, bottom: 0 }],
      )
      expect(filler.fill(Int32Array.of(0, 1), row, 10, createLaid(2))).to.be.above(10)
    })
  })
