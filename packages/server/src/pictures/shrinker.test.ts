import { expect } from 'chai'
import sharp from 'sharp'
import { pictureTypeOf } from './content-type.js'
import { createPictureShrinker, type PictureShrinker } from './shrinker.js'

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#33665a' } })

describe('making pictures small', function () {
  this.timeout(180_000)
  const opened: PictureShrinker[] = []
  const open = (options = {}) => {
    const shrinker = createPictureShrinker(options)
    opened.push(shrinker)
    return shrinker
  }
  afterEach(() => opened.splice(0).forEach(({ close }) => close()))

  it('goes by what a picture is, not by what it is called', async () => {
    expect(pictureTypeOf(await plain(4, 4).png().toBuffer())).to.equal('png')
    expect(pictureTypeOf(await plain(4, 4).jpeg().toBuffer())).to.equal('jpeg')
    expect(pictureTypeOf(await plain(4, 4).webp().toBuffer())).to.equal('webp')
    for (const other of [await plain(4, 4).gif().toBuffer(), Buffer.from('<svg/>'), Buffer.alloc(0)])
      expect(pictureTypeOf(other)).to.equal(undefined)
  })

  it('takes PNG, JPEG and WebP, and nothing that draws itself', async () => {
    const { shrink } = open()
    for (const picture of [plain(640, 400).png(), plain(640, 400).jpeg(), plain(640, 400).webp()])
      expect((await shrink(await picture.toBuffer())).kind).to.equal('picture')
    const nested = `<svg xmlns="http://www.w3.org/2000/svg" width="9000" height="9000"><rect width="9" height="9"/></svg>`
    expect((await shrink(Buffer.from(nested))).kind).to.equal('bad-request')
    const disguised = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.from(nested)])
    expect((await shrink(disguised)).kind).to.equal('bad-request')
  })

  it('refuses more than 50 megapixels before it unpacks them', async () => {
    const { shrink } = open()
    const huge = await plain(7200, 7200).png({ compressionLevel: 1 }).toBuffer()
    expect((await shrink(huge)).kind).to.equal('bad-request')
  })

  it('ends a process that takes too long, and goes on with the next picture in another', async () => {
    const { shrink } = open({ timeoutMs: 1 })
    expect((await shrink(await plain(3000, 3000).png().toBuffer())).kind).to.equal('bad-request')
    const patient = open()
    expect((await patient.shrink(await plain(30, 30).png().toBuffer())).kind).to.equal('picture')
  })

  it('leaves its caller free meanwhile, and asks to wait when many come at once', async () => {
    const { shrink } = open()
    const picture = await plain(5000, 5000).png().toBuffer()
    let ticks = 0
    const clock = setInterval(() => ticks++, 5)
    const began = performance.now()
    const answers = await Promise.all(Array.from({ length: 12 }, () => shrink(picture)))
    const waited = performance.now() - began
    clearInterval(clock)
    expect(answers.filter(({ kind }) => kind === 'picture')).to.have.length(9)
    expect(answers.filter(({ kind }) => kind === 'busy')).to.have.length(3)
    expect(ticks, 'the clock went on').to.be.greaterThan(waited / 5 / 4)
  })
})
