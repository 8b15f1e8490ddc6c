import { expect } from 'chai'
import { families } from '../families/registry.js'
import { coverFile, coverFrom, everyReading, familyFile } from '../file/testing/cover-files.js'
import { readCover } from '../file/read-cover.js'
import { listFamiliesFor, switchFamily } from './switch-family.js'

describe('switching the way of making', () => {
  const file = coverFile({
    object: everyReading as NonNullable<typeof everyReading>,
    options: { flapStyle: 'faced', flapDepth: '3 in', turningOpening: '5 in' },
    sizing: { mode: 'computed', easeWidth: '6 mm' },
    extras: [{ type: 'tie-pair' }, { type: 'handles' }],
  })

  it('keeps what still has a meaning, and drops the rest', () => {
    const turned = switchFamily(file, 'turned-flap-cover')
    expect(turned.options).to.deep.equal({ flapDepth: '3 in' })
    expect(turned.sizing).to.deep.equal({ mode: 'computed', easeWidth: '6 mm' })
    expect(turned.extras).to.deep.equal(file.extras)
    expect([turned.layers, turned.object, turned.grid, turned.seam]).to.deep.equal([
      file.layers,
      file.object,
      file.grid,
      file.seam,
    ])
    expect(switchFamily(file, 'zip-around').extras).to.deep.equal([{ type: 'handles' }])
    expect(switchFamily(file, 'sleeve').extras).to.deep.equal([{ type: 'tie-pair' }])
  })

  it('lines with cloth what the boards lined with card', () => {
    const outer = { role: 'outer', thickness: '0.3 mm' } as const
    const boards = coverFile({ ...file, layers: [{ role: 'card', thickness: '0.3 mm' }, outer] })
    expect(switchFamily(boards, 'soft-wrap').layers.map(({ role }) => role)).to.deep.equal([
      'lining',
      'outer',
    ])
    expect(switchFamily(boards, 'board-cover').layers).to.deep.equal(boards.layers)
    const lined = coverFile({ ...file, layers: [{ role: 'lining', thickness: '0.2 mm' }, outer] })
    expect(switchFamily(lined, 'soft-wrap').layers).to.deep.equal(lined.layers)
  })

  it('forgets what is said of single pieces, and an old cover', () => {
    const said = coverFile({
      ...file,
      cutFrom: { outer: 'plain cotton', flap: 'plain cotton' },
      pieced: ['outer', 'flap'],
      oldCover: { width: { finished: '15' } },
    })
    const switched = switchFamily(said, 'sleeve')
    expect(switched).to.deep.include({ cutFrom: { outer: 'plain cotton' }, pieced: ['outer'] })
    expect(switched).not.to.have.property('oldCover')
  })

  it('forgets a trial piece, whose band was another', () => {
    const tried = coverFile({ ...file, trial: { width: { finished: '14', spare: '1/4' } } })
    expect(switchFamily(tried, 'zip-around')).not.to.have.property('trial')
  })

  it('keeps a rule where the other way has rules, and a recipe where it has that recipe', () => {
    const ruled = coverFile({
      ...file,
      sizing: { mode: 'rule', measure: 'open', addWidth: '1', addHeight: '1' },
    })
    expect(switchFamily(ruled, 'turned-flap-cover').sizing).to.deep.include({ mode: 'rule', measure: 'wrap' })
    expect(switchFamily(ruled, 'glued-wrap').sizing).to.deep.include({ mode: 'rule', measure: 'wrap' })
    expect(switchFamily(ruled, 'board-cover').sizing).to.deep.equal({ mode: 'computed' })
    const own = coverFile({
      ...file,
      sizing: { mode: 'recipe', recipe: { name: 'Hut rule', addWidth: '2', addHeight: '1' } },
    })
    expect(switchFamily(own, 'turned-flap-cover').sizing).to.deep.equal({ mode: 'computed' })
    const whole = coverFile({ ...file, sizing: { mode: 'cut', width: '18', height: '12' } })
    expect(switchFamily(whole, 'board-cover').sizing).to.deep.equal({
      mode: 'cut',
      width: '18',
      height: '12',
    })
    const followed = coverFile({ ...file, sizing: { mode: 'recipe', recipe: 'two-inches' } })
    expect(switchFamily(followed, 'sleeve').sizing).to.deep.equal({ mode: 'recipe', recipe: 'two-inches' })
    expect(switchFamily(followed, 'fold-case').sizing).to.deep.equal({ mode: 'computed' })
  })

  it('gives a file that can be planned, from any way to any other', () => {
    for (const { id: from } of families)
      for (const { id: to } of families) {
        const read = readCover(switchFamily(familyFile(from), to))
        expect(read.ok, `${from} to ${to}`).to.equal(true)
      }
  })

  it('takes the first of several things where only one is served', () => {
    const { object, ...rest } = familyFile('adjustable-wrap')
    const one = switchFamily({ ...rest, objects: [object ?? { kind: 'hardcover' }] }, 'slip-cover')
    expect(one.object).to.deep.equal(object)
    expect(one).not.to.have.property('objects')
  })

  it('refuses a way that nobody registered as a bug', () => {
    expect(() => switchFamily(file, 'soup')).to.throw('no way of making called soup')
  })
})

describe('the ways of making for a thing', () => {
  it('begin with those that suit it', () => {
    const { object } = coverFrom(familyFile('slip-cover', { object: { ...everyReading, kind: 'tablet' } }))
    const suits = listFamiliesFor(object).map(family => family.suits(object).suits)
    expect(suits).to.have.length(families.length)
    expect(suits.lastIndexOf(true)).to.be.below(suits.indexOf(false))
  })
})
