import { expect } from 'chai'
import { sayPlace } from './place-words.js'
import { coverFile } from './testing/cover-files.js'

describe('a place in a cover file, in words', () => {
  const file = coverFile({ extras: [{ type: 'loop-button' }] })
  const places: readonly (readonly [path: string, words: string])[] = [
    ['object.readings.height[0]', 'Height'],
    ['object.readings.thickness[1]', 'Thickness, reading 2'],
    ['objects[2].readings.wrap[0]', 'Book 3, wrap'],
    ['object.spine', 'Spine'],
    ['options.flapDepth', 'Flap depth'],
    ['layers[0].thickness', 'Lining, thickness'],
    ['layers[2].stretchAlong', 'Outer cloth, stretch along'],
    ['seam', 'Seam allowance'],
    ['sizing.easeWidth', 'Ease to aim at, round it'],
    ['trial.width.finished', 'Trial piece, round it'],
  ]
  for (const [path, words] of places)
    it(`says “${words}” for ${path}`, () => {
      expect(sayPlace(file, path)).to.equal(words)
    })

  it('names what was added by its own name and label', () => {
    expect(sayPlace(file, 'extras[0].buttonDiameter')).to.match(/^Loop and button, /)
  })

  it('says a place that nobody has words for as it stands', () => {
    expect(sayPlace(file, 'elsewhere.entirely')).to.equal('elsewhere.entirely')
  })
})
