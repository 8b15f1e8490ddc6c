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
    // from the boards’ outer edges: 324 + 6.28185 + 36 + 2·25 = 416.2819; 222 + 50 = 272
    expect(exactOf(plan, 'outer')).to.deep.equal([416.2819, 272])
    // head and tail of their own: 222 + 2·19
    expect(exactOf(planned({ turnInHeadTail: '19 mm' }), 'outer')).to.deep.equal([416.2819, 260])
    const padded = planFrom(
      file({
        layers: [
          { role: 'padding', thickness: '2 mm', squash: 0.5 },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // batting pressed 2·(1 − 0.25) = 1.5, at both edges
    expect(exactOf(padded, 'outer')[1]).to.equal(275)
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
    // boards 2 thick: less than 2 behind the edge does not hold; under 10 it is tight. Width: 366.2819 + 2·3 = 372.28 → 373
    // comes out at 3.36, height at 3
    expect(turnCodes('3 mm')).to.deep.equal(['turn-in-too-small'])
    expect(turnCodes('4 mm')).to.deep.equal(['turn-in-tight'])
    expect(turnCodes('9 mm')).to.deep.equal(['turn-in-tight'])
    expect(turnCodes('10 mm')).to.deep.equal([])
  })

  it('takes a panel that is cut already, and says what turn-ins it leaves', () => {
    const cut = (width: string, height: string) => planFrom(file({ sizing: { mode: 'cut', width, height } }))
    expect(exactOf(cut('400 mm', '250 mm'), 'outer')).to.deep.equal([400, 250])
    // (380 − 366.2819)/2 = 6.86 and (250 − 222)/2 = 14
    expect(codesOf(cut('380 mm', '250 mm'))).to.include('turn-in-tight')
    // too small for its boards: (360 − 366.2819)/2 = −3.14
    const { data, about } = findingOf(cut('360 mm', '250 mm'), 'turn-in-too-small')
    expect(about).to.equal('sizing')
    expect('turnIn' in data && toJsonMm(data.turnIn)).to.equal(-3.1409)
  })
})

describe('the inserts of a board cover', () => {
  it('make runs of an even number, one column of holes more than half of them, ¼ in from the ends', () => {
    const { holes } = planned({ inserts: 3 }).strip
    // 3 make 4 runs: 3 columns. Spine from 165.1409 to 201.1409, middle 183.1409; 12 mm apart as there is room for it
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
    // 2 runs go through two columns, the middle of the spine between them
    expect(planned({ inserts: 1 }).strip.holes.map(({ at: [x] }) => toJsonMm(x))).to.deep.equal([
      177.1409, 177.1409, 189.1409, 189.1409,
    ])
    // inner columns take two runs, hops lie outside
    const elastic = planned({ inserts: 4 }).strip.lines.filter(({ kind }) => kind === 'elastic')
    expect(elastic.filter(({ face }) => face === 'outside')).to.have.length(4)
  })

  it('stand closer where the spine is narrow', () => {
    const { holes } = planned({ inserts: 7 }).strip
    // 8 runs, 5 columns: (36 − 12)/4 = 6 apart
    const xs = holes.filter((_, index) => index % 2 === 0).map(({ at: [x] }) => x)
    expect(toJsonMm(((xs[1] ?? 0) - (xs[0] ?? 0)) as never)).to.equal(6)
  })

  it('reckon the cord: runs, hops, a tenth to stretch, and what is knotted', () => {
    // 0.90·(4·(222 − 12) + 4·12) + 2·50 = 0.9·888 + 100 = 899.2 → 900
    expect(notionOf(planned({ inserts: 3 }), 'cord')).to.deep.equal({ count: 1, mm: 900, exact: 899.2 })
    expect(notionOf(planned({ inserts: 4 }), 'cord').exact).to.equal(899.2)
    // 2 runs: 0.9·(2·210 + 2·12) + 100
    expect(notionOf(planned({ inserts: 2 }), 'cord').exact).to.equal(499.6)
  })

  it('take larger holes for thicker cord: ⅛ in for 1 mm, 3/16 for 2', () => {
    const holeOf = (cord: string) => planned({ cord }).strip.holes[0]?.diameter
    expect([holeOf('1 mm'), holeOf('2 mm')]).to.deep.equal([3 * 320, 5 * 320])
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
