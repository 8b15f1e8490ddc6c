import { expect } from 'chai'
import { placePanels } from '../families/strip.js'
import type { TypedExtra } from '../file/cover-schema.js'
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
import type { Plan } from '../plan/plan.js'
import { add, mm, subtract, toJsonMm, toMm, zero } from '../length/length.js'

/** The thing is 240 × 160 × 20 mm; its slip-on cover has a seam of 6. */
const added = (extra: TypedExtra, family = 'slip-cover') => planFrom(familyFile(family, { extras: [extra] }))

describe('closures by their pieces and notions', () => {
  it('ties: half the thickness and 8 in, ribbon or a strip 3 in wide', () => {
    // 10 + 203
    expect(notionOf(added({ type: 'tie-pair' }), 'ribbon')).to.deep.equal({ count: 2, mm: 213, exact: 213 })
    expect(cutOf(added({ type: 'tie-pair', cutFrom: 'cloth' }), 'tie-pair')).to.equal('2 × 213 mm × 76 mm')
    // 10 + 100 reaches to the middle and no knot
    expect(findingOf(added({ type: 'tie-pair', length: '109 mm' }), 'extra-too-short').data).to.include({
      needs: 110 * 320,
    })
  })

  it('a ribbon wound round: once, and half as much again', () => {
    const soft = planFrom(
      familyFile('soft-wrap', {
        object: {
          kind: 'journal',
          readings: { pageWidth: ['150'], pageHeight: ['210'], contentsThickness: ['30'] },
        },
        extras: [{ type: 'wrap-ribbon' }],
      }),
    )
    // 2·(162 + 30)·1.5
    expect(notionOf(soft, 'wrap-ribbon').exact).to.equal(576)
    // a cover open at the fore-edge: 347.7233 + 20 for the pages (finished width of 362 − 13 = 349)
    expect(notionOf(added({ type: 'wrap-ribbon' }), 'wrap-ribbon').exact).to.equal(553.5)
    expect(codesOf(added({ type: 'wrap-ribbon', length: '300 mm' }))).to.include('extra-too-short')
  })

  it('loop and button: twice all that stands out, and into the seam', () => {
    // s = 0.25 + 0.15625: 20 + 19 + 0.8125 = 39.8125 stands out; 2·39.8125 + 2·(6 + 6) = 103.625
    const plan = added({ type: 'loop-button' })
    expect(notionOf(plan, 'cord').exact).to.equal(103.625)
    expect(plan.notions.find(({ id }) => id === 'button')?.measureFirst).to.equal(true)
    expect(
      notionOf(added({ type: 'loop-button', standOut: '60 mm', button: '25 mm' }), 'cord').exact,
    ).to.equal(144)
    expect(findingOf(added({ type: 'loop-button', standOut: '25 mm' }), 'extra-too-short').data).to.include({
      needs: 26 * 320,
    })
    expect(codesOf(added({ type: 'loop-button', standOut: '26 mm' }))).not.to.include('extra-too-short')
  })

  it('tab and snap: folded double, the snap on a stiffened square', () => {
    // w 38 + 12; 2·(70 + 6)
    const plan = added({ type: 'tab-snap' })
    expect(cutOf(plan, 'tab-snap')).to.equal('1 × 50 mm × 152 mm')
    expect(cutOf(plan, 'tab-snap-stiffener')).to.equal('1 × 38 mm × 38 mm')
    expect(notionOf(plan, 'snap').mm).to.equal(undefined)
    expect(codesOf(added({ type: 'tab-snap', length: '50 mm' }))).to.include('extra-too-short')
  })

  it('strap: 2 in, the thickness and 4 in long, measured first; hook-and-loop 2 in', () => {
    // 50 + 20 + 100 by 2·50
    const plan = added({ type: 'strap' })
    expect(cutOf(plan, 'strap')).to.equal('1 × 170 mm × 100 mm')
    expect(pieceOf(plan, 'strap').measureFirst).to.equal(true)
    expect(notionOf(plan, 'hook-and-loop')).to.include({ mm: 50, count: 1 })
    // as set, and of narrow tape as many side by side as 50 takes: 2 of 20
    const own = added({ type: 'strap', length: '220 mm', hookWidth: '20 mm' })
    expect(cutOf(own, 'strap')).to.equal('1 × 220 mm × 100 mm')
    expect(notionOf(own, 'hook-and-loop').count).to.equal(2)
  })

  it('a strap beside the way of making’s own gets a number', () => {
    const plan = added({ type: 'strap' }, 'adjustable-wrap')
    expect(plan.pieces.flatMap(({ id }) => (id.startsWith('strap') ? [id] : []))).to.deep.equal([
      'strap',
      'strap-2',
    ])
    expect(plan.extraPieces).to.deep.equal({ 'strap-2': 0 })
  })

  it('elastic band: 8 % short of the way round, and its seams', () => {
    const plan = added({ type: 'elastic-band' })
    const high = toMm(fitOf(plan, 'height').finished)
    // 0.92·(fin_h + 40) + 12
    expect(notionOf(plan, 'elastic').exact).to.be.closeTo(0.92 * (high + 40) + 12, 0.001)
  })

  it('ties through holes: one ribbon four tails long', () => {
    const plan = added({ type: 'hole-tie', tail: '150 mm' }, 'board-cover')
    expect(notionOf(plan, 'ribbon')).to.deep.equal({ count: 1, mm: 600, exact: 600 })
    const bare = planFrom(familyFile('board-cover'))
    expect(plan.strip.holes.length - bare.strip.holes.length).to.equal(2)
  })
})

