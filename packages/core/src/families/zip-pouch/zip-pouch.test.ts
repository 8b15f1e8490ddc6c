import { expect } from 'chai'
import type { CoverFile } from '../../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  notionOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import { toJsonMm } from '../../length/length.js'

const tabletOf = (thickness: string): CoverFile['object'] => ({
  kind: 'tablet',
  edges: 'square',
  readings: { height: ['170 mm'], width: ['120 mm'], thickness: [thickness] },
})
const file = (changes: Partial<CoverFile> = {}) =>
  familyFile('zip-pouch', { object: tabletOf('10 mm'), ...changes })

describe('a zip pouch', () => {
  const plan = planFrom(file())

  it('closes at the top with a zip that adds half of what shows', () => {
    // π·s = 1.27627: 120 + 10 + 1.27627 + 8 + 12 + 1 = 152.2763
    // 170 + 10 + 1.27627 + 10 + 13 − 6/2 = 201.2763
    expect(exactOf(plan, 'outer')).to.deep.equal([152.2763, 201.2763])
    expect(cutOf(plan, 'outer')).to.equal('2 × 153 mm × 202 mm')
    // 202 − 13 + 3 − 181.27627
    expect(toJsonMm(fitOf(plan, 'height').ease)).to.equal(10.7237)
  })

  it('has a pocket an inch below the mouth, or none', () => {
    expect(cutOf(plan, 'pocket-outer')).to.equal('1 × 153 mm × 177 mm')
    expect(cutOf(plan, 'pocket-lining')).to.equal('1 × 153 mm × 177 mm')
    const plain = planFrom(file({ options: { pocket: false } }))
    expect(plain.pieces.map(({ id }) => id)).to.deep.equal(['outer', 'lining'])
  })

  it('wants a zip 3 in longer than the wall', () => {
    expect(notionOf(plan, 'zip')).to.deep.equal({ count: 1, mm: 229, exact: 229 })
    expect(notionOf(planFrom(file({ options: { zipExtra: '20 mm' } })), 'zip').mm).to.equal(173)
  })

  it('pads inside the edges', () => {
    const padded = planFrom(
      file({
        layers: [
          { role: 'padding', thickness: '2 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // s = 2.15625, π·s = 6.774: 138 + 6.774 + 13 = 157.77 → 158; − 24
    expect(cutOf(padded, 'padding')).to.equal('2 × 134 mm × 183 mm')
  })

  it('warns of a device too thick for a flat pouch, and of a zip too short for it', () => {
    // a quarter of 120
    const { data } = findingOf(planFrom(file({ object: tabletOf('31 mm') })), 'too-thick-for-flat')
    expect(data).to.deep.equal({ thickness: 31 * 320, most: 30 * 320 })
    expect(codesOf(planFrom(file({ object: tabletOf('30 mm') })))).not.to.include('too-thick-for-flat')
    const ruled = (addWidth: string) =>
      codesOf(planFrom(file({ sizing: { mode: 'rule', measure: 'device', addWidth, addHeight: '50 mm' } })))
    // opens 120 + 22 − 13 = 129 for 130
    expect(ruled('22 mm')).to.include('zip-opening-too-small')
    expect(ruled('23 mm')).not.to.include('zip-opening-too-small')
  })

  it('by recipe adds two inches each way', () => {
    expect(cutOf(planFrom(file({ sizing: { mode: 'recipe', recipe: 'two-inches' } })), 'outer')).to.equal(
      '2 × 170 mm × 220 mm',
    )
  })
})
