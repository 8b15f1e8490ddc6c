import { expect } from 'chai'
import fc from 'fast-check'
import { isEqual } from './is-equal.js'

describe('two values that say the same', () => {
  it('are equal, whatever the order of their keys, and with or without keys that have no value', () => {
    expect(isEqual({ a: 1, b: [2, { c: null }] }, { b: [2, { c: null }], a: 1 })).to.equal(true)
    expect(isEqual({ a: 1, b: undefined }, { a: 1 })).to.equal(true)
  })

  it('are not equal where one says more, less, or in another order of a list', () => {
    for (const [one, other] of [
      [{ a: 1 }, { a: 1, b: 2 }],
      [{ a: 1, b: 2 }, { a: 1 }],
      [
        [1, 2],
        [2, 1],
      ],
      [[], {}],
      [null, {}],
      ['1', 1],
    ] as const)
      // prettier-ignore
      expect(isEqual(one, other), JSON.stringify([one, other])).to.equal(false)
  })

  it('are those that went through JSON and came back', () => {
    fc.assert(fc.property(fc.jsonValue(), value => isEqual(value, JSON.parse(JSON.stringify(value)))))
  })
})
