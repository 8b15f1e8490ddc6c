import { expect } from 'chai'
import type { CoverFile, TypedExtra } from '../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  notionOf,
  pieceOf,
  planFrom,
} from '../file/testing/cover-files.js'
import { placePanels } from '../families/strip.js'
import { toJsonMm, toMm, type Length } from '../length/length.js'

const withPocket = (extra: TypedExtra, changes: Partial<CoverFile> = {}) =>
  planFrom(familyFile('slip-cover', { extras: [extra], ...changes }))
const pocket = (type: string, options: object = {}) =>
  withPocket({ type, width: '60 mm', height: '90 mm', ...options })

describe('pockets by their pieces', () => {
  it('patch: turned under ¼ in, its mouth hemmed twice', () => {
    // 60 + 2·6 by 90 + 6 + 2·6
    expect(cutOf(pocket('pocket-patch'), 'pocket-patch')).to.equal('1 × 72 mm × 108 mm')
  })

  it('faced and scooped: outer and lining, a seam all round', () => {
    for (const type of ['pocket-faced', 'pocket-scoop']) {
      const plan = pocket(type)
      expect(cutOf(plan, `${type}-outer`)).to.equal('1 × 72 mm × 102 mm')
      expect(cutOf(plan, `${type}-lining`)).to.equal('1 × 72 mm × 102 mm')
    }
  })

  it('tiered: folded double, the shortest in front', () => {
    // three tiers step by 90/4 = 22.5: 45, 67.5 and 90 high; 2·h + 2·6
    const plan = pocket('pocket-tiered', { tiers: 3 })
    expect(['front', 'second', 'back'].map(part => exactOf(plan, `pocket-tiered-${part}`)[1])).to.deep.equal([
      102, 147, 192,
    ])
    expect(findingOf(plan, 'step-too-small').data).to.deep.equal({ step: 22.5 * 320, least: 25 * 320 })
    expect(codesOf(pocket('pocket-tiered', { height: '100 mm', tiers: 3 }))).not.to.include('step-too-small')
  })

  it('zipped: a low and a high part, two of each, and a zip 2 in longer', () => {
    const plan = pocket('pocket-zip')
    // 60 + 12 by 60 + 12 and 30 + 12
    expect(cutOf(plan, 'pocket-zip-low')).to.equal('2 × 72 mm × 72 mm')
    expect(cutOf(plan, 'pocket-zip-high')).to.equal('2 × 72 mm × 42 mm')
    expect(notionOf(plan, 'pocket-zip-zip').mm).to.equal(110)
  })

  it('clear: folded at the mouth, no seam', () => {
    // 90 + 12
    expect(cutOf(pocket('pocket-clear'), 'pocket-clear')).to.equal('1 × 60 mm × 102 mm')
  })
})

describe('a divided pocket', () => {
  const divided = (options: object) => withPocket({ type: 'pocket-divided', height: '90 mm', ...options })

  it('gives each pen half its way round where both walls give', () => {
    // two of π·10/2 + 3 = 18.708: 37.4159 + 2·6
    const plan = divided({ pens: 2, penDiameter: '10 mm' })
    expect(exactOf(plan, 'pocket-divided')[0]).to.equal(49.4159)
    expect(plan.strip.shapes.map(({ width }) => toJsonMm(width))).to.deep.equal([37.4159])
  })

  it('lets the front alone go round the pen on a stiff back', () => {
    // front 2·(2.57·10 + 3) = 57.4 over 2·(10 + 3) = 26
    const plan = divided({ pens: 2, penDiameter: '10 mm', back: 'stiff' })
    expect(exactOf(plan, 'pocket-divided')[0]).to.equal(69.4)
    expect(plan.strip.shapes.map(({ width }) => toMm(width))).to.deep.equal([26])
  })

  it('has a slot for cards, and for one thing more: width + thickness + ¼ in', () => {
    // 92 + (40 + 5 + 6) = 143 + 12
    const plan = divided({ pens: 0, cards: 3, itemWidth: '40 mm', itemThickness: '5 mm' })
    expect(exactOf(plan, 'pocket-divided')[0]).to.equal(155)
    // 92 + 12 by 2·50 + 12
    expect(cutOf(plan, 'pocket-divided-card')).to.equal('3 × 104 mm × 112 mm')
  })

  it('draws a line of stitches between its slots', () => {
    const { lines } = divided({ pens: 3, penDiameter: '10 mm' }).strip
    expect(lines.filter(({ kind, face }) => kind === 'stitch' && face === 'inside')).to.have.length(2)
  })
})

