import { expect } from 'chai'
import { dimensionOf } from '../../drawing/strip-dimensions.js'
import { nameDown } from '../../drawing/strip-drawing.js'
import { layFor } from '../../drawing/turn-over.js'
import { extras } from '../../extras/registry.js'
import { families } from '../../families/registry.js'
import type { Face } from '../../families/strip.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { coverFrom, everyReading, familyFile, metricFile, planFrom } from '../../file/testing/cover-files.js'
import { add, mm, scale, subtract, toMm } from '../../length/length.js'
import { plan } from '../../plan/plan.js'
import { findHolds, type Pull } from './holds.js'
import { settingFor } from './pull-to.js'
import { readingsBehind } from './readings-behind.js'
import { setOn, withSetting, type Setting } from './setting.js'
import { edgesOf, middleOf } from './strip-edges.js'

const holdsOf = (file: CoverFile, face: Face = 'outside') => findHolds(coverFrom(file), planFrom(file), face)
const nameOf = (setting: Setting) => Object.values(setting).join(' ')
const pullsOf = (file: CoverFile, name: string, face: Face = 'outside') =>
  holdsOf(file, face).pulls.filter(({ held }) => nameOf(held.setting) === name)
const millimetres = ({ at, axis, gain }: Pull) => [axis, ...at.map(length => toMm(length)), gain]

describe('taking hold of the flat cover', () => {
  // needed 2·160 + 20 + 4 of boards = 344 and 2·0.5625 for the plies; ease 6, up to the grid
  const file = metricFile({ options: { flapDepth: '70' } })

  it('finds the outer edges of the flaps for their depth: each goes as far as it', () => {
    // the body is planned.finished wide between two flaps of 70; half way down
    const { finished } = planFrom(file).fits[0] ?? {}
    const body = toMm(finished ?? mm(0))
    const high = toMm(planFrom(file).strip.height)
    expect(pullsOf(file, 'option flapDepth').map(millimetres)).to.deep.equal([
      ['x', 0, high / 2, -1],
      ['x', 70 + body + 70, high / 2, 1],
    ])
  })

  it('finds the same flaps folded in from inside, where they are pulled the other way', () => {
    const body = toMm(planFrom(file).fits[0]?.finished ?? mm(0))
    const [right, left] = pullsOf(file, 'option flapDepth', 'inside')
    expect([right, left].map(pull => pull && [toMm(pull.at[0]), pull.gain])).to.deep.equal([
      [body - 70, -1],
      [70, 1],
    ])
  })

  it('takes hold of no long edge where the name of a panel stands', () => {
    for (const { id } of families)
      for (const face of ['outside', 'inside'] as const) {
        const of = familyFile(id, {
          object: everyReading,
          extras: [{ type: 'tie-pair' }, { type: 'handles' }],
        })
        const { height } = planFrom(of).strip
        const along = holdsOf(of, face)
          .pulls.filter(({ axis, from, to }) => axis === 'x' && subtract(to[1], from[1]) === height)
          .map(({ at }) => at[1] / height)
        for (const share of along) expect(Math.abs(share - nameDown), `${id} ${share}`).to.be.above(0.1)
      }
  })

  it('gives the ease to both sides of the body, half each', () => {
    const gains = pullsOf(file, 'sizing easeWidth').map(({ at, gain }) => [toMm(at[0]), gain])
    const body = toMm(planFrom(file).fits[0]?.finished ?? mm(0))
    expect(gains).to.deep.equal([
      [70, -2],
      [70 + body, 2],
    ])
  })

  it('leaves an option out that does nothing, and a choice, and what a recipe decides', () => {
    const names = (of: CoverFile) => new Set(holdsOf(of).pulls.map(({ held }) => nameOf(held.setting)))
    expect(names(file)).to.include('option flapDepth').and.not.include('option flapStyle')
    const pouch = familyFile('zip-pouch', { options: { pocket: false } })
    expect([...names(pouch)].filter(name => name.startsWith('option pocket'))).to.deep.equal([])
    expect(names(familyFile('zip-pouch'))).to.include('option pocketDrop')
    const recipe = { mode: 'recipe', recipe: 'two-inches' } as const
    expect(
      [...names(familyFile('zip-pouch', { sizing: recipe }))].filter(name => name.startsWith('sizing')),
    ).to.deep.equal([])
  })

  it('finds the length behind a gap that is reckoned', () => {
    const board = familyFile('board-cover', { object: everyReading })
    const gap = holdsOf(board).sizes.find(({ dimension }) => dimension === 'panel:back-gap')
    const panel = planFrom(board).strip.panels.find(({ id }) => id === 'back-gap')
    expect(gap?.size).to.equal(panel?.width)
    // to the tick, of which there are 320 in a millimetre
    expect(gap?.held.value).to.be.closeTo(gap?.size ?? 0, 1)
    expect(gap?.rate).to.equal(1)
  })

  it('pulls a strap longer at its free end, by what is set on the strap only', () => {
    const strapped = metricFile({ extras: [{ type: 'strap', length: '180 mm' }] })
    const [pull, ...others] = pullsOf(strapped, 'extra 0 length')
    const shape = planFrom(strapped).strip.shapes.find(({ piece }) => piece === 'strap')
    expect(others).to.deep.equal([])
    expect(pull?.held.value).to.equal(mm(180))
    expect([pull?.at[0], Math.abs(pull?.gain ?? 0)]).to.deep.equal([shape?.at[0], 1])
  })

  it('says what a dimension follows, and how far', () => {
    const sizes = holdsOf(file).sizes.map(({ dimension, held, rate }) => [
      dimension,
      nameOf(held.setting),
      rate,
    ])
    expect(sizes).to.deep.equal([
      ['width', 'sizing easeWidth', 1],
      ['height', 'sizing easeHeight', 1],
      ['panel:back-flap', 'option flapDepth', 1],
      // what the spine does not take is shared by two boards
      ['panel:back', 'sizing easeWidth', 0.5],
      ['panel:front', 'sizing easeWidth', 0.5],
      ['panel:front-flap', 'option flapDepth', 1],
    ])
  })
})

