import { expect } from 'chai'
import { readCover, readMaterialBody } from '@snowdrift/core'
import { gravestOf } from '../../parts/severity'
import { plannedOf } from '../../views/planned'
import { samples } from './samples'

describe('what an empty shelf offers to play with', () => {
  for (const { file, materials } of samples)
    it(`is a cover that fits, in cloths of its own: ${file.name}`, () => {
      expect(readCover(file).ok).to.equal(true)
      const { plan } = plannedOf(file)
      expect(gravestOf(plan?.findings ?? [])).to.be.oneOf([undefined, 'advice'])
      expect(plan?.pieces.length).to.be.at.least(3)
      for (const body of materials) {
        expect(readMaterialBody(body).ok).to.equal(true)
        expect(file.layers.map(({ name }) => name)).to.include(body.material.name)
      }
    })

  it('is of ways of making that differ', () => {
    expect(new Set(samples.map(({ file }) => file.family)).size).to.equal(samples.length)
  })
})
