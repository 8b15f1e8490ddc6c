import { expect } from 'chai'
import { inches, mm, zero, type Length } from '../length/length.js'
import type { Finding, FindingCode, FindingData } from './finding.js'
import { describeRepair } from './repair.js'
import { severityOf } from './severity.js'
import { describeFinding } from './words.js'

/** One example of every finding: the compiler misses none. */
const examples: { readonly [Code in FindingCode]: FindingData[Code] } = {
  'wrap-impossible': { wrap: mm(290), boards: mm(300) },
  'wrap-disagrees': { wrap: mm(330), expected: mm(320) },
  'open-closed-differ': { open: mm(310), wrap: mm(330) },
  'open-only': { thickness: mm(18) },
  'sides-swapped': { width: mm(210), height: mm(150) },
  'readings-spread': { reading: 'height', smallest: mm(200), largest: mm(204) },
  'board-assumed': { assumed: mm(2.5) },
  'flap-too-deep': { depth: mm(160), deepest: mm(150) },
  'will-it-go-in': { depth: mm(90), deepest: mm(80) },
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
}

const say = (length: Length) => `<${length / 320}>`
const example = (code: FindingCode, data: object = examples[code]) =>
  describeFinding({ code, about: 'sizing', data } as unknown as Finding, say)

describe('the words of every finding', () => {
  for (const code of Object.keys(examples) as FindingCode[])
    it(`${code}: name the numbers behind it and what to do`, () => {
      const { message, hint } = example(code)
      const lengths = Object.values(examples[code]).filter(value => typeof value === 'number')
      const said = `${message} ${hint}`
      for (const length of lengths) expect(said).to.contain(`<${length / 320}>`)
      expect(message).to.match(/^[A-Z<].*\.$/)
      expect(hint).to.match(/^[A-Z<].*\.$/)
      expect(said).not.to.match(/undefined|NaN|\[object/)
      expect(['error', 'warning', 'advice']).to.include(severityOf[code])
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
