import { expect } from 'chai'
import type { CoverFile } from '../../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  exactOf,
  familyFile,
  findingOf,
  notionOf,
  panelsOf,
  pieceOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import { formatLength } from '../../length/format.js'
import { toJsonMm } from '../../length/length.js'

const journal: CoverFile['object'] = {
  kind: 'journal',
  readings: { pageWidth: ['150 mm'], pageHeight: ['210 mm'], contentsThickness: ['30 mm'] },
}
const file = (changes: Partial<CoverFile> = {}) => familyFile('board-cover', { object: journal, ...changes })
const planned = (options: Readonly<Record<string, unknown>> = {}) => planFrom(file({ options }))

describe('a board cover', () => {
  const plan = planned()

  it('cuts boards over the page and a spine over the contents', () => {
    // 150 + 12 by 210 + 2·6; spine 30 + 6; two sheets each
    expect(cutOf(plan, 'board')).to.equal('4 × 162 mm × 222 mm')
    expect(cutOf(plan, 'spine-board')).to.equal('2 × 36 mm × 222 mm')
  })

  it('lays a lining in each board, its margin from the edge, and one over the spine in the middle', () => {
    const lined = planFrom(
      file({
        layers: [
          { role: 'card', thickness: '0.3 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    const total = lined.strip.panels.reduce((sum, { width }) => sum + toJsonMm(width), 0)
    const shapes = lined.strip.shapes.map(
      ({ piece, at, width }) => [piece, toJsonMm(at[0]), toJsonMm(width)] as const,
    )
    const linings = shapes.filter(([piece]) => piece === 'lining')
    const [spine] = shapes.filter(([piece]) => piece === 'spine-lining')
    expect(linings).to.have.length(2)
    expect(spine?.[1]).to.be.closeTo((total - (spine?.[2] ?? 0)) / 2, 0.001)
    // as far from the left edge as the other is from the right
    const [left, right] = linings
    if (!left || !right) throw new Error('No linings')
    expect(left[1]).to.be.above(0)
    expect(total - right[1] - right[2]).to.be.closeTo(left[1], 0.001)
  })

  it('counts a pocket with what it holds only where the contents were measured', () => {
    const spineOf = (
      readings: NonNullable<CoverFile['object']>['readings'],
      extras: CoverFile['extras'] = [],
    ) => {
      const object = { kind: 'journal', readings } as CoverFile['object']
      return toJsonMm(pieceOf(planFrom(file({ object, extras })), 'spine-board').width.cut)
    }
    const page = { pageWidth: ['150 mm'], pageHeight: ['210 mm'] }
    const measured = { ...page, contentsThickness: ['30 mm'] }
    const pocket: CoverFile['extras'] = [{ type: 'pocket-patch', contents: '4 mm' }]
    // 30 + 6 as above; the pocket’s contents make it thicker by 4 and its cloth, up to the next millimetre
    expect(spineOf(measured)).to.equal(36)
    expect(spineOf(measured, pocket)).to.be.within(40, 42)
  })

  it('computes the gap from the board’s thickness and the cloth', () => {
    // t = 2; √2·2 + 0.3125 = 3.1409
    expect(panelsOf(plan)).to.deep.equal({
      back: 162,
      'back-gap': 3.1409,
      spine: 36,
      'front-gap': 3.1409,
      front: 162,
    })
    expect(panelsOf(planned({ gap: 'board' }))['back-gap']).to.equal(2)
    expect(panelsOf(planned({ gap: 'eighth' }))['back-gap']).to.equal(3)
    expect(panelsOf(planned({ gap: '4 mm' }))['back-gap']).to.equal(4)
    // √2·0.5 + 0.3125 is under 2 mm
    expect(panelsOf(planned({ sheets: 1, sheetThickness: '0.5 mm' }))['back-gap']).to.equal(2)
  })

  it('wraps the cloth round the edges', () => {
    // 324 + 6.28185 + 36 + 2·(2 + 25) = 420.2819; 222 + 54 = 276
    expect(exactOf(plan, 'outer')).to.deep.equal([420.2819, 276])
    const padded = planFrom(
      file({
        layers: [
          { role: 'padding', thickness: '2 mm', squash: 0.5 },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // batting pressed 2·(1 − 0.25) = 1.5, at both edges
    expect(exactOf(padded, 'outer')[1]).to.equal(279)
  })

  it('keeps the linings inside the edges', () => {
    // 162 − 6 by 222 − 6; 36 + 6.28 + 2·12 = 66.28
    expect(cutOf(plan, 'lining')).to.equal('2 × 156 mm × 216 mm')
    expect(exactOf(plan, 'spine-lining')).to.deep.equal([66.2819, 216])
    expect(cutOf(plan, 'spine-lining')).to.equal('1 × 66 mm × 216 mm')
  })

  it('takes a usual spine where nobody measured the contents, and an underlining when asked', () => {
    const bare = planFrom(
      file({
        object: { kind: 'journal', readings: { pageWidth: ['150'], pageHeight: ['210'] } },
        options: { underlining: true },
      }),
    )
    expect(cutOf(bare, 'spine-board')).to.equal('2 × 38 mm × 222 mm')
    expect(cutOf(bare, 'underlining')).to.equal(cutOf(bare, 'outer'))
    expect(plan.pieces.some(({ id }) => id === 'underlining')).to.equal(false)
  })

  it('refuses contents thicker than the closed spine, and names the spine that takes them', () => {
    const thin = planned({ spineWidth: '28 mm' })
    // inside 28 + √2·3.1409 − 4 = 28.4419 under 30; needed 30 + 4 − 4.4419 = 29.56 → 30
    const { data, repair } = findingOf(thin, 'spine-too-thin') as ReturnType<typeof findingOf> & {
      data: { inside: number }
    }
    expect(toJsonMm(data.inside as never)).to.equal(28.4419)
    expect(repair).to.deep.include({ option: 'spineWidth', length: 30 * 320 })
    expect(codesOf(planned({ spineWidth: '30 mm' }))).not.to.include('spine-too-thin')
  })

  it('tells a gap too narrow from a tight and from a floppy one', () => {
    const gapCodes = (gap: string) => codesOf(planned({ gap })).filter(code => code.startsWith('gap'))
    // t = 2: error under 1.9, advice under 2.83, floppy over 3·2 + 3
    expect(gapCodes('1.8 mm')).to.deep.equal(['gap-too-narrow'])
    expect(gapCodes('1.9 mm')).to.deep.equal(['gap-tight'])
    expect(gapCodes('2.8 mm')).to.deep.equal(['gap-tight'])
    expect(gapCodes('3 mm')).to.deep.equal([])
    expect(gapCodes('9 mm')).to.deep.equal([])
    expect(gapCodes('9.1 mm')).to.deep.equal(['gap-floppy'])
  })

  it('tells a tight turn-in from one that does not hold', () => {
    const turnCodes = (turnIn: string) =>
      codesOf(planned({ turnIn })).filter(code => code.startsWith('turn-in'))
    expect(turnCodes('5 mm')).to.deep.equal(['turn-in-too-small'])
    expect(turnCodes('6 mm')).to.deep.equal(['turn-in-tight'])
    expect(turnCodes('10 mm')).to.deep.equal(['turn-in-tight'])
    expect(turnCodes('12 mm')).to.deep.equal([])
  })
})

describe('the inserts of a board cover', () => {
  it('punch a hole a band, one at the middle of the spine, rows ¼ in from the ends', () => {
    const { holes } = planned({ inserts: 3 }).strip
    // spine from 165.1409 to 201.1409, middle 183.1409; 12 mm apart as there is room for it
    const places = holes.map(({ at: [x, y] }) => `${toJsonMm(x)} ${toJsonMm(y)}`)
    expect(places).to.deep.equal([
      '171.1409 6',
      '171.1409 216',
      '183.1409 6',
      '183.1409 216',
      '195.1409 6',
      '195.1409 216',
    ])
    expect(planned({ inserts: 4 }).strip.holes).to.have.length(6)
  })

  it('stand closer where the spine is narrow', () => {
    const { holes } = planned({ inserts: 7 }).strip
    // (18 − 6)/3 = 4 apart
    const xs = holes.filter((_, index) => index % 2 === 0).map(({ at: [x] }) => x)
    expect(toJsonMm(((xs[1] ?? 0) - (xs[0] ?? 0)) as never)).to.equal(4)
  })

  it('reckon the cord: runs, hops, 5 % to stretch, and what is knotted', () => {
    // 0.95·(3·(222 − 12) + 2·12) + 2·76 = 0.95·654 + 152 = 773.3 → 774
    expect(notionOf(planned({ inserts: 3 }), 'cord')).to.deep.equal({ count: 1, mm: 774, exact: 773.3 })
    // four bands share the middle hole: 0.95·(4·210 + 2·12) + 152 = 972.8
    expect(notionOf(planned({ inserts: 4 }), 'cord').exact).to.equal(972.8)
  })

  it('are sewn in rows a signature and 1/16 in apart', () => {
    const sewn = planned({ binding: 'sewn', inserts: 3 })
    expect(sewn.notions).to.deep.equal([])
    expect(sewn.strip.holes).to.have.length(15)
    const xs = [...new Set(sewn.strip.holes.map(({ at: [x] }) => x))]
    // 30/3 + 1.5
    expect(formatLength(((xs[1] ?? 0) - (xs[0] ?? 0)) as never, 'mm')).to.equal('11.5 mm')
  })
})
