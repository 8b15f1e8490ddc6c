import { initialSettings, readDraft, type SettingsRow, type ThingRow } from '@snowdrift/core'
import { expect } from 'chai'
import { newCoverFile } from './new-cover-file.js'

const thing: ThingRow = {
  id: '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f',
  version: 1,
  updatedAt: '2030-01-01T00:00:00.000Z',
  name: 'Pocket field notes',
  unit: 'in',
  object: { kind: 'notebook', readings: { height: ['5 1/2'], width: ['3 1/2 in'] } },
}
const settings: SettingsRow = { ...initialSettings(), version: 1 }

describe('the file of a new cover', () => {
  it('can be read as it stands', () => {
    expect(readDraft(newCoverFile(thing, settings)).ok).to.equal(true)
  })

  it('begins with the thing’s readings and is called after it', () => {
    const file = newCoverFile(thing, settings)
    expect(file.name).to.equal('Cover for Pocket field notes')
    expect(file.object).to.deep.equal(thing.object)
    expect(file).not.to.have.any.keys('grid', 'seam')
  })

  it('says the unit of readings that were taken in another', () => {
    const file = newCoverFile(thing, { ...settings, unit: 'mm' })
    expect(file.unit).to.equal('mm')
    expect(file.object?.readings).to.deep.equal({ height: ['5 1/2 in'], width: ['3 1/2 in'] })
  })

  it('takes what the workshop has set', () => {
    const file = newCoverFile(thing, { ...settings, grid: '1/4 in', seam: '3/8', tapeDivision: '1/32 in' })
    expect(file).to.include({ grid: '1/4 in', seam: '3/8' })
    expect(file.object?.tapeDivision).to.equal('1/32 in')
  })

  it('keeps within the length of a name', () => {
    const file = newCoverFile({ ...thing, name: 'n'.repeat(120) }, settings)
    expect(readDraft(file).ok).to.equal(true)
  })
})

describe('the layers of a new cover', () => {
  const layersFor = (object: ThingRow['object']) => newCoverFile({ ...thing, object }, settings).layers

  it('are cotton as it typically measures: it shrinks', () => {
    expect(layersFor({ kind: 'notebook' })).to.deep.include.members([
      {
        role: 'outer',
        name: 'Quilting cotton',
        thickness: '0.28 mm',
        stretchAlong: 1,
        stretchAcross: 2.5,
        shrinkage: 3,
        seeThrough: 0.2,
        frays: 'some',
      },
    ])
    expect(layersFor({ kind: 'notebook' }).map(({ role, shrinkage }) => [role, shrinkage])).to.deep.equal([
      ['lining', 3],
      ['outer', 3],
    ])
  })

  it('are lined with card where boards are covered', () => {
    expect(layersFor({ kind: 'journal' }).map(({ role }) => role)).to.deep.equal(['card', 'outer'])
  })
})

describe('the way of making of a new cover', () => {
  const familyFor = (object: ThingRow['object']) => newCoverFile({ ...thing, object }, settings).family

  it('is the first that suits the kind of thing', () => {
    expect(familyFor({ kind: 'notebook' })).to.equal('slip-cover')
    expect(familyFor({ kind: 'planner', spine: 'coil' })).to.equal('slip-cover')
    expect(familyFor({ kind: 'journal' })).to.equal('board-cover')
    expect(familyFor({ kind: 'tablet' })).to.equal('sleeve')
  })
})
