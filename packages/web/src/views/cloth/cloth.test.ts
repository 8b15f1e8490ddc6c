import { expect } from 'chai'
import { mm, type MaterialRow, type PathMark } from '@snowdrift/core'
import { inPrint, looksOf, type ClothNames } from './cloth-looks'
import { isDark } from './is-dark'
import { lookOf } from './look'

function row(name: string, changes: Partial<MaterialRow> = {}): MaterialRow {
  return {
    id: `id of ${name}`,
    version: 1,
    updatedAt: '2026-11-01T10:00:00.000Z',
    unit: 'in',
    swatch: '#3f6f5f',
    material: { role: 'outer', name, thickness: '0.3 mm' },
    stock: {},
    picture: 0,
    ...changes,
  }
}

describe('how a cloth looks', () => {
  it('comes again as its repeat says, in the unit that it was written in; else as is usual', () => {
    // 1/2 in = 12.7 mm
    expect(lookOf(row('Larch', { stock: { weave: 'dots', repeat: '1/2' } })).repeatMm).to.equal(12.7)
    expect(lookOf(row('Larch', { unit: 'cm', stock: { repeat: '3' } })).repeatMm).to.equal(30)
    expect(lookOf(row('Larch', { stock: { weave: 'stripes' } })).repeatMm).to.equal(10)
    expect(lookOf(row('Larch', { stock: { repeat: '1 2 3' } })).repeatMm).to.equal(2)
    // across the same, unless it is said
    const sides = (stock: object) => {
      const { repeatMm, acrossMm } = lookOf(row('Larch', { unit: 'mm', stock }))
      return [repeatMm, acrossMm]
    }
    expect(sides({ repeat: '30' })).to.deep.equal([30, 30])
    expect(sides({ repeat: '30', repeatAcross: '45' })).to.deep.equal([30, 45])
  })

  it('is its picture once that has a scale, and only that picture', () => {
    const photo = {
      picture: 2,
      ratio: 0.75,
      marks: [
        [0.25, 0.2],
        [0.75, 0.2],
      ] as [[number, number], [number, number]],
      apart: '4 in',
    }
    // 101.6 mm are half its width.
    const marked = lookOf(row('Larch', { picture: 2, stock: { photo } }))
    expect(marked.photo?.width).to.be.closeTo(203.2, 1e-9)
    expect(marked.photo?.href).to.equal('/api/materials/id of Larch/picture?v=2')
    expect(lookOf(row('Larch', { picture: 3, stock: { photo } })).photo).to.equal(undefined)
    expect(lookOf(row('Larch', { picture: 2 })).photo).to.equal(undefined)
    const unread = { ...photo, apart: 'a hand' }
    expect(lookOf(row('Larch', { picture: 2, stock: { photo: unread } })).photo).to.equal(undefined)
  })

  it('is dark or light as the eye weighs it', () => {
    expect(['#2f3d5c', '#fbfaf6', '#0000ff', '#00ff00'].map(isDark)).to.deep.equal([true, false, true, false])
  })
})

describe('the cloths of a cover', () => {
  const names: ClothNames = {
    layers: { outer: 'Larch', lining: 'Fog', padding: 'Fleece' },
    own: { strap: { name: 'Felt', role: 'outer' } },
    roles: { outer: 'outer', lining: 'lining', flap: 'outer', strap: 'outer', padding: 'padding' },
  }
  const fog = row('Fog', { material: { role: 'lining', name: 'Fog', thickness: '0.3 mm' } })
  const looks = looksOf(names, [row('larch'), row('Fog', { id: 'another' }), fog, row('Felt')])
  const keyOf = (...asked: Parameters<typeof looks>) => looks(...asked)?.key

  it('are found by what their pieces are cut from', () => {
    expect(keyOf('outer', 'outside')).to.equal('id of larch-1')
    expect(keyOf('flap', 'inside')).to.equal('id of larch-1')
    expect(keyOf('strap', 'outer')).to.equal('id of Felt-1')
  })

  it('show the lining inside a panel, that for this use of two alike', () => {
    expect(keyOf('outer', 'inside')).to.equal('id of Fog-1')
  })

  it('are not known of what the stash does not have, and not of the thing itself', () => {
    expect(keyOf('padding', 'padding')).to.equal(undefined)
    expect(keyOf(undefined, 'board')).to.equal(undefined)
    expect(keyOf('outer', 'leaves')).to.equal(undefined)
  })

  it('begin where a piece of theirs was pinned, in the flat cover and nowhere else', () => {
    const place = {
      piece: 'outer',
      copy: 1,
      x: mm(-6),
      y: mm(-6),
      width: mm(300),
      height: mm(200),
      windows: [],
    }
    const printed = inPrint(looks, [{ place, x: -100.5, y: 20 }])
    const area: PathMark = {
      ...{ kind: 'path', start: [mm(0), mm(0)], steps: [{ to: [mm(100), mm(188)] }], closed: true },
      ...{ style: 'bare', fill: 'outside', piece: 'outer' },
    }
    expect(printed('outer', 'outside', area)).to.deep.include({ from: [-100.5, 20], colour: '#3f6f5f' })
    expect(printed('outer', 'outside')).to.equal(looks('outer', 'outside'))
    // the lining of the same panel
    expect(printed('outer', 'inside', { ...area, fill: 'inside', piece: 'lining' })).to.equal(
      looks('outer', 'inside'),
    )
    expect(inPrint(looks, [])).to.equal(looks)
    const keys = [-100.5, -100.25].map(
      x => inPrint(looks, [{ place, x, y: 20 }])('outer', 'outside', area)?.key,
    )
    expect(new Set(keys)).to.have.property('size', 2)
  })

  it('are the same record each time, so that nothing is drawn again', () => {
    expect(looks('outer', 'outside')).to.equal(looks('outer', 'outside'))
  })
})
