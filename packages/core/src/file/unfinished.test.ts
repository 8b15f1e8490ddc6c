import { expect } from 'chai'
import { coverFile } from './testing/cover-files.js'
import { readUnfinished } from './unfinished.js'

const readings = (changes: object) => ({
  kind: 'hardcover' as const,
  readings: { height: ['9 3/8'], width: ['6 5/8'], thickness: ['1 3/16'], ...changes },
})

describe('reading a file that is still being typed', () => {
  it('finds nothing unread in one that can be read', () => {
    const { cover, unread, faults } = readUnfinished(coverFile())
    expect(cover?.name).to.equal('Hut ledger')
    expect([unread, faults]).to.deep.equal([[], []])
  })

  it('names a reading that is refused, and sets it aside: the 23 that was read on the way to 238 is nobody’s', () => {
    const { cover, unread, faults } = readUnfinished(coverFile({ object: readings({ height: ['238'] }) }))
    expect(unread.map(({ path }) => path)).to.deep.equal(['object.readings.height[0]'])
    expect(unread[0]?.message).to.contain('“238” is too large')
    expect(faults).to.deep.equal([])
    expect(cover?.object.readings).to.have.keys('width', 'thickness')
  })

  it('keeps the other readings of the same measurement', () => {
    const { cover } = readUnfinished(coverFile({ object: readings({ height: ['9 3/8', 'nine', '9 5/16'] }) }))
    expect(cover?.object.readings.height?.map(({ text }) => text)).to.deep.equal(['9 3/8', '9 5/16'])
  })

  it('goes on to options and extras, which are read once the rest can be', () => {
    const file = coverFile({
      object: readings({ width: ['6 5/'] }),
      seam: 'wide',
      options: { flapDepth: '3 3' },
      extras: [{ type: 'loop-button', button: '93/8' }],
    })
    expect(readUnfinished(file).unread.map(({ path }) => path)).to.have.members([
      'object.readings.width[0]',
      'seam',
      'options.flapDepth',
      'extras[0].button',
    ])
  })

  it('takes a number that is out of its range, or none, for unread too', () => {
    const layer = { role: 'outer', name: 'cloth', thickness: '0.3 mm', stretchAlong: 150 } as const
    const typed = { ...layer, stretchAlong: '1x' as unknown as number }
    for (const outer of [layer, typed]) {
      const { unread, faults } = readUnfinished(coverFile({ layers: [outer] }))
      expect(unread.map(({ path }) => path)).to.deep.equal(['layers[0].stretchAlong'])
      expect(faults).to.deep.equal([])
    }
  })

  it('lets what must be there stand in for itself', () => {
    const { cover, unread, faults } = readUnfinished(
      coverFile({ layers: [{ role: 'outer', name: 'cloth', thickness: 'thin' }] }),
    )
    expect(unread.map(({ path }) => path)).to.deep.equal(['layers[0].thickness'])
    expect(faults).to.deep.equal([])
    expect(cover?.stack).to.have.length(1)
  })

  it('takes what a trial piece told in the same way: lacking cannot be left out either', () => {
    for (const told of [{ short: '1/' }, { spare: '1/' }, { finished: '9 3/', spare: '0' }]) {
      const tried = { width: { finished: '14', ...told } }
      const { unread, faults } = readUnfinished(coverFile({ trial: tried }))
      expect([unread.length, faults.length], JSON.stringify(told)).to.deep.equal([1, 0])
    }
  })

  it('finds faults of form where there are any, also behind what is unread', () => {
    expect(readUnfinished(coverFile({ family: 'tent' })).faults.map(({ path }) => path)).to.deep.equal([
      'family',
    ])
    const both = readUnfinished(coverFile({ seam: 'wide', options: { flapStyle: 'loose' } }))
    expect(both.faults.map(({ path }) => path)).to.deep.equal(['options.flapStyle'])
    expect(both.cover).to.equal(undefined)
    expect(readUnfinished('a cover').faults).to.have.length(1)
  })
})
