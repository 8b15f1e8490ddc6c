import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { run } from './testing/run.js'

const folder = join(import.meta.dirname, '../../../docs/examples')

interface PlanJson {
  readonly pieces: readonly {
    readonly id: string
    readonly count: number
    readonly cut: { readonly width: { readonly text: string }; readonly height: { readonly text: string } }
  }[]
  readonly notions: readonly { readonly id: string; readonly length?: { readonly text: string } }[]
  readonly findings: readonly { readonly code: string }[]
}

async function planOf(name: string): Promise<{ readonly code: number; readonly json: PlanJson }> {
  const { code, out, err } = await run('plan', [join(folder, `${name}.json`)])
  expect(err).to.equal('')
  return { code, json: JSON.parse(out) as PlanJson }
}

/** What is cut and bought for each example, worked out by hand; lengths as the file’s unit says them. */
const worked: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  // s = 2.82: 336.55 + 30.1625 + 3.175 + 8.865 + 5 + 13.7 = 397.45; the padding slopes
  // away: 238.125 + 3.175 + 1.325 + 0.896 + 5 + 13.7 = 262.22
  'hut-ledger': { outer: '1 × 15 3/4 in × 10 3/8 in', flap: '2 × 6 1/2 in × 10 3/8 in', ribbon: '10 in' },
  // 12 3/4 + 5 by 9 + 4
  'course-notes': { outer: '1 × 17 3/4 in × 13 in' },
  // 4 in + (323.85 + 1.32 + 5) + 3 1/2 in + 13.7 = 534.37 → 21 1/8; 228.6 + 1.32 + 5 + 13.7 = 248.62 → 9 7/8; strap + 1/2
  'handbook-series': { outer: '1 × 21 1/8 in × 9 7/8 in', strap: '2 × 10 3/8 in × 3 in' },
  // 10 1/2 + 1.07 in + 2·4 mm + 2·1: 13.885 → 14; 7 3/4 + 2; pastedowns 5 1/8 × 7 1/2
  'field-guide': { outer: '1 × 14 in × 9 3/4 in', pastedown: '2 × 5 1/8 in × 7 1/2 in' },
  // boards 6 1/4 × 8 3/4, spine 1 3/8; gap √2·2 + 0.28 = 3.108 mm: 13 7/8 in + 6.217 + 38.1 = 396.7 → 15 5/8; 222.25 + 38.1 → 10 1/4
  // holes (1 3/8 − 1/2)/2 = 7/16 apart; cord 0.90·(4·8 1/4 + 4·7/16) + 4 = 35.275 → 35 3/8; ribbon 4·8
  'botany-journal': {
    board: '4 × 6 1/4 in × 8 3/4 in',
    'spine-board': '2 × 1 3/8 in × 8 3/4 in',
    outer: '1 × 15 5/8 in × 10 1/4 in',
    lining: '2 × 6 in × 8 1/2 in',
    cord: '35 3/8 in',
    ribbon: '32 in',
  },
  // F = 5, S = 3/4, L = 2: 13 1/2 × 8; stiffener 11 1/4 × 7 1/2; ribbon 1 1/2 · 2·(5 + 3/4) = 17 1/4
  'weather-booklets': {
    outer: '1 × 13 1/2 in × 8 in',
    stiffener: '1 × 11 1/4 in × 7 1/2 in',
    'wrap-ribbon': '17 1/4 in',
  },
  // s = 0.28125 + 2.3·0.825 + 0.140625 = 2.3194; edges eased by 9/4: 129 − 1.931 + 7.287 + 8 + 15 = 157.36;
  // 174.5 − 0.966 + 3.643 + 10 + 15 = 202.18; quilted 158/0.97 + 12 = 174.9, 203/0.97 + 12 = 221.3
  // cord 2·(9 + 19 + 2·2.3194) + 24 = 89.28
  'night-reader': {
    lining: '2 × 158 mm × 203 mm',
    outer: '2 × 175 mm × 222 mm',
    padding: '2 × 175 mm × 222 mm',
    cord: '90 mm',
  },
  // 120 + 50, 170 + 50; pocket 25 lower; zip 170 + 76
  'cable-pouch': { outer: '2 × 170 mm × 220 mm', 'pocket-outer': '1 × 170 mm × 195 mm', zip: '246 mm' },
  // s = 2.8219, s_p = 0.42, edges eased by 7.9375/4: 177.8 + 7.9375 − 1.703 + 5.0956 + 8 + 12.7 + 3 = 212.83 → 8 1/2
  // 2·(250.825 + 3.96875) + 7.9375 − 3.407 + 8.865 + 20 + 15.7 = 558.68 → 22; pocket 9 7/8 + 2; zip + 2
  'sketch-tablet': {
    outer: '1 × 8 1/2 in × 22 in',
    pocket: '2 × 8 1/2 in × 11 7/8 in',
    'zip-pocket-low': '2 × 8 1/2 in × 4 in',
    zip: '10 1/2 in',
  },
  // 301.625 + 1.5875 + 1.325 + 5 + 13.7 = 323.24 → 12 3/4; 209.55 + 1.5875 + 1.325 + 5 + 13.7 = 231.16 → 9 1/8
  // flaps 2·(2 1/2 + 1/4); pockets 2 1/2 − 2·1/2 + 2·1/4 by 3 + 1/4 + 2·1/4
  'three-prints': {
    outer: '1 × 12 3/4 in × 9 1/8 in',
    flap: '2 × 5 1/2 in × 9 1/8 in',
    'pocket-patch': '1 × 2 in × 3 3/4 in',
    'pocket-patch-2': '1 × 2 in × 3 3/4 in',
  },
  // the panel as it is
  'moor-panel': { outer: '1 × 14 5/8 in × 10 in', lining: '1 × 14 5/8 in × 10 in' },
  // the strap from 4 1/4 on: all five from 3 to 3 1/2; with 2.2 mm that rounding adds, 3 1/8 keeps farthest from both ends
  // 101.6 + 323.85 + 1.325 + 5 + 79.375 + 13.7 = 524.85 → 20 3/4; 228.6 + 1.325 + 5 + 13.7 → 9 7/8
  'course-series': { outer: '1 × 20 3/4 in × 9 7/8 in', strap: '2 × 10 3/8 in × 3 in' },
  // coil π/2·1 1/8 = 44.885 mm; s = 0.28125 + 3·0.85 + 0.140625 = 2.972, s_g = 0.42
  // 368.3 + 44.885 + 9.336 + 0.844 + 9.525 + 19.05 = 451.94 → 17 7/8; 219.075 + max(0.84, 3.175 + 1.325) + 28.575 = 252.15 → 10
  // P = 2·(17 1/8 + 9 1/4) in − 1.7168·3/4 in = 51.4624; half run 25.7312 − 1 1/2 = 24.2312; zip + 3
  // f = (22.225 + 5.944 + 3.175 − 6.35)/2 = 12.497 is under 1/2 in: 1/2 + 3/4
  'rota-planner': {
    outer: '1 × 17 7/8 in × 10 in',
    gusset: '2 × 24 1/4 in × 1 1/4 in',
    flap: '2 × 6 3/4 in × 10 in',
    piping: '1 × 53 1/2 in × 1 1/2 in',
    zip: '27 1/4 in',
  },
}

describe('the examples in docs', () => {
  const names = readdirSync(folder).map(file => file.replace('.json', ''))

  it('have all that were worked by hand among them', () => {
    expect(names).to.include.members(Object.keys(worked))
  })

  for (const name of names)
    it(`${name}: can be made, and nothing is in the way`, async () => {
      const { code, json } = await planOf(name)
      expect(code).to.equal(0)
      expect(json.pieces).to.have.length.above(0)
    })

  for (const [name, expected] of Object.entries(worked))
    it(`${name}: comes out as worked by hand`, async () => {
      const { json } = await planOf(name)
      const pieces = json.pieces.map(
        ({ id, count, cut }) => [id, `${count} × ${cut.width.text} × ${cut.height.text}`] as const,
      )
      const notions = json.notions.flatMap(({ id, length }) => (length ? [[id, length.text] as const] : []))
      const found = Object.fromEntries([...pieces, ...notions])
      for (const [id, size] of Object.entries(expected)) expect(found[id], id).to.equal(size)
    })
})
