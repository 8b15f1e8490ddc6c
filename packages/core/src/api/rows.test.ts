import { expect } from 'chai'
import { coverFile } from '../file/testing/cover-files.js'
import { readCoverBody, readMaterialBody, readThingBody } from './rows.js'
import { initialSettings, readSettingsBody } from './settings.js'

function complaint(read: { ok: boolean; issues?: readonly { path: string; message: string }[] }): string {
  const [first] = read.issues ?? []
  return first ? `${first.path}: ${first.message}` : 'none'
}

describe('the bodies that the server takes', () => {
  const thing = {
    name: 'Field notes',
    unit: 'mm',
    object: { kind: 'notebook', readings: { height: ['140'] } },
  }
  const material = {
    unit: 'mm',
    swatch: '#aabbcc',
    material: { role: 'outer', name: 'Twill', thickness: '0.4' },
  }
  const settings = { ...initialSettings(), grid: '1/4 in', seam: '3/8', currency: '€' }

  it('of a thing are kept as typed', () => {
    const read = readThingBody(thing)
    expect(read.ok && read.value).to.deep.equal(thing)
  })

  it('of a thing are refused with the place named', () => {
    expect(complaint(readThingBody({ ...thing, name: '' }))).to.equal(
      'name: Expected at least 1 characters, found “”.',
    )
    expect(complaint(readThingBody({ ...thing, unit: 'ell' }))).to.contain('unit: Expected in, cm or mm')
    expect(complaint(readThingBody({ ...thing, object: { kind: 'sofa' } }))).to.contain(
      'object.kind: Expected hardcover',
    )
    expect(complaint(readThingBody({ ...thing, object: undefined }))).to.contain(
      'object: Expected an object with keys, found nothing',
    )
    expect(complaint(readThingBody({ ...thing, colour: 1 }))).to.contain('colour: “colour” is not known here')
    expect(complaint(readThingBody('thing'))).to.contain('Expected an object with keys, found “thing”')
  })

  it('of a cover may wait for readings, and hold lengths as nobody can read them, but be wrong in nothing else', () => {
    const draft = coverFile({ object: { kind: 'hardcover' } })
    expect(readCoverBody({ thingId: null, file: draft }).ok).to.equal(true)
    expect(readCoverBody({ file: draft }))
      .to.deep.include({ ok: true })
      .and.have.nested.property('value.thingId', null)
    expect(complaint(readCoverBody({ thingId: 'seven', file: draft }))).to.match(/^thingId: /)
    expect(readCoverBody({ thingId: null, file: { ...draft, seam: 'wide' } }).ok).to.equal(true)
    expect(complaint(readCoverBody({ thingId: null, file: { ...draft, seam: ['wide'] } }))).to.contain(
      'file.seam: Expected',
    )
    expect(complaint(readCoverBody({ thingId: null }))).to.contain(
      'file: Expected a cover file: an object with format, version and the rest, found nothing.',
    )
  })

  it('of a material read its thickness in its own unit', () => {
    expect(readMaterialBody(material).ok).to.equal(true)
    expect(
      complaint(
        readMaterialBody({ ...material, unit: 'cm', material: { ...material.material, thickness: '9' } }),
      ),
    ).to.contain('material.thickness: “9” is too large')
    expect(complaint(readMaterialBody({ ...material, swatch: 'red' }))).to.equal(
      'swatch: A swatch is a colour such as #8fa3b0.',
    )
    expect(
      complaint(readMaterialBody({ ...material, material: { ...material.material, squash: 7 } })),
    ).to.contain('material.squash: Expected at most 1, found 7')
  })

  it('of settings take the usual where nothing is said, and only real grids', () => {
    expect(readSettingsBody(settings)).to.deep.equal({ ok: true, value: settings })
    expect(readSettingsBody({ ...settings, grid: null, seam: null }).ok).to.equal(true)
    expect(complaint(readSettingsBody({ ...settings, grid: '3 mm' }))).to.contain(
      'grid: “3 mm” is not a cutting grid',
    )
    expect(complaint(readSettingsBody({ ...settings, seam: '0' }))).to.contain('seam: “0” is too small')
    expect(complaint(readSettingsBody({ unit: 'in' }))).to.match(/^(grid|seam|tapeDivision): /)
    expect(complaint(readSettingsBody(null))).to.contain('Expected an object with keys, found null')
  })
})
