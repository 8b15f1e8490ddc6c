import { inches, mm, readDraft, sayThickness, type MaterialRow, type Unit } from '@snowdrift/core'
import { expect } from 'chai'
import { describeError, isUnreachable } from '../api/describe-error.js'
import { choicesFor, firstLayer } from '../screens/workspace/layers/layer-from.js'
import { coverFile } from '../testing/files.js'
import { gridChoices } from './grid-choices.js'

describe('the cutting grids to choose from', () => {
  const choices = (reckoned: Unit, shown: Unit = reckoned, stated = '') =>
    gridChoices({ reckoned, shown, stated })

  it('are the ones that a file of the unit may carry, the usual one first', () => {
    expect(choices('in')).to.deep.equal({
      '': 'usual: 1⁄8\u00a0in',
      '1/16 in': '1⁄16\u00a0in',
      '1/8 in': '1⁄8\u00a0in',
      '1/4 in': '1⁄4\u00a0in',
    })
    expect(choices('cm')).to.deep.equal({
      '': 'usual: 1\u00a0mm',
      '1 mm': '1\u00a0mm',
      '2 mm': '2\u00a0mm',
      '5 mm': '5\u00a0mm',
    })
    for (const grid of [...Object.keys(choices('in')), ...Object.keys(choices('mm'))].filter(Boolean))
      expect(readDraft(coverFile({ grid })).ok, grid).to.equal(true)
  })

  it('are said in what the workshop measures in, the one that is stated among them', () => {
    expect(choices('in', 'mm')).to.include({ '': 'usual: 3.2\u00a0mm', '1/16 in': '1.6\u00a0mm' })
    expect(choices('mm', 'in', '1/4 in')).to.include({ '1/4 in': '1⁄4\u00a0in' })
  })
})

describe('the materials to choose from', () => {
  const row: MaterialRow = {
    id: '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f',
    version: 1,
    updatedAt: '2030-01-01T00:00:00.000Z',
    unit: 'mm',
    swatch: '#445566',
    material: { role: 'padding', name: 'Old blanket', thickness: '4' },
    stock: {},
    picture: 0,
  }

  it('are the workshop’s own, then typical ones, of the layer’s role', () => {
    const { own, typical } = choicesFor('padding', [row], 'mm')
    expect(own.map(({ name }) => name)).to.deep.equal(['Old blanket'])
    expect(typical.every(({ role }) => role === 'padding')).to.equal(true)
    expect(choicesFor('outer', [row], 'mm').own).to.deep.equal([])
  })

  it('say the unit of a bare thickness where the cover has another', () => {
    expect(choicesFor('padding', [row], 'in').own[0]?.thickness).to.equal('4 mm')
    expect(choicesFor('padding', [row], 'mm').own[0]?.thickness).to.equal('4')
  })

  it('give a layer to begin with, even in an empty workshop', () => {
    expect(firstLayer('padding', [row], 'mm').name).to.equal('Old blanket')
    expect(firstLayer('padding', [], 'mm').name).to.equal('Fusible fleece')
    expect(firstLayer('trim', [], 'mm')).to.deep.equal({
      role: 'trim',
      name: 'Trim',
      thickness: '0.3 mm',
    })
  })
})

describe('a thickness', () => {
  it('is said in millimetres to two decimals', () => {
    expect(sayThickness(mm(0.28))).to.equal('0.28 mm')
    expect(sayThickness(inches(1 / 8))).to.equal('3.18 mm')
  })
})

describe('what a failed request means', () => {
  it('is said in a sentence', () => {
    expect(describeError({ status: 'FETCH_ERROR' })).to.contain('cannot be reached')
    expect(describeError({ status: 404, data: { detail: 'Gone.' } })).to.equal('Gone.')
    expect(
      describeError({ status: 422, data: { detail: 'x', issues: [{ path: 'a', message: 'Too long.' }] } }),
    ).to.equal('Too long.')
    expect(describeError(undefined)).to.contain('Nothing was changed')
  })

  it('tells a server that is away from one that refuses', () => {
    expect([{ status: 'FETCH_ERROR' }, { status: 503 }, { status: 500 }].map(isUnreachable)).to.deep.equal([
      true,
      true,
      true,
    ])
    expect([{ status: 412 }, { status: 422 }, { status: 'PARSING_ERROR' }].map(isUnreachable)).to.deep.equal([
      false,
      false,
      false,
    ])
  })
})