describe('what lies over the outside takes its own width', () => {
  const printOf = (extras: TypedExtra[]) =>
    findingOf(planFrom(familyFile('slip-cover', { extras })), 'extras-collide')

  it('of 6 mm for an elastic band, in from the fore-edge to its middle', () => {
    const { strip, notions } = added({ type: 'elastic-band' })
    expect(notions.map(({ kind, width }) => [kind, width && toMm(width)])).to.deep.equal([['elastic', 6]])
    // the label's right edge at the band's middle: over it by half the band, 3, as its shortest way out tells
    const front = placePanels(strip.panels).findLast(({ side }) => side === 'front')
    if (!front) throw new Error('No front')
    const band = add(front.x, subtract(front.width, mm(25)))
    const x = `${toMm(subtract(subtract(band, mm(76)), strip.cutPieces.find(({ piece }) => piece === 'outer')?.at[0] ?? zero))} mm`
    const over = printOf([{ type: 'elastic-band' }, { type: 'patch', x }]).data
    expect(over).to.include({ over: mm(3) })
  })

  it('of 10 mm for a ribbon wound round', () => {
    const { notions } = added({ type: 'wrap-ribbon' })
    expect(notions.map(({ kind, width }) => [kind, width && toMm(width)])).to.deep.equal([['ribbon', 10]])
    // a label 50 high whose lower edge stands 2 above the ribbon’s middle: 3 of the ribbon’s upper half lie under it
    const { strip } = planFrom(familyFile('slip-cover'))
    const out = toMm(strip.cutPieces.find(({ piece }) => piece === 'outer')?.at[1] ?? zero)
    const y = `${toMm(strip.height) / 2 + 2 - out} mm`
    const over = printOf([{ type: 'wrap-ribbon' }, { type: 'patch', y }]).data
    expect('over' in over && typeof over.over === 'number' && over.over / 320).to.equal(3)
  })
})

