import { expect } from 'chai'
import { repeatOf, textureSize } from './repeat'

describe('the texture of a cloth', () => {
  it('is one repeat: of its print both ways alike, of a photograph what is cropped of it', () => {
    expect(repeatOf({ photo: undefined, repeatMm: 20, acrossMm: 30 })).to.deep.equal({
      width: 30,
      height: 20,
    })
    const tile = { x: 0, y: 0, width: 120, height: 80 }
    const photo = { href: '', width: 200, height: 150, turn: 0, tile }
    expect(repeatOf({ photo, repeatMm: 20, acrossMm: 20 })).to.deep.equal({ width: 120, height: 80 })
  })

  it('is eight pixels to the millimetre where that is neither too many nor too few', () => {
    expect(textureSize({ width: 20, height: 20 })).to.deep.equal({ width: 160, height: 160 })
    // a weave of 2 mm would be 16 across
    expect(textureSize({ width: 2, height: 2 })).to.deep.equal({ width: 64, height: 64 })
    // 512 × 256 mm would be 4096 across: a fourth of that both ways
    expect(textureSize({ width: 512, height: 256 })).to.deep.equal({ width: 1024, height: 512 })
  })
})