describe('what pockets add to the thickness', () => {
  const plain = planFrom(familyFile('slip-cover'))
  const grows = (extra: TypedExtra) =>
    toJsonMm((fitOf(withPocket(extra), 'width').needed - fitOf(plain, 'width').needed) as never)

  it('feeds the fit: its plies and what goes in', () => {
    // one ply of 0.3125, and 2 of contents
    expect(grows({ type: 'pocket-patch' })).to.equal(0.3125)
    expect(grows({ type: 'pocket-patch', contents: '2 mm' })).to.equal(2.3125)
    // outer and lining
    expect(grows({ type: 'pocket-faced' })).to.equal(0.5625)
    // two tiers, each doubled
    expect(grows({ type: 'pocket-tiered' })).to.equal(1.25)
    // a pen of 10 under one ply
    expect(grows({ type: 'pocket-divided', penDiameter: '10 mm' })).to.equal(10.3125)
  })

  it('counts nothing for a pocket outside', () => {
    expect(grows({ type: 'pocket-patch', on: 'outer', x: '10 mm', y: '10 mm', contents: '4 mm' })).to.equal(0)
    const device = (extras: TypedExtra[]) => fitOf(planFrom(familyFile('sleeve', { extras })), 'width').needed
    expect(device([{ type: 'pocket-patch', contents: '4 mm' }])).to.equal(device([]))
  })

  it('says so when the page no longer lies flat', () => {
    expect(codesOf(withPocket({ type: 'pocket-patch', contents: '4.6 mm' }))).not.to.include('page-not-flat')
    const thick = withPocket({ type: 'pocket-patch', contents: '4.7 mm' })
    expect(findingOf(thick, 'page-not-flat').data).to.deep.equal({
      thickness: (4.7 + 0.3125) * 320,
      most: 5 * 320,
    })
  })
})

