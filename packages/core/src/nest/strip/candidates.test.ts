import { expect } from 'chai'
import fc from 'fast-check'
import { addCandidate, createCandidates, pickBest } from './candidates.js'

describe('the candidates of a level', () => {
  it('are ranked by their score, the best so many of them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -50, max: 50 }), { maxLength: 200 }),
        fc.integer({ min: 0, max: 220 }),
        (scores, most) => {
          const candidates = createCandidates()
          scores.forEach((score, index) => addCandidate(candidates, index, 0, score))
          const picked = pickBest(candidates, most)
          const ranked = [...candidates.ranked.subarray(0, picked)].map(index => scores[index])
          expect(ranked).to.deep.equal(scores.toSorted((one, other) => one - other).slice(0, most))
          expect(new Set(candidates.ranked.subarray(0, picked)).size).to.equal(picked)
        },
      ),
    )
  })

  it('find room for however many there are', () => {
    const candidates = createCandidates()
    for (let index = 0; index < 10_000; index += 1) addCandidate(candidates, index, index, 10_000 - index)
    expect(pickBest(candidates, 2)).to.equal(2)
    expect([...candidates.ranked.subarray(0, 2)].map(at => candidates.how[at])).to.deep.equal([9999, 9998])
  })
})
