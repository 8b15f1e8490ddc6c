import type { PathMark } from '@snowdrift/core'
import { mm } from '@snowdrift/core'
import { expect } from 'chai'
import type { ClothLook } from './look'
import { bedOf } from './photo-tiles'

/** A photograph of which 100 × 80 mm are shown. */
const photographed: ClothLook = {
  ...{ key: 'larch', colour: '#b98a4a', weave: 'plain', repeatMm: 2, acrossMm: 2 },
  photo: {
    ...{ width: 120, height: 90, turn: 0, href: '/larch' },
    tile: { x: -50, y: -40, width: 100, height: 80 },
  },
}
const sheet = ([left, top, width, height]: readonly [number, number, number, number]): PathMark => ({
  ...{ kind: 'path', closed: true, style: 'cut', fill: 'outside' },
  start: [mm(left), mm(top)],
  steps: [
    { to: [mm(left + width), mm(top)] },
    { to: [mm(left + width), mm(top + height)] },
    { to: [mm(left), mm(top + height)] },
  ],
})
const tilesOf = (area: PathMark, look: ClothLook | undefined = photographed) => bedOf(area, look)?.tiles

describe('a photograph beneath a shape', () => {
  it('is laid as often as it takes to cover it, from where the cloth begins', () => {
    // from 30 to 170 across: the first and the second hundred; from 10 to 60 along: the first eighty
    expect(tilesOf(sheet([30, 10, 140, 50]))).to.deep.equal([
      [0, 0],
      [100, 0],
    ])
    // a cloth that begins at -20, 40: the hundreds from -20 and 80, the eighties from -40 and 40
    expect(tilesOf(sheet([30, 10, 140, 50]), { ...photographed, from: [-20, 40] })).to.deep.equal([
      ...[
        [-20, -40],
        [80, -40],
      ],
      ...[
        [-20, 40],
        [80, 40],
      ],
    ])
    // one that ends where a repeat ends needs no further
    expect(tilesOf(sheet([0, 0, 100, 80]))).to.deep.equal([[0, 0]])
  })

  it('covers every shape, wherever the cloth begins', () => {
    for (let turn = 0; turn < 200; turn++) {
      const [left, top] = [((turn * 37) % 211) - 100, ((turn * 53) % 197) - 90]
      const [wide, high] = [1 + ((turn * 29) % 180), 1 + ((turn * 17) % 150)]
      const from = [((turn * 13) % 300) - 150, ((turn * 7) % 300) - 150] as const
      const tiles = tilesOf(sheet([left, top, wide, high]), { ...photographed, from }) ?? []
      for (const [x, y] of [
        [left, top],
        [left + wide, top],
        [left, top + high],
        [left + wide, top + high],
        [left + wide / 2, top + high / 2],
      ] as const) {
        const over = tiles.filter(
          ([tileX, tileY]) => x >= tileX && x <= tileX + 100 && y >= tileY && y <= tileY + 80,
        )
        expect(over, `${x}, ${y} of turn ${turn}`).to.not.deep.equal([])
      }
    }
  })

  it('reaches as far as a round end does', () => {
    const round: PathMark = {
      ...sheet([10, 10, 80, 60]),
      steps: [
        { to: [mm(90), mm(10)] },
        // half round, 30 further to the right than its ends
        { to: [mm(90), mm(70)], radius: mm(30), clockwise: true },
        { to: [mm(10), mm(70)] },
      ],
    }
    expect(tilesOf(round)).to.deep.include([100, 0])
    expect(tilesOf(sheet([10, 10, 80, 60]))).to.deep.equal([[0, 0]])
  })

  it('is left to a pattern where it would be laid very often, or there is none', () => {
    // 4 × 4 are laid, 5 × 4 are not
    expect(tilesOf(sheet([0, 0, 400, 320]))).to.have.length(16)
    expect(tilesOf(sheet([0, 0, 401, 320]))).to.equal(undefined)
    expect(tilesOf(sheet([0, 0, 100_000, 10]))).to.equal(undefined)
    expect(tilesOf(sheet([0, 0, 100, 80]), { ...photographed, photo: undefined })).to.equal(undefined)
    expect(bedOf(sheet([0, 0, 100, 80]), undefined)).to.equal(undefined)
  })
})
