import { expect } from 'chai'
import { partsOfPath, readingAt, topOfPath } from './place.js'

describe('a place in a cover file', () => {
  it('is keys and numbers of lists', () => {
    expect(partsOfPath('objects[2].readings.wrap[0]')).to.deep.equal(['objects', 2, 'readings', 'wrap', 0])
    expect(partsOfPath('')).to.deep.equal([])
  })

  it('stands under one key of the file', () => {
    expect(['object.spine', 'objects[1].kind', 'seam', ''].map(topOfPath)).to.deep.equal([
      'object',
      'objects',
      'seam',
      '',
    ])
  })

  it('is of a reading, or of none', () => {
    expect(readingAt('object.readings.height[0]')).to.equal('height')
    expect(readingAt('objects[2].readings.wrap')).to.equal('wrap')
    for (const path of [
      'object.spine',
      'object.readings',
      'options.readingsWanted',
      'object.readings.colour',
    ])
      expect(readingAt(path), path).to.equal(undefined)
  })
})
