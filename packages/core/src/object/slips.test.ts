import { expect } from 'chai'
import { toMm } from '../length/length.js'
import { parseLength } from '../length/parse.js'
import type { CoveredObject, Reading } from './reading.js'
import { findSlip } from './slips.js'

const reading = (text: string): Reading => {
  const parsed = parseLength(text, 'in')
  if (!parsed.ok) throw new Error(text)
  return { text, length: parsed.length, about: false }
}
const book = (readings: Readonly<Record<string, readonly string[]>>): CoveredObject => ({
  kind: 'hardcover',
  spine: 'flat',
  foldsBack: true,
  edges: 'eased',
  tapeDivision: 508 as never,
  readings: Object.fromEntries(Object.entries(readings).map(([key, texts]) => [key, texts.map(reading)])),
})
const found = (readings: Readonly<Record<string, readonly string[]>>) => {
  const slip = findSlip(book(readings))
  return slip && [slip.kind, slip.reading, Math.round(toMm(slip.rather) * 10) / 10]
}

describe('a slip of the tape', () => {
  it('is not looked for where the readings agree', () => {
    // 2·6 1/2 + 1 = 14
    expect(found({ width: ['6 1/2'], thickness: ['1'], wrap: ['14'] })).to.equal(undefined)
    expect(found({ width: ['6 1/2'], thickness: ['1'] })).to.equal(undefined)
  })

  it('is a tape begun at its first mark', () => {
    // the wrap reads 15 where the sides make 14: 14 in = 355.6
    expect(found({ width: ['6 1/2'], thickness: ['1'], wrap: ['15'] })).to.deep.equal([
      'tape-end',
      'wrap',
      355.6,
    ])
    // in centimetres it is a whole one: 150 − 10
    expect(found({ height: ['150 mm', '140 mm'] })).to.deep.equal(['tape-end', 'height', 140])
  })

  it('is an eighth taken for a sixteenth', () => {
    // read 6 5/16 where 6 5/8 was meant: 2·6 5/8 + 1 = 14 1/4, but 2·6 5/16 + 1 = 13 5/8; 6 5/8 in = 168.3
    expect(found({ width: ['6 5/16'], thickness: ['1'], wrap: ['14 1/4'] })).to.deep.equal([
      'eighth',
      'width',
      168.3,
    ])
    // and the other way round, between two readings: 9 5/8 − 9 5/16 = 5/16 in
    expect(found({ height: ['9 5/8', '9 5/16'] })).to.deep.equal(['eighth', 'height', 236.5])
  })

  it('is a spine read while the leaf block hung', () => {
    // the wrap has 7 mm more than 2·160 + 20, under half the spine: it would have to be 27
    expect(found({ width: ['160 mm'], thickness: ['20 mm'], wrap: ['347 mm'] })).to.deep.equal([
      'sagging',
      'thickness',
      27,
    ])
  })

  it('stays unnamed where no single slip explains it', () => {
    expect(found({ width: ['160 mm'], thickness: ['20 mm'], wrap: ['365 mm'] })).to.equal(undefined)
    expect(found({ height: ['240 mm', '246 mm'] })).to.equal(undefined)
  })

  it('is not seen in a thing that is a little out of square', () => {
    expect(found({ height: ['9 3/8', '9 5/16'] })).to.equal(undefined)
  })
})
