import { expect } from 'chai'
import { exportCover } from '../export-cover.js'
import { madeFrom } from '../testing/made.js'
import { fontsOf, infoOf, strokesOf, wordsOf, type Stroke } from '../testing/poppler.js'

/** Any stroke of that size, to a tenth of a millimetre. */
const hasSize = (strokes: readonly Stroke[], width: number, height: number) =>
  strokes.some(stroke => Math.abs(stroke.width - width) < 0.1 && Math.abs(stroke.height - height) < 0.1)

describe('templates on paper', function () {
  this.timeout(60_000)

  it('begin with squares of 100 mm and 4 in, on the paper that was asked for', async () => {
    for (const [paper, width, height] of [
      ['a4', 210, 297],
      ['letter', 215.9, 279.4],
    ] as const) {
      const bytes = await exportCover('templates', madeFrom('cable-pouch'), { paper })
      const info = infoOf(bytes)
      expect([info.width, info.height].map(Math.round)).to.deep.equal([width, height].map(Math.round))
      const strokes = strokesOf(bytes, 1)
      expect(hasSize(strokes, 100, 100)).to.equal(true)
      expect(hasSize(strokes, 101.6, 101.6)).to.equal(true)
    }
  })

  it('are true to a tenth of a millimetre where a piece has room on one sheet', async () => {
    const made = madeFrom('cable-pouch')
    const outer = made.plan.pieces.find(({ id }) => id === 'outer')
    // 170 × 220 mm on A4 less 10 mm all round
    expect([outer?.width.cut, outer?.height.cut].map(cut => (cut ?? 0) / 320)).to.deep.equal([170, 220])
    const strokes = strokesOf(await exportCover('templates', made), 2)
    expect(hasSize(strokes, 170, 220)).to.equal(true)
    // the seam, 1/4 in or 6 mm inside
    const seam = made.plan.settled.seam / 320
    expect(hasSize(strokes, 170 - 2 * seam, 220 - 2 * seam)).to.equal(true)
  })

  it('go over as many sheets as it takes, and join where their marks meet', async () => {
    // 454.025 × 254 mm: windows of 190 mm that overlap by 10 make (454.025 − 10) / 180 = 2.47, 3 sheets
    const bytes = await exportCover('templates', madeFrom('rota-planner'))
    expect(wordsOf(bytes)).to.include('3 sheets, 3 across and 1 down')
    expect(wordsOf(bytes)).to.include('sheet A3 of 3')
    // the joint of the first sheet lies where the second has it: 185 mm from the piece's edge
    const jointOf = (page: number) =>
      strokesOf(bytes, page)
        .filter(({ width, height }) => width < 0.01 && Math.abs(height - 277) < 0.1)
        .map(({ left }) => Math.round(left * 10) / 10)
    expect(jointOf(2)).to.deep.equal([195])
    expect(jointOf(3)).to.deep.equal([15, 195])
    expect(195 - 10 - (15 - 10)).to.equal(180)
  })

  it('share their sheets where pieces are cut alike, and give the numbers of plain ones', async () => {
    expect(wordsOf(await exportCover('templates', madeFrom('hut-ledger')))).to.include(
      'outer, cut 1; lining, cut 1: 3 sheets',
    )
    // a free end lies on the right of the outer and on the left of its lining
    const wrap = wordsOf(await exportCover('templates', madeFrom('handbook-series')))
    expect(wrap).to.include('outer, cut 1: 3 sheets').and.to.include('lining, cut 1: 3 sheets')
    const words = wordsOf(await exportCover('templates', madeFrom('rota-planner')))
    expect(words).to.match(/gusset, cut 2: 24 1.?4 in × 1 1.?4 in/)
    const all = wordsOf(await exportCover('templates', madeFrom('rota-planner'), { withPlain: true }))
    expect(all).not.to.include('Plain rectangles')
    expect(all).to.match(/gusset, cut 2; gusset lining, cut 2: \d+ sheets/)
  })

  it('have text that can be searched, in fonts that are in the file', async () => {
    const bytes = await exportCover(
      'templates',
      madeFrom('rota-planner', { name: 'Böök of Łódź, Δέλτα & Ёж' }),
    )
    expect(wordsOf(bytes)).to.include('Böök of Łódź, Δέλτα & Ёж')
    const fonts = fontsOf(bytes)
    expect(fonts.length).to.be.greaterThan(0)
    for (const font of fonts) expect(font).to.match(/SourceSans.* yes yes yes/)
  })
})
