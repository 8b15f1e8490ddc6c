import { expect } from 'chai'
import { mm, toMm, zero } from '../length/length.js'
import type { PathStep } from './drawing.js'
import { goDown, goUp } from './spine-outline.js'

const ends = (steps: readonly PathStep[]) =>
  steps.map(({ to }) => to.map(coordinate => Math.round(toMm(coordinate) * 100) / 100))
const radiusOf = (step: PathStep | undefined) => (step && 'radius' in step ? toMm(step.radius) : undefined)

describe('the way round the spine', () => {
  it('turns two square corners where the spine is flat', () => {
    expect(ends(goDown(mm(3), mm(30), false))).to.deep.equal([
      [-3, 0],
      [-3, 30],
      [0, 33],
    ])
    expect(ends(goUp(mm(3), mm(30), false))).to.deep.equal([
      [-3, 30],
      [-3, 0],
      [0, -3],
    ])
  })

  it('follows an arc of 1.07 times the thickness where it is rounded', () => {
    const [, spine] = goDown(zero, mm(30), true)
    const radius = radiusOf(spine) ?? 0
    // arc 2·r·asin(T/2r) = 1.07·30 = 32.1 mm
    expect(2 * radius * Math.asin(15 / radius)).to.be.closeTo(32.1, 0.02)
  })

  it('keeps its distance all the way: the arcs of two plies have one centre', () => {
    const [, near] = goDown(mm(1), mm(30), true)
    const [, far] = goDown(mm(4), mm(30), true)
    expect((radiusOf(far) ?? 0) - (radiusOf(near) ?? 0)).to.be.closeTo(3, 1e-4)
  })

  it('has no corner to turn where nothing lies between', () => {
    expect(goDown(zero, mm(30), false).map(radiusOf)).to.deep.equal([undefined, undefined, undefined])
  })
})
