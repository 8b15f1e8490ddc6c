import { expect } from 'chai'
import { inRepeats, repeatOf, textureSize } from './repeat'

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

describe('a place of a leaf in the picture of a repeat', () => {
  const repeat = { width: 20, height: 50 }

  it('begins with one at the foot of the leaf, to scale', () => {
    // 100 across are 5 repeats of 20, 150 high are 3 of 50
    expect(inRepeats([0, 0], [100, 150], repeat)).to.deep.equal([0, 0])
    expect(inRepeats([1, 1], [100, 150], repeat)).to.deep.equal([5, 3])
  })

  it('has the place under which its piece was laid at its upper left, counted down from there', () => {
    // 30 from the selvedge are 1.5 repeats; 20 from the beginning 0.4 of one, below the upper end of the picture
    expect(inRepeats([0, 1], [100, 150], repeat, [30, 20])).to.deep.equal([1.5, -0.4])
    // 10 further right, 25 further down: 40 / 20, and 45 / 50 below it
    const [u, v] = inRepeats([0.1, 1 - 25 / 150], [100, 150], repeat, [30, 20])
    expect(u).to.be.closeTo(2, 1e-9)
    expect(v).to.be.closeTo(-0.9, 1e-9)
  })
})
