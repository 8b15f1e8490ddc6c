import { expect } from 'chai'
import { applyRepair } from './apply-repair.js'
import { changeUnit } from './change-unit.js'
import type { CoverFile, TypedObject } from './cover-schema.js'
import { familyFile } from './testing/cover-files.js'
import { changeThing, listThings, removeThing, withThings } from './things.js'

const thing = (height: string): TypedObject => ({ kind: 'softcover', readings: { height: [height] } })
const bare = (): CoverFile => withThings(familyFile('adjustable-wrap'), [])

describe('the things of a cover file', () => {
  it('are none, one as object, several as objects', () => {
    expect(listThings(bare())).to.deep.equal([])
    const one = withThings(bare(), [thing('9')])
    expect(one.object).to.deep.equal(thing('9'))
    expect(one).not.to.have.property('objects')
    const two = withThings(one, [thing('9'), thing('8')])
    expect(two.objects).to.deep.equal([thing('9'), thing('8')])
    expect(two).not.to.have.property('object')
    expect(listThings(two)).to.have.length(2)
  })

  it('are changed one by one, and one more is added at the end', () => {
    const two = changeThing(withThings(bare(), [thing('9')]), 1, known => ({
      ...known,
      readings: { height: ['7'] },
    }))
    expect(listThings(two)).to.deep.equal([thing('9'), { kind: 'hardcover', readings: { height: ['7'] } }])
    const changed = changeThing(two, 0, known => ({ ...known, spine: 'rounded' }))
    expect(listThings(changed)[0]).to.deep.equal({ ...thing('9'), spine: 'rounded' })
    expect(listThings(changed)[1]).to.deep.equal(listThings(two)[1])
  })

  it('go out again, the last of several as object', () => {
    const two = withThings(bare(), [thing('9'), thing('8')])
    expect(removeThing(two, 0).object).to.deep.equal(thing('8'))
    expect(listThings(removeThing(removeThing(two, 0), 0))).to.deep.equal([])
  })

  it('say their unit when the cover changes its own', () => {
    const two = withThings(bare(), [thing('9'), thing('200 mm')])
    const inInches = changeUnit({ ...two, unit: 'in' }, 'mm')
    expect(inInches.objects?.map(({ readings }) => readings?.height)).to.deep.equal([['9 in'], ['200 mm']])
  })

  it('have their readings swapped by a repair', () => {
    const swapped = { kind: 'softcover' as const, readings: { height: ['6'], width: ['9'] } }
    const file = withThings(bare(), [swapped])
    const mended = applyRepair(file, { kind: 'swap-readings', first: 'height', second: 'width' })
    expect(mended.object?.readings).to.deep.equal({ height: ['9'], width: ['6'] })
    const half = withThings(bare(), [thing('9')])
    const moved = applyRepair(half, { kind: 'swap-readings', first: 'height', second: 'width' })
    expect(moved.object?.readings).to.deep.equal({ width: ['9'] })
  })
})