describe('where things sit that are drawn, not cut', () => {
  const board = (plan: Plan) => {
    const front = placePanels(plan.strip.panels).findLast(({ side }) => side === 'front')
    if (!front) throw new Error('No front')
    return front
  }

  it('a button, as far in from the edge as the loop reaches past the thickness; at the edge where it does not', () => {
    const holeOf = (standOut: string) => {
      const plan = added({ type: 'loop-button', standOut })
      const { x, width } = board(plan)
      return toMm(subtract(add(x, width), plan.strip.holes[0]?.at[0] ?? zero))
    }
    // the thing is 20 thick, half the button lies within the loop: 45 − 20 − 9.5; 15 does not reach round it
    expect([holeOf('45 mm'), holeOf('15 mm')]).to.deep.equal([15.5, 0])
  })

  it('a bow’s ends, no longer than a flap is wide, so that the picture keeps its size', () => {
    const endOf = (length: string) => {
      const tie = added({ type: 'tie-pair', length }).strip.lines.find(({ kind }) => kind === 'tie')
      return tie && toMm(subtract(tie.from[0], tie.to[0]))
    }
    const flap = toMm(planFrom(familyFile('slip-cover')).strip.panels[0]?.width ?? zero)
    expect(endOf('300 mm')).to.equal(flap)
    expect(endOf('50 mm')).to.equal(50)
  })

  it('quilting: evenly over the board, as far from its edges on both sides', () => {
    const plan = added({ type: 'quilting', pitch: '40 mm' })
    const { x, width } = board(plan)
    const at = plan.strip.lines
      .filter(({ kind, from }) => kind === 'quilting' && from[0] >= x)
      .map(({ from }) => toMm(subtract(from[0], x)))
    // a board of 163.9 holds 4 lines, 3·40 from first to last: what is left over is shared by both ends
    expect(at).to.have.length(4)
    const share = (toMm(width) - 120) / 2
    for (const [index, line] of at.entries()) expect(line).to.be.closeTo(share + 40 * index, 0.01)
  })

  it('a strap with its middle on the closure, along a fore-edge and along a mouth', () => {
    const strapOf = (family: string) => {
      const { strip } = added({ type: 'strap', width: '40 mm' }, family)
      const shape = strip.shapes.find(({ piece }) => piece === 'strap')
      if (!shape) throw new Error('No strap')
      return { strip, shape }
    }
    const book = strapOf('slip-cover')
    // 40 wide, half of it below the middle of the height
    expect(toMm(book.shape.at[1]) + 20).to.be.closeTo(toMm(book.strip.height) / 2, 0.001)
    const sleeve = strapOf('sleeve')
    expect(toMm(sleeve.shape.at[0]) + 20).to.be.closeTo(
      toMm(sleeve.strip.panels[0]?.width ?? zero) / 2,
      0.001,
    )
    expect(toMm(sleeve.shape.width)).to.equal(40)
  })

  it('a bookmark down the middle of the spine, or of the body where no spine is known', () => {
    const spine = (plan: Plan) =>
      placePanels(plan.strip.panels).find(({ kind }) => kind === 'spine' || kind === 'body')
    const markOf = (plan: Plan) => plan.strip.lines.find(({ kind }) => kind === 'ribbon')?.from[0]
    const known = added({ type: 'bookmark' })
    const { x = zero, width = zero } = spine(known) ?? {}
    expect(toMm(markOf(known) ?? zero)).to.be.closeTo(toMm(x) + toMm(width) / 2, 0.001)
    const unknown = planFrom(
      familyFile('slip-cover', {
        object: { kind: 'softcover', readings: { height: ['240'], wrap: ['340'] } },
        extras: [{ type: 'bookmark' }],
      }),
    )
    const body = spine(unknown)
    expect(body?.kind).to.equal('body')
    expect(toMm(markOf(unknown) ?? zero)).to.be.closeTo(
      toMm(body?.x ?? zero) + toMm(body?.width ?? zero) / 2,
      0.001,
    )
  })

  it('a scoop in the middle of each wall’s mouth', () => {
    const { strip } = added({ type: 'thumb-scoop' }, 'sleeve')
    const wall = toMm(strip.panels[0]?.width ?? zero)
    const scoops = strip.shapes.filter(({ name }) => name === 'scoop').map(({ at }) => toMm(at[0]))
    // ¾ in deep is 19, three times as wide 57
    expect(scoops.map(x => Math.round(x * 100))).to.deep.equal(
      [(wall - 57) / 2, wall + (wall - 57) / 2].map(x => Math.round(x * 100)),
    )
  })

  it('the stitches under the mouth of a pocket, ¼ in below it', () => {
    const { strip } = added({ type: 'pocket-patch', on: 'outer' })
    const pocket = strip.shapes.find(({ piece }) => piece === 'pocket-patch')
    const mouth = strip.lines.find(({ kind }) => kind === 'hem')
    if (!pocket || !mouth) throw new Error('No pocket')
    expect(toMm(subtract(mouth.from[1], pocket.at[1]))).to.equal(6)
    expect(toMm(subtract(mouth.to[0], mouth.from[0]))).to.equal(toMm(pocket.width))
  })
})

