import { expect } from 'chai'
import { toMm } from '../length/length.js'
import { readDraft } from '../file/read-cover.js'
import { typicalMaterials } from '../file/typical-materials.js'
import { layerOf, outerOf, quiltedTakeUp, totalThickness } from './layer.js'
import { pressedThickness } from './material.js'
import { layer } from './testing/layers.js'

describe('a stack of layers', () => {
  const stack = [
    layer('lining', 0.25),
    layer('padding', 2, { takeUp: 3, quilted: true }),
    layer('outer', 0.5, { takeUp: 1, quilted: true }),
  ]

  it('is found by role', () => {
    expect(layerOf(stack, 'padding')?.role).to.equal('padding')
    expect(layerOf(stack, 'card')).to.equal(undefined)
    expect(outerOf(stack).role).to.equal('outer')
    expect(() => outerOf([layer('lining', 1)])).to.throw('without an outer layer')
  })

  it('is as thick as its plies together, and pressed by half their squash', () => {
    expect(toMm(totalThickness(stack))).to.equal(2.75)
    // 2·(1 − 0.5/2) = 1.5
    expect(toMm(pressedThickness(layer('padding', 2, { squash: 0.5 })))).to.equal(1.5)
  })

  it('loses to quilting what its greediest quilted ply takes', () => {
    expect(quiltedTakeUp(stack)).to.equal(0.03)
    expect(quiltedTakeUp([layer('padding', 2, { takeUp: 3 }), layer('outer', 1)])).to.equal(0)
  })
})

describe('typical materials', () => {
  it('can be taken into a cover as they are, by names that differ', () => {
    for (const material of typicalMaterials) {
      const outer = material.role === 'outer' ? material : { role: 'outer' as const, thickness: '0.3 mm' }
      const layers = material.role === 'outer' ? [outer] : [material, outer]
      const read = readDraft({
        format: 'snowdrift/cover',
        version: 2,
        family: 'slip-cover',
        object: { kind: 'notebook' },
        layers,
      })
      expect(read.ok, material.name).to.equal(true)
    }
    expect(new Set(typicalMaterials.map(({ name }) => name)).size).to.equal(typicalMaterials.length)
  })
})
