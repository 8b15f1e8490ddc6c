import { mm } from '@snowdrift/core'
import { expect } from 'chai'
import { coverFile } from '../../../testing/files.js'
import { carriedByKey } from './carried-by-key.js'
import { placeInFile } from './place-in-file.js'

describe('what is carried in the picture', () => {
  const file = coverFile({ extras: [{ type: 'bookmark' }, { type: 'pocket-patch', on: 'front', x: '1' }] })

  it('stands in the file where it belongs, in the unit of the workshop, and all else stays', () => {
    const placed = placeInFile(
      file,
      { extra: 1, moves: ['x', 'y'], x: mm(25.4), y: mm(30) },
      // 2 in; 63.5 mm are 2 ½ in
      { x: mm(50.8), y: mm(63.5) },
      'in',
    )
    expect(placed).to.deep.equal({
      ...file,
      extras: [{ type: 'bookmark' }, { type: 'pocket-patch', on: 'front', x: '2 in', y: '2 1/2 in' }],
    })
    const onlyUp = { extra: 1, moves: ['y'] as const, x: mm(25.4), y: mm(30) }
    expect(placeInFile(file, onlyUp, { x: mm(50), y: mm(20) }, 'mm').extras?.[1]).to.include({
      x: '1',
      y: '20 mm',
    })
  })

  it('goes on being where it usually is along the way that it was not carried', () => {
    const loose = coverFile({ extras: [{ type: 'pocket-patch', on: 'front' }] })
    const placed = { extra: 0, moves: ['x', 'y'] as const, x: mm(40), y: mm(30) }
    const sideways = placeInFile(loose, placed, { x: mm(50), y: mm(30) }, 'mm')
    expect(sideways.extras?.[0]).to.deep.equal({ type: 'pocket-patch', on: 'front', x: '50 mm' })
    // carried up and back down in one hold of the hand
    const up = placeInFile(sideways, placed, { x: mm(50), y: mm(60) }, 'mm')
    expect(placeInFile(up, placed, { x: mm(50), y: mm(30) }, 'mm').extras?.[0]).to.include({ y: '30 mm' })
  })

  it('goes by a mark of the tape for each press of an arrow key, with shift by eight', () => {
    const division = mm(1)
    const by = (key: string, shiftKey = false) => carriedByKey({ key, shiftKey }, division)
    expect(by('ArrowLeft')).to.deep.equal({ right: mm(-1), up: mm(0) })
    expect(by('ArrowUp', true)).to.deep.equal({ right: mm(0), up: mm(8) })
    expect(by('ArrowDown')).to.deep.equal({ right: mm(0), up: mm(-1) })
    expect(by('ArrowRight')).to.deep.equal({ right: mm(1), up: mm(0) })
    expect(by('PageUp')).to.equal(undefined)
  })
})
