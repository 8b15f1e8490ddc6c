import { expect } from 'chai'
import { exportCover } from '../export-cover.js'
import { madeFrom } from '../testing/made.js'
import { infoOf, wordsOf } from '../testing/poppler.js'

/** As it can be compared: fractions with a plain slash, spaces as one. */
const plainly = (words: string) => words.replaceAll('⁄', '/').replaceAll(/\s+/g, ' ')

describe('the project sheet', function () {
  this.timeout(60_000)
  const made = { ...madeFrom('hut-ledger'), chance: 0.934 }

  it('has the thing, the fit, every piece, every notion and every step of the cover', async () => {
    const words = plainly(wordsOf(await exportCover('sheet', made)))
    for (const { name } of made.making.steps) expect(words).to.include(plainly(name))
    for (const part of ['The thing', 'Choices', 'How it will fit', 'Pieces', 'Notions', 'Steps'])
      expect(words).to.include(part)
    expect(words).to.include('15 3/4 in × 10 3/8 in')
    expect(words).to.include('93 of 100 made by hand will fit.')
  })

  it('says beside each choice why it is so', async () => {
    const words = plainly(wordsOf(await exportCover('sheet', made)))
    for (const { extra } of made.cover.extras) expect(words).to.include(extra.words.summary)
    expect(words).to.include('it follows what was measured and what lies underneath')
    expect(words).to.match(/The layers stand off the thing by [^:]+: that is in the sizes/)
    const own = plainly(
      wordsOf(
        await exportCover('sheet', { ...made, cover: { ...made.cover, seam: made.plan.settled.seam } }),
      ),
    )
    const { seam: _seam, ...unsaid } = made.cover
    const usual = plainly(wordsOf(await exportCover('sheet', { ...made, cover: unsaid })))
    expect(own).to.include('set for this cover')
    expect(usual).to.include('usual when made so')
    expect(usual).not.to.include('set for this cover')
  })

  it('leaves reckoning out for somebody who sews it from the numbers', async () => {
    const words = plainly(wordsOf(await exportCover('sheet', made, { audience: 'sewist' })))
    expect(words).not.to.include('How it will fit')
    expect(words).not.to.include('Choices')
    expect(words).to.include('15 3/4 in × 10 3/8 in')
  })

  it('says each word of safety once', async () => {
    const words = plainly(wordsOf(await exportCover('sheet', made)))
    expect(words.match(/Never sew over pins/g)).to.have.length(1)
  })
})

describe('the measuring card', function () {
  this.timeout(60_000)

  it('asks for what the way of making needs, with lines to write on', async () => {
    const bytes = await exportCover('card', madeFrom('hut-ledger'), { paper: 'letter' })
    const words = plainly(wordsOf(bytes))
    for (const reading of ['Height, first', 'Wrap, second', 'Thickness, first'])
      expect(words).to.include(reading)
    expect(words).to.include('wrap, or open width, or width and thickness')
    expect(infoOf(bytes).pages).to.be.within(1, 4)
  })

  it('asks for a device as for a device', async () => {
    const words = plainly(wordsOf(await exportCover('card', madeFrom('night-reader'))))
    expect(words).to.include('From the mouth of its case down.')
    expect(words).not.to.include('Head to tail')
  })
})
