import { mm, toMm, type Pull } from '@snowdrift/core'
import { expect } from 'chai'
import { edgeMoved, marksOf, pulledLength } from './pull-length'
import { settingKey } from './setting-key'
import { nameSize } from './size-names'

const held: Pull['held'] = {
  setting: { kind: 'option', key: 'flapDepth' },
  label: 'Flap depth',
  range: { min: mm(10), max: mm(600) },
  value: mm(70),
}
const left = { held, axis: 'x', gain: -1 } as const
const half = { held, axis: 'y', gain: 2 } as const

describe('an edge that is pulled', () => {
  it('makes its setting longer by what it went on the cloth, along its own way only', () => {
    // 15 to the left: 15 deeper
    expect(toMm(pulledLength(left, { x: mm(-15), y: mm(400) }))).to.equal(85)
    // one of two edges that share a setting: 10 down is 20 more
    expect(toMm(pulledLength(half, { x: mm(400), y: mm(10) }))).to.equal(90)
  })

  it('goes as far as its setting came', () => {
    expect(edgeMoved(left, mm(85))).to.equal(-15)
    expect(edgeMoved(half, mm(90))).to.equal(10)
    expect(edgeMoved(half, mm(70))).to.equal(0)
  })

  it('is moved by arrows a mark, with shift or by pages eight; by no other key', () => {
    const key = (name: string, shiftKey = false) => marksOf({ key: name, shiftKey })
    expect(['ArrowUp', 'ArrowRight', 'ArrowDown', 'ArrowLeft'].map(name => key(name))).to.deep.equal([
      1, 1, -1, -1,
    ])
    expect([key('ArrowUp', true), key('PageUp'), key('PageDown', true)]).to.deep.equal([8, 8, -8])
    expect([key('a'), key('Enter'), key('Tab')]).to.deep.equal([0, 0, 0])
  })
})

describe('what is set in the picture', () => {
  it('has a key of its own, each extra too', () => {
    const keyOf = (setting: Pull['held']['setting']) => settingKey({ setting })
    expect([
      keyOf({ kind: 'option', key: 'width' }),
      keyOf({ kind: 'sizing', key: 'width' }),
      keyOf({ kind: 'extra', extra: 0, key: 'width' }),
      keyOf({ kind: 'extra', extra: 1, key: 'width' }),
      keyOf({ kind: 'seam' }),
    ]).to.deep.equal(['option.width', 'sizing.width', 'extra.0.width', 'extra.1.width', 'seam'])
  })

  it('is called as its panel is, or as what it measures', () => {
    const panels = [{ id: 'back-flap', name: 'back flap' }]
    expect(nameSize('panel:back-flap', panels)).to.equal('Back flap')
    expect([nameSize('width', panels), nameSize('height', panels)]).to.deep.equal([
      'Finished width',
      'Finished height',
    ])
  })
})