describe('every hold', () => {
  const covers: readonly (readonly [string, CoverFile])[] = [
    ...families.map(({ id }) => [id, familyFile(id, { object: everyReading })] as const),
    ...extras.map(({ type }) => {
      const traits = (id: string) => families.find(family => family.id === id)?.traits ?? []
      const extra = extras.find(known => known.type === type)
      const carrier = families.find(({ id }) => extra?.refuses(traits(id)) === undefined)?.id ?? ''
      return [
        `${type} on ${carrier}`,
        familyFile(carrier, { object: everyReading, extras: [{ type }] as CoverFile['extras'] & object }),
      ] as const
    }),
  ]

  it('is found on every way of making, and among what is added', () => {
    const withNone = covers.filter(([, file]) => holdsOf(file).pulls.length === 0).map(([name]) => name)
    expect(withNone).to.deep.equal([])
    const added = covers.flatMap(([, file]) =>
      holdsOf(file).pulls.filter(({ held }) => held.setting.kind === 'extra'),
    )
    expect(added.length).to.be.above(6)
  })

  for (const [name, file] of covers)
    it(`takes its edge along as far as it says: ${name}`, () => {
      const cover = coverFrom(file)
      const planned = plan(cover)
      for (const face of ['outside', 'inside'] as const) {
        const before = layFor(planned.strip, face)
        for (const { held, axis, from, to, gain } of findHolds(cover, planned, face).pulls) {
          const grids = 2
          const longer = scale(cover.grid, grids)
          const room = add(held.value, longer) <= held.range.max ? longer : scale(longer, -1)
          const after = layFor(plan(setOn(cover, held.setting, add(held.value, room))).strip, face)
          const place = axis === 'x' ? 0 : 1
          const key = edgesOf(before, face).find(
            edge => edge.axis === axis && edge.from.join() === from.join() && edge.to.join() === to.join(),
          )?.key
          const then = edgesOf(after, face).find(edge => edge.key === key)
          const went = subtract(
            subtract(then?.at ?? mm(0), middleOf(after)[place]),
            subtract(from[place], middleOf(before)[place]),
          )
          // rounding up to the grid may fall otherwise by one grid
          expect(toMm(scale(went, gain)), `${nameOf(held.setting)} ${face}`).to.be.closeTo(
            toMm(room),
            toMm(cover.grid) * Math.max(1, Math.abs(gain)) + 0.01,
          )
        }
      }
    })

  for (const [name, file] of covers.slice(0, families.length))
    it(`makes its dimension as long as was typed: ${name}`, () => {
      const cover = coverFrom(file)
      const planned = plan(cover)
      for (const size of findHolds(cover, planned, 'outside').sizes) {
        const wanted = add(size.size, scale(cover.grid, 3))
        const length = settingFor(size, wanted)
        const after = plan(setOn(cover, size.held.setting, length))
        const came = dimensionOf(after.strip, size.dimension) ?? mm(0)
        expect(toMm(came), size.dimension).to.be.closeTo(toMm(wanted), toMm(cover.grid) + 0.01)
      }
    })
})

