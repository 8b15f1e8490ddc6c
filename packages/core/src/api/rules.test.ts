import { expect } from 'chai'
import { readRuleBody, ruleRow } from './rules.js'

const body = {
  name: 'Hut rule',
  family: 'slip-cover',
  unit: 'in',
  rule: { measure: 'wrap', addWidth: '1 1/2', addHeight: '1', seam: '1/2', options: { flapDepth: '3' } },
}
const pathsOf = (changes: object) => {
  const read = readRuleBody({ ...body, ...changes })
  return read.ok ? [] : read.issues.map(({ path }) => path)
}

describe('a rule that is kept', () => {
  it('is taken as it was typed', () => {
    const read = readRuleBody(body)
    expect(read.ok && read.value).to.deep.equal(body)
    const row = { ...body, id: crypto.randomUUID(), version: 1, updatedAt: '2031-02-03T04:05:06.000Z' }
    expect(ruleRow.parse(row)).to.deep.equal(row)
  })

  it('must be one that its way of making can follow', () => {
    expect(pathsOf({ name: ' ' })).to.deep.equal(['name'])
    expect(pathsOf({ family: 'tent' })).to.deep.equal(['family'])
    expect(pathsOf({ family: 'board-cover' })).to.deep.equal(['rule.measure'])
    expect(pathsOf({ rule: { ...body.rule, measure: 'device' } })).to.deep.equal(['rule.measure'])
    expect(pathsOf({ rule: { ...body.rule, options: { sails: 3 } } })).to.deep.equal(['rule.options'])
    expect(pathsOf({ rule: { ...body.rule, addWidth: 'wide' } })).to.deep.equal(['rule.addWidth'])
    expect(pathsOf({ rule: { ...body.rule, measure: undefined } })).to.deep.equal([])
  })
})
