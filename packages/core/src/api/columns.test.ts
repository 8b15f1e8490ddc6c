import { expect } from 'chai'
import { z } from 'zod'
import { lengthInput } from '../length/length-input.js'
import { mm } from '../length/length.js'
import { units } from '../length/unit.js'
import { asTyped } from './as-typed.js'
import { anyUnit, bodyOf, bodyReader, ourColumn, ownUnit, rowSchema, typedColumn } from './columns.js'

/** A kind of row as the next one would be written. */
const shelfColumns = {
  unit: typedColumn('text', z.enum(units)),
  depth: typedColumn('text', z.union([z.string(), z.number()]), unit =>
    asTyped(lengthInput(unit, { min: mm(10), max: mm(600) })),
  ),
  label: typedColumn('text', z.string(), () => z.string().max(20).default('shelf')),
  used: ourColumn('count', z.int().min(0)),
}

describe('one definition of a kind of row', () => {
  const read = bodyReader(shelfColumns, ownUnit)

  it('reads what a maker may write, in its own unit, and keeps it as typed', () => {
    expect(read({ unit: 'in', depth: '11 3/4', label: 'top' })).to.deep.equal({
      ok: true,
      value: { unit: 'in', depth: '11 3/4', label: 'top' },
    })
    expect(read({ unit: 'mm', depth: 300 })).to.deep.include({
      ok: true,
      value: { unit: 'mm', depth: 300, label: 'shelf' },
    })
  })

  it('refuses what cannot be, at its place, by the same rule in every unit', () => {
    // 30 in is 762 mm, over 600; 30 cm is not
    expect(read({ unit: 'in', depth: '30' })).to.have.nested.property('issues[0].path', 'depth')
    expect(read({ unit: 'cm', depth: '30' }).ok).to.equal(true)
    expect(read({ unit: 'ell', depth: '30' })).to.have.nested.property('issues[0].path', 'unit')
  })

  it('takes nothing that only the server writes', () => {
    const refused = read({ unit: 'mm', depth: '300', used: 3 })
    expect(refused).to.have.nested.property('issues[0].path', 'used')
  })

  it('makes the schema of a row, with what every row has', () => {
    const row = {
      id: '7b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f',
      version: 3,
      updatedAt: '2026-01-06T10:00:00.000Z',
      unit: 'mm',
      depth: '300',
      label: 'top',
      used: 2,
    }
    const schema = rowSchema(shelfColumns)
    expect(schema.parse(row)).to.deep.equal(row)
    const { used: _used, ...without } = row
    expect(schema.safeParse(without).success).to.equal(false)
    expect(schema.safeParse({ ...row, colour: 'red' }).success).to.equal(false)
  })

  it('gives of a row what its maker wrote', () => {
    const row = { unit: 'mm', depth: '300', label: 'top', used: 2 } as const
    expect(bodyOf(shelfColumns, row)).to.deep.equal({ unit: 'mm', depth: '300', label: 'top' })
  })

  it('has no unit where it has no lengths', () => {
    const noteColumns = { note: typedColumn('text', z.string()) }
    expect(bodyReader(noteColumns, anyUnit)({ note: 'left' })).to.deep.equal({
      ok: true,
      value: { note: 'left' },
    })
  })
})