describe('where a pocket sits', () => {
  const placeOf = (extra: TypedExtra, family = 'slip-cover') => {
    const [placed] = planFrom(familyFile(family, { extras: [extra] })).placed
    return placed && [placed.ground.name, ...[placed.x, placed.y, placed.width, placed.height].map(toJsonMm)]
  }

  it('is the middle of the front board’s inside unless said, half an inch clear at the sides', () => {
    // front 163.8619: − 2·12 wide, half as high, a quarter up; of the flap 80 − 2·12
    const [ground, x, y, width, height] = placeOf({ type: 'pocket-patch' }) ?? []
    expect([ground, x, width]).to.deep.equal(['front', 12, 139.8619])
    expect(placeOf({ type: 'pocket-patch', on: 'back-flap' })?.slice(0, 4)).to.deep.equal([
      'back flap',
      12,
      y,
      56,
    ])
    expect(Number(y) * 2).to.be.closeTo(Number(height), 0.01)
  })

  it('is where it was put, counted from the lower left corner of its piece', () => {
    expect(
      placeOf({ type: 'pocket-patch', on: 'flap', width: '50 mm', height: '60 mm', x: '5 mm', y: '20 mm' }),
    ).to.deep.equal(['flap', 5, 20, 50, 60])
  })

  it('is seen mirrored on the strip where it lies inside, but not on a flap that is opened out', () => {
    const left = (on: string) => {
      const size = { width: '50 mm', height: '60 mm' }
      const plan = planFrom(
        familyFile('slip-cover', { extras: [{ type: 'pocket-patch', on, ...size, x: '5 mm', y: '20 mm' }] }),
      )
      const [shape] = plan.strip.shapes
      const panel = placePanels(plan.strip.panels).find(({ id }) => id === on)
      expect(shape?.face).to.equal('inside')
      return shape && panel && [shape.at[0] - panel.x, panel.width].map(ticks => toJsonMm(ticks as Length))
    }
    // 5 from the fold, whichever side of the flap one sees
    expect(left('front-flap')?.[0]).to.equal(5)
    // inside the front the fore-edge is left as one sees it, and right on the strip
    const [at = 0, width = 0] = left('front') ?? []
    expect(at).to.be.closeTo(width - 5 - 50, 0.001)
  })

  it('is left or right: two pockets on two flaps never collide', () => {
    const plan = planFrom(
      familyFile('slip-cover', {
        extras: [
          { type: 'pocket-patch', on: 'back-flap' },
          { type: 'pocket-patch', on: 'front-flap' },
        ],
      }),
    )
    expect(codesOf(plan)).not.to.include('extras-collide')
    const onOne = planFrom(
      familyFile('slip-cover', {
        extras: [
          { type: 'pocket-patch', on: 'front-flap' },
          { type: 'pocket-patch', on: 'front-flap' },
        ],
      }),
    )
    expect(codesOf(onOne)).to.include('extras-collide')
  })

  it('on a turned flap it is stitched before that is turned', () => {
    expect(placeOf({ type: 'pocket-clear', on: 'front-flap' }, 'turned-flap-cover')?.[0]).to.equal(
      'front flap',
    )
  })

  it('caught in the seams it is as wide as its panel, and nothing is turned under there', () => {
    const plan = planFrom(
      familyFile('slip-cover', {
        extras: [{ type: 'pocket-patch', on: 'front-flap', height: '100 mm', caught: true }],
      }),
    )
    // 80 + 2·6; 100 + 6 in the foot’s seam + 2·6 of hem
    expect(exactOf(plan, 'pocket-patch')).to.deep.equal([92, 118])
    expect(
      placeOf({ type: 'pocket-patch', on: 'front-flap', height: '100 mm', caught: true })?.slice(1, 3),
    ).to.deep.equal([0, 0])
    // only its right side and its foot: 56 + 6 + 6 under at the left
    const part = planFrom(
      familyFile('slip-cover', {
        seam: '8 mm',
        extras: [
          {
            type: 'pocket-patch',
            on: 'front-flap',
            width: '56 mm',
            height: '100 mm',
            caught: ['right', 'foot'],
          },
        ],
      }),
    )
    // 56 + 6 + 8; 100 + 8 + 12
    expect(exactOf(part, 'pocket-patch')).to.deep.equal([70, 120])
  })

  it('wraps round a card lining, or is of card, or of single tiers', () => {
    const onLining = (extra: TypedExtra) =>
      planFrom(familyFile('board-cover', { extras: [{ on: 'lining', height: '90 mm', ...extra }] }))
    // lining 156 wide: + 2·12; 90 + 12 + 2·6
    expect(exactOf(onLining({ type: 'pocket-patch', wrapped: true }), 'pocket-patch')).to.deep.equal([
      180, 114,
    ])
    // 156 − 2·12, nothing hemmed, cut from card
    const card = onLining({ type: 'pocket-patch', card: true })
    expect(exactOf(card, 'pocket-patch')).to.deep.equal([132, 90])
    expect(pieceOf(card, 'pocket-patch').role).to.equal('card')
    // two tiers of 90/3 and less: the front 60 + 6 + 12 instead of 2·60 + 12
    const tiers = (single: boolean) =>
      exactOf(onLining({ type: 'pocket-tiered', single }), 'pocket-tiered-front')[1]
    expect([tiers(true), tiers(false)]).to.deep.equal([78, 132])
  })

  it('may be bought: a ready-made sleeve is not cut', () => {
    const plan = withPocket({ type: 'pocket-clear', readyMade: true })
    expect(plan.pieces.some(({ role }) => role === 'clear')).to.equal(false)
    expect(plan.strip.shapes.some(({ name }) => name === 'Clear pocket')).to.equal(true)
  })

  it('may be any piece that is cut, and none that is not', () => {
    expect(
      placeOf({ type: 'pocket-patch', on: 'lining', width: '50 mm', x: '30 mm', y: '30 mm' })?.[0],
    ).to.equal('lining')
    const plan = withPocket({ type: 'pocket-patch', on: 'sail' })
    expect(findingOf(plan, 'extra-not-carried').data).to.deep.include({
      why: 'there is no piece “sail” to sew it on.',
    })
    expect(plan.pieces.some(({ id }) => id === 'pocket-patch')).to.equal(false)
  })

  it('says by how much it reaches over the edge, and how to clear another', () => {
    const plan = planFrom(
      familyFile('slip-cover', {
        extras: [
          { type: 'pocket-patch', on: 'flap', width: '60 mm', height: '100 mm', x: '30 mm', y: '0 mm' },
          { type: 'pocket-faced', on: 'flap', width: '40 mm', height: '80 mm', x: '20 mm', y: '70 mm' },
        ],
      }),
    )
    // 30 + 60 − 80
    expect(findingOf(plan, 'extra-outside').data).to.include({ by: 10 * 320, on: 'flap' })
    // they share 30…60 across and 70…100 along: 30 to the left is as short as 30 up
    expect(findingOf(plan, 'extras-collide').data).to.include({
      over: 30 * 320,
      clear: 30 * 320,
      way: 'left',
    })
    expect(findingOf(plan, 'extras-collide').about).to.equal('extra:1')
  })
})
