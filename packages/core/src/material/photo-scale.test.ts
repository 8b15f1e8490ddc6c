import { expect } from 'chai'
import fc from 'fast-check'
import { inches, mm } from '../length/length.js'
import { scalePhoto, type PhotoReading } from './photo-scale.js'

const whole = { left: 0, top: 0, right: 0, bottom: 0 }
const reading: PhotoReading = {
  ratio: 0.75,
  marks: [
    [0.1, 0.3],
    [0.6, 0.3],
  ],
  apart: inches(4),
  turn: 0,
  crop: whole,
}

describe('a photograph of cloth', () => {
  it('has its scale from two marks', () => {
    // 4 in = 101.6 mm are 0.5 of its width: 203.2 wide, 203.2 × 0.75 = 152.4 high.
    const photo = scalePhoto(reading)
    expect(photo?.width).to.be.closeTo(203.2, 1e-9)
    expect(photo?.height).to.be.closeTo(152.4, 1e-9)
    expect(photo?.tile.x).to.be.closeTo(-101.6, 1e-9)
    expect(photo?.tile.y).to.be.closeTo(-76.2, 1e-9)
    expect(photo?.tile.width).to.be.closeTo(203.2, 1e-9)
    // Aslant: √(0.3² + 0.4²) = 0.5 as well.
    const slanted = scalePhoto({
      ...reading,
      marks: [
        [0, 0],
        [0.3, 0.4],
      ],
    })
    expect(slanted?.width).to.be.closeTo(203.2, 1e-9)
  })

  it('has none where the marks stand on one spot, and shows nothing where nothing is left', () => {
    const spot = [0.3, 0.3] as const
    expect(scalePhoto({ ...reading, marks: [spot, spot] })).to.equal(undefined)
    expect(scalePhoto({ ...reading, marks: [spot, [0.33, 0.3]] })).not.to.equal(undefined)
    expect(scalePhoto({ ...reading, crop: { ...whole, left: 0.5, right: 0.5 } })).to.equal(undefined)
    expect(scalePhoto({ ...reading, apart: mm(0) })).to.equal(undefined)
  })

  it('swaps its sides by a quarter turn, and loses its corners turned by less', () => {
    const { tile: quarter } = scalePhoto({ ...reading, turn: 90 }) ?? {}
    expect([quarter?.width, quarter?.height].map(side => Math.round((side ?? 0) * 1e6) / 1e6)).to.deep.equal([
      152.4, 203.2,
    ])
    // By 30°: 203.2 · cos 30° + 152.4 · sin 30° = 252.18, 203.2 · sin 30° + 152.4 · cos 30° = 233.58;
    // the shares 203.2 / 252.18 = 0.8058 and 152.4 / 233.58 = 0.6525, so 132.58 × 99.43.
    const { tile: aslant } = scalePhoto({ ...reading, turn: -30 }) ?? {}
    expect(aslant?.width).to.be.closeTo(132.58, 0.02)
    expect(aslant?.height).to.be.closeTo(99.43, 0.02)
  })

  it('is cropped to what is straight, from the sides of what is upright', () => {
    const { tile } = scalePhoto({ ...reading, crop: { left: 0.1, top: 0.2, right: 0.3, bottom: 0 } }) ?? {}
    // 203.2 × (0.1 − 0.5) = −81.28; 203.2 × 0.6 = 121.92; 152.4 × (0.2 − 0.5) = −45.72; 152.4 × 0.8 = 121.92.
    expect(tile?.x).to.be.closeTo(-81.28, 1e-9)
    expect(tile?.y).to.be.closeTo(-45.72, 1e-9)
    expect(tile?.width).to.be.closeTo(121.92, 1e-9)
    expect(tile?.height).to.be.closeTo(121.92, 1e-9)
  })

  it('never shows what is not on the photograph, however it is turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (turn, ratio) => {
          const photo = scalePhoto({ ...reading, turn, ratio })
          if (!photo) throw new Error('no scale')
          const { x, y, width, height } = photo.tile
          const back = (-turn * Math.PI) / 180
          for (const [cornerX, cornerY] of [
            [x, y],
            [x + width, y],
            [x, y + height],
            [x + width, y + height],
          ] as const) {
            const onPhoto = [
              cornerX * Math.cos(back) - cornerY * Math.sin(back),
              cornerX * Math.sin(back) + cornerY * Math.cos(back),
            ] as const
            expect(Math.abs(onPhoto[0])).to.be.at.most(photo.width / 2 + 1e-6)
            expect(Math.abs(onPhoto[1])).to.be.at.most(photo.height / 2 + 1e-6)
          }
        },
      ),
    )
  })
})
