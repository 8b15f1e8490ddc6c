import { expect } from 'chai'
import { coverFile } from './testing/cover-files.js'
import { formatIssue } from './issue.js'
import { readCover, readDraft } from './read-cover.js'

function complaints(changes: object): readonly string[] {
  const read = readCover({ ...coverFile(), ...changes })
  return read.ok ? [] : read.issues.map(formatIssue)
}

function withObject(changes: object): object {
  return { object: { ...coverFile().object, ...changes } }
}

function withReadings(readings: object): object {
  return withObject({ readings: { ...coverFile().object?.readings, ...readings } })
}

function outerWith(changes: object): object {
  return { layers: [{ role: 'outer', thickness: '0.3 mm', ...changes }] }
}

describe('reading a cover file', () => {
  it('takes the least: format, version, kind, readings, family and an outer layer', () => {
    const least = {
      format: 'snowdrift/cover',
      version: 2,
      object: { kind: 'softcover', readings: { height: ['8'], wrap: ['11 1/2'] } },
      family: 'slip-cover',
      layers: [{ role: 'outer', thickness: '0.3 mm' }],
    }
    const read = readCover(least)
    if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
    expect(read.value).to.deep.include({ unit: 'in', sizing: { mode: 'computed' }, extras: [] })
    expect(read.value.grid).to.equal(8128 / 8)
    expect(read.value.object).to.deep.include({ spine: 'flat', foldsBack: true, tapeDivision: 8128 / 16 })
  })

  it('keeps what was typed and takes readings in every form', () => {
    const read = readCover({
      ...coverFile(),
      ...withReadings({ height: [9.5, '9 1/2', { value: '9½', state: 'closed', about: true }] }),
    })
    if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
    const [first, second, third] = read.value.object.readings.height ?? []
    expect([first?.length, second?.length, third?.length]).to.deep.equal([77216, 77216, 77216])
    expect(third).to.deep.include({ text: '9½', state: 'closed', about: true })
  })

  it('gives each input of no use its own answer, with path, finding and remedy', () => {
    const cases: readonly (readonly [object, RegExp])[] = [
      [{ format: 'other' }, /^format: Expected snowdrift\/cover, found “other”/],
      [{ version: 3 }, /^version: Expected 2, found 3: the file comes from a newer Snowdrift/],
      [{ version: 'one' }, /^version: Expected 2, found “one”/],
      [{ family: 'tent' }, /^family: “tent” is not a way of making\. Known: .*slip-cover/],
      [{ flavour: 1 }, /^flavour: “flavour” is not known here/],
      [{ unit: 'ell' }, /^unit: Expected in, cm or mm, found “ell”/],
      [{ grid: '1/3 in' }, /^grid: “1\/3 in” is not a cutting grid/],
      [{ seam: '-1/4' }, /^seam: “-1\/4” is less than nothing/],
      [{ seam: '9 in' }, /^seam: “9 in” is too large: expected .* to .*/],
      [{ sizing: { mode: 'guess' } }, /^sizing\.mode: /],
      [
        { sizing: { mode: 'recipe', recipe: 'soup' } },
        /^sizing\.recipe: “soup” is not a recipe of slip-cover\. Known: deep-flaps/,
      ],
      [
        { sizing: { mode: 'rule', measure: 'device', addWidth: 1, addHeight: 1 } },
        /^sizing\.measure: .*open or wrap/,
      ],
      [
        { options: { flapStyle: 'ruffled' } },
        /^options\.flapStyle: Expected folded or faced, found “ruffled”/,
      ],
      [{ options: { flapDeepth: '3' } }, /^options\.flapDeepth: “flapDeepth” is not known here/],
      [{ options: { flapDepth: 'deep' } }, /^options\.flapDepth: No number found in “deep”/],
      [{ extras: [{ type: 'cape' }] }, /^extras\[0\]\.type: “cape” cannot be added/],
      [{ extras: [{ type: 'tie-pair', colour: 'red' }] }, /^extras\[0\]\.colour: “colour” is not known/],
      [{ layers: [] }, /^layers: Expected an outer layer/],
      [{ layers: 'cloth' }, /^layers: Expected a list, found “cloth”/],
      [outerWith({ thickness: '0' }), /^layers\[0\]\.thickness: “0” is too small/],
      [outerWith({ squash: 2 }), /^layers\[0\]\.squash: Expected at most 1, found 2/],
      [outerWith({ squash: -1 }), /^layers\[0\]\.squash: Expected at least 0, found -1/],
      [outerWith({ role: 'fur' }), /^layers\[0\]\.role: Expected outer, lining/],
      [{ layers: [...coverFile().layers].reverse() }, /^layers: .*the outer must stand last/],
      [
        { layers: [...coverFile().layers, ...coverFile().layers.slice(2)] },
        /^layers\[3\]\.role: There is a layer “outer” already/,
      ],
      [{ object: undefined }, /^object: Expected what is covered/],
      [{ object: undefined, objects: [coverFile().object] }, /^objects: A slip-cover is made for one thing/],
      [withObject({ kind: 'sofa' }), /^object\.kind: Expected hardcover, .*found “sofa”/],
      [withObject({ colour: 'blue' }), /^object\.colour: “colour” is not known/],
      [withReadings({ hight: ['9'] }), /^object\.readings\.hight: “hight” is not known/],
      [withReadings({ height: ['nine'] }), /^object\.readings\.height\[0\]: No number found in “nine”/],
      [withReadings({ height: ['9', '-9'] }), /^object\.readings\.height\[1\]: “-9” is less than nothing/],
      [
        withReadings({ height: ['3000 mm'] }),
        /^object\.readings\.height\[0\]: “3000 mm” is too large: expected 3\/8 in to 47 1\/4 in/,
      ],
      [withReadings({ thickness: ['0'] }), /^object\.readings\.thickness\[0\]: “0” is too small/],
      [withReadings({ height: '9' }), /^object\.readings\.height: Expected a list, found “9”/],
      [withReadings({ height: undefined }), /^object\.readings\.height: Still to measure: height/],
      [
        withReadings({ thickness: [] }),
        /^object\.readings: Still to measure: thickness, or wrap, or open width/,
      ],
    ]
    for (const [changes, expected] of cases) {
      const [first = 'no complaint'] = complaints(changes)
      expect(first, JSON.stringify(changes)).to.match(expected)
    }
  })

  it('says what is no cover file at all', () => {
    for (const input of [null, 4, 'text', [], undefined]) {
      const read = readCover(input)
      expect(read.ok ? 'read' : read.issues[0]?.message).to.match(/^Expected a cover file/)
    }
  })

  it('reads a draft whose readings are still to be taken', () => {
    const draft = { ...coverFile(), object: { kind: 'hardcover' } }
    expect(readDraft(draft).ok).to.equal(true)
    expect(readCover(draft).ok).to.equal(false)
  })
})
