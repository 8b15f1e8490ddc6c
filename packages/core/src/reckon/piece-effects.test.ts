import { expect } from 'chai'
import { cutPieceFrom } from '../file/own-cloth.js'
import { coverFile, planFrom } from '../file/testing/cover-files.js'
import { describePieceEffects } from './piece-effects.js'

const inWords = (text: string) =>
  text.replaceAll('\u2044', '/').replaceAll('\u2009', ' ').replaceAll('\u00a0', ' ')

describe('what a choice does to the pieces', () => {
  const file = coverFile({ seam: '1/4 in' })
  const before = planFrom(file)
  const effects = (thickness: string) =>
    inWords(
      describePieceEffects(
        before,
        planFrom(cutPieceFrom(file, 'flap', { role: 'outer', name: 'Denim', thickness })),
        'in',
      ),
    )

  it('is nothing where the cloth is as thick as before', () => {
    expect(effects('0.28 mm')).to.equal('same sizes')
  })

  it('names the first pieces with their new size, and counts the rest', () => {
    // a doubled flap of 0.9 mm stands off 0.9 + 0.45 = 1.35 instead of 0.42: π/2 · 0.93 = 1.46 mm more height, a step
    const grown = before.pieces.filter(({ id }) => id === 'outer' || id === 'lining')
    expect(grown).to.have.length(2)
    expect(effects('0.9 mm')).to.match(/^outer 15 3\/4 × 10 1\/2, lining 15 3\/4 × 10 1\/2, \d more$/)
  })

  it('says where it could not be made so', () => {
    const none = { ...before, pieces: before.pieces.slice(0, 1) }
    const failing = {
      ...before,
      findings: [{ code: 'seam-too-thick', severity: 'error', about: 'seam' } as never],
    }
    expect(describePieceEffects(before, failing, 'in')).to.equal('cannot be made so')
    expect(describePieceEffects(failing, failing, 'in')).to.equal('same sizes')
    expect(describePieceEffects(before, none, 'in')).to.match(/^no /)
  })
})
