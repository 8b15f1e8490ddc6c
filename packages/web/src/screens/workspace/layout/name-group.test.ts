import { zero, type CuttingGroup } from '@snowdrift/core'
import { expect } from 'chai'
import { nameGroup } from './name-group.js'

const pieces = (...names: readonly string[]): CuttingGroup['pieces'] =>
  names.map(piece => ({
    id: piece,
    label: piece,
    coverId: '',
    piece,
    copy: 1,
    width: zero,
    height: zero,
    turn: 'none',
  }))

describe('what a group is cut from', () => {
  it('is called as its layer is, or by its role', () => {
    expect(nameGroup({ material: 'Larch', role: 'outer', pieces: pieces('outer') })).to.equal('Larch')
    expect(nameGroup({ material: '', role: 'card', pieces: pieces('lining') })).to.equal('Card')
  })

  it('is cloth for what it is sewn on as, where no layer has it', () => {
    expect(nameGroup({ material: '', role: 'trim', pieces: pieces('contrast-spine') })).to.equal(
      'Cloth for the contrast spine',
    )
    expect(
      nameGroup({ material: '', role: 'trim', pieces: pieces('contrast-spine', 'patch', 'patch') }),
    ).to.equal('Cloth for the contrast spine and the label or motif')
  })
})
