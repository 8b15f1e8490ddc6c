import type { TypedObject } from '@snowdrift/core'
import { expect } from 'chai'
import { hasReadings, isSameObject } from './same-object.js'

const book = (readings: TypedObject['readings'], more: Partial<TypedObject> = {}): TypedObject => ({
  kind: 'notebook',
  ...(readings && { readings }),
  ...more,
})

describe('whether cover and thing say the same', () => {
  it('takes bare numbers in the unit of each, and what is left out as usual', () => {
    const one = { object: book({ height: ['8'] }), unit: 'in' } as const
    expect(isSameObject(one, { object: book({ height: ['8 in'] }, { spine: 'flat' }), unit: 'mm' })).to.equal(
      true,
    )
    expect(isSameObject(one, { object: book({ height: ['8'] }), unit: 'mm' })).to.equal(false)
    expect(isSameObject(one, { object: book({ height: ['8'] }, { spine: 'coil' }), unit: 'in' })).to.equal(
      false,
    )
  })

  it('does not mind the tape, nor the order in which readings were taken', () => {
    const one = {
      object: book({ height: ['8'], width: ['5'] }, { tapeDivision: '1/32 in' }),
      unit: 'in',
    } as const
    expect(isSameObject(one, { object: book({ width: ['5'], height: ['8'] }), unit: 'in' })).to.equal(true)
  })

  it('knows a thing that nobody has measured', () => {
    expect([
      hasReadings(book(undefined)),
      hasReadings(book({})),
      hasReadings(book({ height: ['8'] })),
    ]).to.deep.equal([false, false, true])
  })
})