describe('a setting that was typed', () => {
  const file = metricFile({ options: { flapDepth: '70' }, extras: [{ type: 'strap' }] })

  it('stands in the file where it belongs, and all else stays', () => {
    const set = (setting: Setting, typed?: string) => withSetting(file, setting, typed)
    expect(set({ kind: 'option', key: 'flapDepth' }, '80')).to.deep.equal({
      ...file,
      options: { flapDepth: '80' },
    })
    expect(set({ kind: 'option', key: 'flapDepth' })).to.deep.equal({ ...file, options: {} })
    expect(set({ kind: 'seam' }, '7')).to.deep.equal({ ...file, seam: '7' })
    expect(set({ kind: 'seam' })).to.not.have.property('seam')
    expect(set({ kind: 'sizing', key: 'easeWidth' }, '4').sizing).to.deep.equal({
      ...file.sizing,
      easeWidth: '4',
    })
    expect(set({ kind: 'extra', extra: 0, key: 'length' }, '180').extras).to.deep.equal([
      { type: 'strap', length: '180' },
    ])
  })

  it('is computed from then on where nobody said how the size is found', () => {
    const { sizing: _none, ...open } = file
    expect(withSetting(open, { kind: 'sizing', key: 'easeHeight' }, '4').sizing).to.deep.equal({
      mode: 'computed',
      easeHeight: '4',
    })
  })

  it('comes to the same as the setting on the cover', () => {
    const setting = { kind: 'option', key: 'flapDepth' } as const
    expect(planFrom(withSetting(file, setting, '82')).strip).to.deep.equal(
      plan(setOn(coverFrom(file), setting, mm(82))).strip,
    )
  })
})

describe('what was measured that a size follows', () => {
  const file = metricFile({})
  const behind = (dimension: Parameters<typeof readingsBehind>[2], of = file) =>
    readingsBehind(coverFrom(of), planFrom(of), dimension).map(({ reading, rate }) => [reading, rate])

  it('is the width twice, a board at each end and the thickness once, of what goes round the book', () => {
    // 2·160 + 20 and the boards: each longer by a length, the body is longer by 2, 1 and as much as the boards take
    const found = new Map(behind('width') as [string, number][])
    expect(found.get('width')).to.be.closeTo(2, 0.01)
    expect(found.get('thickness')).to.be.closeTo(1, 0.01)
    expect([...found.keys()][0]).to.equal('width')
    expect(found.has('height')).to.equal(false)
  })

  it('is the height alone of how high it is, and the thickness of the spine', () => {
    const [[reading, rate] = []] = behind('height')
    expect(reading).to.equal('height')
    expect(rate).to.be.closeTo(1, 0.01)
    const spine = behind('panel:spine')
    expect(spine[0]?.[0]).to.equal('thickness')
    expect(spine.map(([name]) => name)).to.not.include('width')
  })

  it('is nothing of a flap that is said, and of no panel that is not there', () => {
    expect(behind('panel:back-flap', metricFile({ options: { flapDepth: '70' } }))).to.deep.equal([])
    expect(behind('panel:nowhere')).to.deep.equal([])
  })

  it('leaves the cover as it is', () => {
    const cover = coverFrom(file)
    const before = JSON.stringify(cover.objects)
    readingsBehind(cover, plan(cover), 'width')
    expect(JSON.stringify(cover.objects)).to.equal(before)
  })
})