describe('what is carried, trimmed and made for devices', () => {
  it('handles: in four or in three, a seam at each end', () => {
    // 12 in is 305 + 12; 4·25, 3·25
    expect(exactOf(added({ type: 'handles' }), 'handles')).to.deep.equal([317, 100])
    expect(exactOf(added({ type: 'handles', fold: 'three' }), 'handles')).to.deep.equal([317, 75])
    expect(codesOf(added({ type: 'handles', length: '500 mm' }))).to.include('outside-usual')
    // stitched to the outside nothing is added
    expect(exactOf(added({ type: 'handles', attach: 'outside' }), 'handles')).to.deep.equal([305, 100])
    // 9 in is 229, 16 in 406
    const unusual = (length: string) => codesOf(added({ type: 'handles', length })).includes('outside-usual')
    expect(['228 mm', '229 mm', '406 mm', '407 mm'].map(unusual)).to.deep.equal([true, false, false, true])
  })

  it('handles leave room for the tab that is there, and say nothing where none is', () => {
    const both = (span: string, width?: string) =>
      planFrom(
        familyFile('slip-cover', {
          extras: [
            { type: 'handles', span },
            { type: 'tab-snap', ...(width && { width }) },
          ],
        }),
      )
    // 38 + 25, or 50 + 25
    expect(findingOf(both('50 mm'), 'handle-span').data).to.include({ least: 63 * 320 })
    expect(findingOf(both('70 mm', '50 mm'), 'handle-span').data).to.include({ least: 75 * 320 })
    expect(codesOf(added({ type: 'handles', span: '50 mm' }))).not.to.include('handle-span')
  })

  it('handles by their feet: what top and bottom leave', () => {
    const plan = added({ type: 'handles', feet: '60 mm' })
    const note = plan.notes.find(({ label }) => label === 'between its feet')
    // fin_h − 2·(60 + 25)
    expect(note && toMm(note.length)).to.equal(toMm(fitOf(plan, 'height').finished) - 170)
  })

  it('handles thicken the seam that catches them', () => {
    const thick = (extras: TypedExtra[]) =>
      codesOf(
        planFrom(familyFile('slip-cover', { extras, layers: [{ role: 'outer', thickness: '1.2 mm' }] })),
      )
    // 3·1.2 = 3.6; with four more plies 8.4
    expect(thick([])).not.to.include('seam-too-thick')
    expect(thick([{ type: 'handles' }])).to.include('seam-too-thick')
  })

  it('bookmark, ribbon, label, contrast spine', () => {
    expect(notionOf(added({ type: 'bookmark' }), 'bookmark').mm).to.equal(340)
    const ribboned = added({ type: 'ribbon' })
    expect(notionOf(ribboned, 'trim-ribbon').mm).to.equal(toMm(pieceOf(ribboned, 'outer').width.cut))
    // 76 + 12 by 50 + 12
    expect(cutOf(added({ type: 'patch' }), 'patch')).to.equal('1 × 88 mm × 62 mm')
    const spined = added({ type: 'contrast-spine' })
    // 20 + π·0.40625 + 2·25 + 2·6
    expect(exactOf(spined, 'contrast-spine')[0]).to.equal(83.2763)
    expect(pieceOf(spined, 'contrast-spine').height.cut).to.equal(pieceOf(spined, 'outer').height.cut)
  })

  it('a contrast spine wants to know the spine', () => {
    const unknown = planFrom(
      familyFile('slip-cover', {
        object: { kind: 'softcover', readings: { height: ['240'], wrap: ['340'] } },
        extras: [{ type: 'contrast-spine' }],
      }),
    )
    expect(findingOf(unknown, 'extra-not-carried').data).to.deep.include({
      why: 'the spine is not known; measure the thickness.',
    })
  })

  it('quilting lines stand evenly on boards and walls', () => {
    const lines = (pitch: string) =>
      added({ type: 'quilting', pitch }).strip.lines.filter(({ kind }) => kind === 'quilting')
    // boards of 163.5: 4 lines 40 apart, on both
    expect(lines('40 mm')).to.have.length(8)
    expect(lines('80 mm')).to.have.length(4)
  })

  it('notch, scoop, guard and magnets', () => {
    // plug 12 + 12 and 2·12; 12 + 24
    expect(cutOf(added({ type: 'port-notch' }, 'sleeve'), 'port-notch')).to.equal('2 × 48 mm × 36 mm')
    // one scoop a wall, three times as wide as deep
    const scoops = added({ type: 'thumb-scoop' }, 'sleeve').strip.shapes.filter(
      ({ name }) => name === 'scoop',
    )
    expect(scoops.map(({ width, height }) => [toMm(width), toMm(height)])).to.deep.equal([
      [57, 19],
      [57, 19],
    ])
    const guarded = added({ type: 'zip-guard' }, 'zip-pouch')
    expect(toJsonMm(pieceOf(guarded, 'zip-guard').width.cut)).to.equal(notionOf(guarded, 'zip').mm)
    expect(notionOf(added({ type: 'magnets' }, 'sleeve'), 'magnet').count).to.equal(2)
  })
})

