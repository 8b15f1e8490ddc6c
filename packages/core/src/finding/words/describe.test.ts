import { expect } from 'chai'
import { inches, mm, zero, type Length } from '../../length/length.js'
import type { Finding, FindingCode, FindingData } from '../finding.js'
import { describeRepair } from '../repair.js'
import { sayPlainly, type Saying } from '../say.js'
import { severityOf } from '../severities.js'
import { describeFinding } from './describe.js'

/** One example of every finding: the compiler misses none. */
const examples: { readonly [Code in FindingCode]: FindingData[Code] } = {
  'wrap-impossible': { wrap: mm(290), boards: mm(300) },
  'wrap-disagrees': { wrap: mm(330), expected: mm(320) },
  'open-closed-differ': { open: mm(310), wrap: mm(330) },
  'open-only': { thickness: mm(18) },
  'sides-swapped': { width: mm(210), height: mm(150) },
  'readings-spread': { reading: 'height', smallest: mm(200), largest: mm(204) },
  'no-fit': { unmeasured: false },
  'reading-says-nothing': { reading: 'height', length: mm(200), uncertainty: mm(300) },
  'board-assumed': { assumed: mm(2.5) },
  'flap-too-deep': { depth: mm(160), deepest: mm(150) },
  'will-it-go-in': { depth: mm(90), deepest: mm(80), opens: false },
  'opening-small': { left: mm(70), wanted: mm(100), deepest: mm(60) },
  'stiffer-first': { stiffer: 'back' },
  'old-cover-large': { direction: 'width', finished: mm(390), needed: mm(340), nearest: mm(368) },
  'opening-too-small': { left: mm(40), wanted: mm(100), deepest: mm(60) },
  'recipe-changed': {
    recipe: 'Two inches',
    changes: [
      { what: 'seam', recipe: mm(12), stated: mm(6) },
      { what: 'flap style', recipe: 'faced', stated: 'folded' },
    ],
  },
  'will-not-go': { direction: 'width', short: mm(4), stretch: mm(1) },
  'tight-but-goes': { direction: 'height', short: mm(2), stretch: mm(3) },
  'drum-tight': { direction: 'width', ease: mm(1) },
  baggy: { direction: 'height', ease: mm(31), most: mm(28) },
  'piece-too-small': { piece: 'padding', width: mm(-3), height: mm(12) },
  'thickness-unknown': { assumed: mm(14) },
  'thickness-assumed': { assumed: mm(10) },
  'width-unknown': { width: mm(170) },
  'flap-too-shallow': { depth: mm(20), least: mm(38) },
  'book-not-served': { book: 2, reason: 'free-too-long', found: mm(150), limit: mm(140) },
  'corner-pinches': { clear: mm(4), wanted: mm(7), largest: mm(14) },
  'too-thick-for-flat': { thickness: mm(60), most: mm(40) },
  'zip-opening-too-small': { opening: mm(150), wanted: mm(162) },
  'page-not-flat': { thickness: mm(9), most: mm(5) },
  'outside-usual': { label: 'Turn-in', value: mm(12), least: mm(25), most: mm(50) },
  'spine-too-thin': { contents: mm(40), inside: mm(32), spine: mm(45) },
  'gap-too-narrow': { gap: mm(1), least: mm(2) },
  'gap-tight': { gap: mm(2), comfortable: mm(3) },
  'gap-floppy': { gap: mm(20), most: mm(9) },
  'turn-in-tight': { turnIn: mm(10), comfortable: mm(12) },
  'turn-in-too-small': { turnIn: mm(3), least: mm(4), board: mm(2) },
  'print-over-fold': { join: mm(12) },
  'seam-too-thick': { seam: 'side seam', thickness: mm(12), most: mm(8) },
  'punch-too-short': { hole: mm(60), reach: mm(40) },
  'no-such-punch': { hole: mm(4.8), nearest: mm(5) },
  'board-too-thick': { board: mm(2.4), most: mm(1) },
  'too-thick-for-foot': { seam: 'side seam', thickness: mm(6), most: mm(5) },
  'grade-seam': { seam: 'side seam', thickness: mm(3) },
  'card-turned': { piece: 'lining' },
  'cloth-not-there': { piece: 'flap', cloth: 'Moss print', known: ['Larch print', 'Plain'] },
  'piece-not-there': { piece: 'flaps', said: 'A cloth is set for the piece', known: ['outer', 'flap'] },
  'sizes-mended': {
    pieces: [
      {
        piece: 'outer',
        before: { width: mm(400), height: mm(266) },
        now: { width: mm(400), height: mm(263) },
      },
      { piece: 'cord', before: { width: mm(774) }, now: { width: mm(900) } },
    ],
  },
  'no-closure': { closures: ['a pair of ties', 'a strap'] },
  'extra-not-carried': { extra: 'Pair of handles', why: 'it has no fore-edges.' },
  'place-unheeded': { extra: 'Bookmark', said: ['from the left'] },
  'extras-collide': {
    first: 'Patch pocket',
    second: 'Clear pocket',
    over: mm(10),
    clear: mm(30),
    way: 'left',
  },
  'extra-outside': { extra: 'Patch pocket', on: 'flap', by: mm(6), room: mm(60) },
  'extra-over-fold': { extra: 'Patch pocket', by: mm(7) },
  'extra-too-short': { extra: 'The tab', has: mm(20), needs: mm(58) },
  'extra-in-opening': { extra: 'Pair of ties', over: mm(11) },
  'pocket-through-outside': { extra: 'Clear pocket', on: 'outer' },
  'step-too-small': { step: mm(13), least: mm(25) },
  'handle-span': { span: mm(40), least: mm(63) },
  'handle-frays': { cloth: 'Linen' },
  'magnet-near-sensor': { distance: mm(21), least: mm(50) },
  'quilting-without-padding': { cloth: 'the outer cloth' },
  'stiffen-outer': { cloth: 'Lawn', thickness: mm(0.2), with: 'woven' },
  'too-stiff': { cloth: 'Denim', thickness: mm(0.9), layer: 'Buckram' },
  'shows-through': { cloth: 'Lawn', seeThrough: 0.5, over: 'boards' },
  'frays-much': { cloth: 'Linen', where: 'seam' },
  'glue-strikes-through': { cloth: 'Lawn', thickness: mm(0.2) },
  'shrinkage-differs': { most: 'Linen', mostPercent: 5, least: 'Felt', leastPercent: 0 },
  'padding-in-seam': { padding: 'Fleece', inset: mm(2), seam: mm(6) },
  'clip-corners': { thickness: mm(3.5) },
  'one-way-print': { cloth: 'Larch print' },
}

