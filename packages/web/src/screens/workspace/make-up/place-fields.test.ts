import { findExtra, findFamily, listOptionFields, type TypedExtra } from '@snowdrift/core'
import { expect } from 'chai'
import { splitPlaceFields } from './place-fields'

const fieldsOf = (type: string, family: string, typed: Omit<TypedExtra, 'type'> = {}) => {
  const [extra, { traits }] = [findExtra(type), findFamily(family) ?? { traits: [] }]
  if (!extra) throw new Error(`No extra ${type}`)
  const { own, place } = splitPlaceFields(
    extra,
    { ...typed, type },
    traits,
    listOptionFields(extra.options('mm')),
  )
  return { own: own.map(([key]) => key), place: place.map(([key]) => key) }
}

describe('the fields of an extra’s place', () => {
  it('are those that move it on this way of making', () => {
    expect(fieldsOf('patch', 'slip-cover')).to.deep.equal({
      own: ['on', 'width', 'height'],
      place: ['x', 'y'],
    })
    expect(fieldsOf('tie-pair', 'slip-cover').place).to.deep.equal(['y'])
    expect(fieldsOf('tie-pair', 'sleeve').place).to.deep.equal(['x'])
  })

  it('are none where the cover says where it goes', () => {
    expect(fieldsOf('bookmark', 'slip-cover')).to.deep.equal({ own: ['length'], place: [] })
  })

  it('keep what a file says to no effect, so that it can be taken out', () => {
    expect(fieldsOf('bookmark', 'slip-cover', { x: '1 in' }).place).to.deep.equal(['x'])
  })
})