describe('where closures begin', () => {
  const tiesOf = (family: string, options: object = {}) =>
    added({ type: 'tie-pair', ...options }, family)
      .strip.lines.filter(({ kind }) => kind === 'tie')
      .map(({ from }) => from.map(toMm))

  it('is the middle of the fore-edges of a book, or as high as said', () => {
    const { strip } = planFrom(familyFile('slip-cover'))
    const [first, second] = tiesOf('slip-cover')
    const flap = toMm(strip.panels[0]?.width ?? (0 as never))
    expect(first).to.deep.equal([flap, toMm(strip.height) / 2])
    expect(second?.[0]).to.be.above(flap)
    expect(tiesOf('slip-cover', { y: '50 mm' })[0]?.[1]).to.be.closeTo(toMm(strip.height) - 50, 0.001)
  })

  it('is the short ends of a case that folds, and the mouths of a sleeve', () => {
    const { strip } = planFrom(familyFile('fold-case'))
    expect(tiesOf('fold-case').map(([, y]) => y)).to.deep.equal([0, toMm(strip.height)])
    expect(tiesOf('sleeve').map(([, y]) => y)).to.deep.equal([0, 0])
  })

  it('is as far from one side seam on both walls of a sleeve, or as far across a case that folds', () => {
    const wall = toMm(planFrom(familyFile('sleeve')).strip.panels[0]?.width ?? (0 as never))
    // 30 from the left of the first wall; folded over, that is 30 before the right end of the second: 2·wall − 30
    const [near, far] = tiesOf('sleeve', { x: '30 mm' })
    expect(near?.[0]).to.be.closeTo(30, 0.001)
    expect(far?.[0]).to.be.closeTo(2 * wall - 30, 0.001)
    expect(tiesOf('fold-case', { x: '30 mm' }).map(([x]) => x)).to.deep.equal([30, 30])
  })
})