/** Numbers that are said as they stand: a count, shares, percentages. */
const plain: ReadonlySet<unknown> = new Set([2, 0.5, 5, 0])

const inMm = (length: Length) => `<${length / 320}>`
const say: Saying = Object.assign((length: Length) => inMm(length), {
  thin: inMm,
  amounts: (words: string) => words,
})
const example = (code: FindingCode, data: object = examples[code]) =>
  describeFinding({ code, about: 'sizing', data } as unknown as Finding, say)

describe('the words of every finding', () => {
  for (const code of Object.keys(examples) as FindingCode[])
    it(`${code}: name the numbers behind it and what to do`, () => {
      const { message, hint } = example(code)
      const lengths = Object.values(examples[code]).filter(
        value => typeof value === 'number' && !plain.has(value),
      )
      const said = `${message} ${hint}`
      for (const length of lengths) expect(said).to.contain(`<${length / 320}>`)
      expect(message).to.match(/^[A-Z<].*\.$/)
      expect(hint).to.match(/^[A-Z<].*\.$/)
      expect(said).not.to.match(/undefined|NaN|\[object/)
      expect(['error', 'warning', 'advice']).to.include(severityOf[code])
    })

  it('never let two lengths that differ read alike', () => {
    const pinches = (clear: number, wanted: number) =>
      describeFinding(
        {
          code: 'corner-pinches',
          about: 'sizing',
          data: { clear: mm(clear), wanted: mm(wanted), largest: mm(20) },
        } as unknown as Finding,
        sayPlainly('in'),
      ).message
    // 7.1 and 7.2 mm are both nearest to 9/32 in
    expect(pinches(7.1, 7.2)).to.equal(
      'The rounded corners need 9/32 in clear at each edge; there is a hair under 9/32 in.',
    )
    expect(pinches(5, 7.2)).to.equal('The rounded corners need 9/32 in clear at each edge; there is 3/16 in.')
  })

  it('say cloth in millimetres and amounts in the workshop’s unit', () => {
    const told = (code: FindingCode, unit: 'in' | 'cm') =>
      describeFinding({ code, about: 'sizing', data: examples[code] } as unknown as Finding, sayPlainly(unit))
    expect(told('stiffen-outer', 'cm').message).to.contain('Lawn is 0.2 mm thin')
    expect(told('stiffen-outer', 'in').message).to.contain('Lawn is 0.2 mm thin')
    expect(told('grade-seam', 'in').hint).to.contain('to 1/8 in,')
    expect(told('grade-seam', 'cm').hint).to.contain('to 0.3 cm,')
  })

  it('say how far readings are apart', () => {
    expect(example('readings-spread').message).to.equal('Height was read from <200> to <204>, <4> apart.')
  })

  it('guess at a slack tape, or at one that slipped', () => {
    expect(example('wrap-disagrees').hint).to.contain('slack tape')
    expect(example('wrap-disagrees', { wrap: mm(310), expected: mm(320) }).hint).to.contain('slipped off')
  })

  it('name what the cover states in place of the recipe', () => {
    const { message } = example('recipe-changed')
    expect(message)
      .to.contain('brings seam <12>, flap style faced')
      .and.contain('states seam <6>, flap style folded')
  })

  it('do not offer a flap where no flap leaves an opening', () => {
    expect(example('opening-too-small').hint).to.contain('<60>')
    const none = example('opening-too-small', { left: mm(-5), wanted: mm(100), deepest: zero })
    expect(none.message).to.contain('nothing is left')
    expect(none.hint).not.to.contain('Flaps of')
  })

  it('say why a book is not served, each in its own words', () => {
    const said = (reason: string) =>
      example('book-not-served', { book: 3, reason, found: mm(9), limit: mm(8) }).message
    const reasons = ['grip-too-short', 'free-too-long', 'fixed-too-long', 'too-short', 'strap-on-fold'].map(
      said,
    )
    expect(new Set(reasons).size).to.equal(5)
    for (const message of reasons) expect(message).to.contain('Book 3').and.contain('<9>').and.contain('<8>')
  })

  it('say how far cloth ends from the edge of its boards', () => {
    const tooSmall = (turnIn: number) =>
      example('turn-in-too-small', { turnIn: mm(turnIn), least: mm(4), board: mm(2) }).message
    expect(tooSmall(-12)).to.contain('<12> short of')
    expect(tooSmall(1)).to.contain('<1> beyond')
    expect(tooSmall(3)).to.contain('A turn-in of <3>')
  })

  it('offer stiff covers a flap that is open at its inner half, where it may stay as deep', () => {
    const hint = (opens: boolean) => example('will-it-go-in', { depth: mm(90), deepest: mm(80), opens }).hint
    expect(hint(true)).to.contain('inner half').and.contain('<80>')
    expect(hint(false)).not.to.contain('inner half')
  })

  it('say both sizes of what was mended', () => {
    expect(example('sizes-mended').message).to.contain('outer <400> × <263> instead of <400> × <266>')
    expect(example('sizes-mended').message).to.contain('cord <900> instead of <774>')
  })

  it('know what to do where nothing is left of a flap or a corner', () => {
    expect(example('flap-too-shallow', { depth: mm(-2), least: mm(38) }).message).to.contain('at nothing')
    expect(example('corner-pinches', { clear: zero, wanted: mm(7), largest: zero }).hint).to.contain('square')
    expect(example('frays-much', { cloth: 'Linen', where: 'raw edge' }).hint).to.contain('sealer')
    expect(example('stiffen-outer', { cloth: 'Lawn', thickness: mm(0.2), with: 'batting' }).hint).to.contain(
      'batting',
    )
    expect(example('shows-through', { cloth: 'Lawn', seeThrough: 0.5, over: 'print' }).message).to.contain(
      'print beneath',
    )
    expect(example('padding-in-seam', { padding: 'Fleece', inset: zero, seam: mm(6) }).message).to.contain(
      'ends nothing inside',
    )
  })

  it('tell an assumed board from none', () => {
    expect(example('board-assumed').message).to.contain('<2.5> is assumed')
    expect(example('board-assumed', { assumed: zero }).message).to.contain('none is counted')
  })
})

describe('the words of a repair', () => {
  it('say what the button does', () => {
    const inInches = (length: Length) => `${length / inches(1)} in`
    expect(
      describeRepair({ kind: 'set-option', option: 'flapDepth', name: 'flaps', length: inches(3) }, inInches),
    ).to.equal('Make the flaps 3 in')
    expect(describeRepair({ kind: 'swap-readings', first: 'height', second: 'width' }, say)).to.equal(
      'Swap height and width',
    )
    expect(describeRepair({ kind: 'measure', reading: 'boardThickness' }, say)).to.equal(
      'Measure the board thickness',
    )
  })
})
