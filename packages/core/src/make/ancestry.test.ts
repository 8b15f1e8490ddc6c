import { expect } from 'chai'
import { ancestryOf } from './ancestry.js'

const needs = (record: Readonly<Record<string, readonly string[]>>) => new Map(Object.entries(record))

describe('what comes before what', () => {
  const { isBefore, nearest } = ancestryOf(needs({ a: [], b: ['a'], c: ['b', 'a'], d: [] }))

  it('is known near and far', () => {
    expect([isBefore('a', 'c'), isBefore('b', 'c'), isBefore('c', 'a'), isBefore('d', 'c')]).to.deep.equal([
      true,
      true,
      false,
      false,
    ])
  })

  it('is said once: what another need has before it already is left out', () => {
    expect(nearest(['a', 'b', 'd'])).to.deep.equal(['b', 'd'])
    expect(nearest([])).to.deep.equal([])
  })

  it('is a bug where it goes round in a circle', () => {
    expect(() => ancestryOf(needs({ a: ['c'], b: ['a'], c: ['b'] }))).to.throw('in a circle: a → c → b → a')
  })
})
