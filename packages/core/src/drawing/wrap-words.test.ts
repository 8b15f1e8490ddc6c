import { expect } from 'chai'
import fc from 'fast-check'
import { wrapWords } from './wrap-words.js'

describe('words in lines', () => {
  it('break where the next word would be too much', () => {
    expect(wrapWords('flaps, folds to the middle, right side down', 31)).to.deep.equal([
      'flaps, folds to the middle,',
      'right side down',
    ])
    expect(wrapWords('outer, right side up', 31)).to.deep.equal(['outer, right side up'])
    expect(wrapWords('one two', 3)).to.deep.equal(['one', 'two'])
  })

  it('leave a word whole that is longer than a line', () => {
    expect(wrapWords('a counterbalanced b', 4)).to.deep.equal(['a', 'counterbalanced', 'b'])
  })

  it('lose nothing, and no line is longer than its words need', () => {
    const text = fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(text, fc.integer({ min: 1, max: 20 }), (parts, most) => {
        const lines = wrapWords(parts.join(' '), most)
        expect(lines.join(' ')).to.equal(parts.join(' '))
        for (const line of lines) expect(line.length <= most || !line.includes(' ')).to.equal(true)
      }),
    )
  })
})
