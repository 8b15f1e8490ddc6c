import { mm, zero, type Drawing } from '@snowdrift/core'
import { expect } from 'chai'
import { textScaleFor } from './text-scale.js'

const drawing = (width: number, height: number): Drawing => ({
  title: '',
  from: [zero, zero],
  width: mm(width),
  height: mm(height),
  marks: [],
})

describe('the letters of a drawing', () => {
  it('are a share of its longer side', () => {
    // 400 mm over 800 px: 2 px a millimetre; 16 px are 8 mm of 400
    expect(textScaleFor(drawing(400, 100), { width: 800, height: 400, letter: 16 })).to.equal(0.02)
  })

  it('keep their size where the height sets the scale', () => {
    // 400 mm over 200 px: 0.5 px a millimetre; 16 px are 32 mm of 400
    expect(textScaleFor(drawing(100, 400), { width: 800, height: 200, letter: 16 })).to.equal(0.08)
  })
})
