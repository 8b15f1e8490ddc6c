import { expect } from 'chai'
import { listOptionFields } from './option-fields.js'
import { nameOption, wordOption } from './option-words.js'
import { findFamily } from './registry.js'

const fieldsOf = (id: string) => {
  const family = findFamily(id)
  return family ? listOptionFields(family.options('in')) : []
}

describe('an option in words', () => {
  it('is called by its label, within a sentence', () => {
    expect(nameOption(fieldsOf('slip-cover'), 'flapDepth')).to.equal('flap depth')
    expect(nameOption([], 'innerHalf')).to.equal('inner half')
  })

  it('is a length, yes or no, or what its choice is called', () => {
    expect(wordOption(fieldsOf('slip-cover'), 'flapDepth', 8128)).to.equal(8128)
    expect(wordOption(fieldsOf('sleeve'), 'quilted', false)).to.equal('no')
    const construction = wordOption(fieldsOf('turned-flap-cover'), 'construction', 'single')
    expect(construction).to.match(/one layer|single layer/i)
    expect(wordOption(fieldsOf('board-cover'), 'gap', 'eighth')).to.equal('an eighth')
    expect(wordOption(fieldsOf('board-cover'), 'inserts', 3)).to.equal('3')
  })
})
