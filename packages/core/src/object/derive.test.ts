import { expect } from 'chai'
import { mm, toMm, type Length } from '../length/length.js'
import { totalOf } from '../piece/reason.js'
import { deriveBoard, deriveInnerWidth, deriveSpineArc, deriveThickness, deriveWrap } from './derive.js'
import { usualSpine } from './kind.js'
import type { CoveredObject } from './reading.js'
import { askedReadings, missingReadings, wrappedBookReadings } from './required.js'
import { objectWith } from './testing/objects.js'
import { deriveUncertainty } from './uncertainty.js'

const inMm = (length: Length | undefined) => (length === undefined ? undefined : toMm(length))
const wrapOf = (object: CoveredObject) => toMm(totalOf(deriveWrap(object) ?? []))

describe('the spine arc', () => {
  it('is the thickness where the spine is flat', () => {
    expect(inMm(deriveSpineArc(objectWith({ thickness: 30 })))).to.equal(30)
  })
  it('is 1.07 of it where rounded', () => {
    // 1.07 × 30 = 32.1 mm
    expect(inMm(deriveSpineArc(objectWith({ thickness: 30 }, { spine: 'rounded' })))).to.be.closeTo(
      32.1,
      1e-5,
    )
  })
  it('is the half turn over a coil that stands proud, never less than the thickness', () => {
    // (π/2) × 20 = 31.416 mm; (π/2) × 10 = 15.708 < 18
    const coil = { spine: 'coil' } as const
    expect(inMm(deriveSpineArc(objectWith({ thickness: 18, coilDiameter: 20 }, coil)))).to.be.closeTo(
      31.416,
      1e-3,
    )
    expect(inMm(deriveSpineArc(objectWith({ thickness: 18, coilDiameter: 10 }, coil)))).to.equal(18)
  })
  it('is unknown without a thickness', () => {
    expect(deriveSpineArc(objectWith({ width: 100 }))).to.equal(undefined)
  })
})

describe('the effective wrap', () => {
  it('prefers the wrap, then the open width, then twice the width and the spine', () => {
    const sides = { width: 150, thickness: 20 }
    expect(wrapOf(objectWith({ ...sides, wrap: 322, openWidth: 318 }))).to.equal(322)
    expect(wrapOf(objectWith({ ...sides, openWidth: 318 }))).to.equal(318)
    // 2 × 150 + 20
    expect(wrapOf(objectWith(sides))).to.equal(320)
  })
  it('takes the largest of several readings, for it goes round', () => {
    expect(wrapOf(objectWith({ wrap: [320, 323, 321] }))).to.equal(323)
  })
  it('is unknown where readings are missing', () => {
    expect(deriveWrap(objectWith({ width: 150 }))).to.equal(undefined)
  })
})

describe('the thickness', () => {
  it('is what was read, before all', () => {
    expect(inMm(deriveThickness(objectWith({ thickness: 21, width: 150, wrap: 330 })))).to.equal(21)
  })
  it('is else what the wrap leaves beside both boards, less for the round of a spine', () => {
    // 322 − 2·150 = 22; 22/1.07 = 20.56
    expect(inMm(deriveThickness(objectWith({ width: 150, wrap: 322 })))).to.equal(22)
    expect(inMm(deriveThickness(objectWith({ width: 150, openWidth: 318 })))).to.equal(18)
    expect(inMm(deriveThickness(objectWith({ width: 150, wrap: 322 }, { spine: 'rounded' })))).to.be.closeTo(
      20.56,
      0.005,
    )
    // a wrap that is impossible leaves nothing
    expect(inMm(deriveThickness(objectWith({ width: 170, wrap: 322 })))).to.equal(0)
  })
  it('is unknown where neither tells', () => {
    expect(deriveThickness(objectWith({ wrap: 322 }))).to.equal(undefined)
    expect(deriveThickness(objectWith({ width: 150 }))).to.equal(undefined)
  })
})

describe('what is still to be measured', () => {
  const asked = (readings: Parameters<typeof objectWith>[0], spine: 'flat' | 'coil' = 'flat') =>
    askedReadings(objectWith(readings, { spine }), wrappedBookReadings)
  it('leaves out what was read, and names what was begun first', () => {
    expect(asked({ height: 240, width: 160 })).to.deep.equal([[['thickness'], ['wrap'], ['openWidth']]])
    expect(asked({ height: 240 })).to.deep.equal([[['wrap'], ['openWidth'], ['width', 'thickness']]])
    expect(asked({ height: 240, width: 160, thickness: 20 })).to.deep.equal([])
  })
  it('asks for the coil of a thing that hangs on one, unless the tape went round it', () => {
    const sides = { height: 240, width: 160, thickness: 20 }
    expect(asked(sides, 'coil')).to.deep.equal([[['coilDiameter'], ['wrap']]])
    expect(asked({ ...sides, coilDiameter: 25 }, 'coil')).to.deep.equal([])
    expect(asked({ ...sides, wrap: 350 }, 'coil')).to.deep.equal([])
    // a plan can be had without, as the file format has it
    expect(missingReadings(objectWith(sides, { spine: 'coil' }), wrappedBookReadings)).to.deep.equal([])
  })
  it('knows the spine that a kind usually has', () => {
    expect(usualSpine('planner')).to.equal('coil')
    expect(usualSpine('hardcover')).to.equal('flat')
  })
})

describe('the board', () => {
  it('is what was read, or what the kind usually has', () => {
    expect(deriveBoard(objectWith({ boardThickness: 3 }))).to.deep.equal({ length: mm(3), assumed: false })
    expect(inMm(deriveBoard(objectWith({})).length)).to.equal(2.5)
    expect(inMm(deriveBoard(objectWith({}, { kind: 'planner' })).length)).to.equal(1)
    expect(inMm(deriveBoard(objectWith({}, { kind: 'softcover' })).length)).to.equal(0)
  })
  it('has an inner width of the smallest reading, or half of what the wrap leaves', () => {
    expect(inMm(deriveInnerWidth(objectWith({ width: [150, 148] })))).to.equal(148)
    // (320 − 20) / 2 = 150
    expect(inMm(deriveInnerWidth(objectWith({ wrap: 320, thickness: 20 })))).to.equal(150)
    expect(deriveInnerWidth(objectWith({ thickness: 20 }))).to.equal(undefined)
  })
})

describe('required readings', () => {
  it('of a wrapped book are satisfied by any of three ways', () => {
    expect(missingReadings(objectWith({ height: 200, wrap: 320 }), wrappedBookReadings)).to.have.length(0)
    expect(missingReadings(objectWith({ height: 200, openWidth: 320 }), wrappedBookReadings)).to.have.length(
      0,
    )
    expect(
      missingReadings(objectWith({ height: 200, width: 150, thickness: 20 }), wrappedBookReadings),
    ).to.have.length(0)
  })
  it('are named where they are missing', () => {
    const open = missingReadings(objectWith({ width: 150 }), wrappedBookReadings)
    expect(open).to.deep.equal([[['height']], [['thickness'], ['wrap'], ['openWidth']]])
  })
})

describe('the uncertainty of a measurement', () => {
  it('is the tape’s division over √12 for one reading', () => {
    // 1 / 3.4641 = 0.28868 mm
    expect(inMm(deriveUncertainty(objectWith({ height: 200 }), 'height'))).to.be.closeTo(0.28868, 1e-4)
  })
  it('is the spread of the mean where several readings differ more than that', () => {
    // 200, 202, 204: s = 2, over √3 = 1.1547 mm
    expect(inMm(deriveUncertainty(objectWith({ height: [200, 202, 204] }), 'height'))).to.be.closeTo(
      1.1547,
      1e-4,
    )
    expect(inMm(deriveUncertainty(objectWith({ height: [200, 200, 200] }), 'height'))).to.be.closeTo(
      0.28868,
      1e-4,
    )
  })
  it('is larger for “about”, and doubles on another copy', () => {
    const reading = { text: 'about 9', length: mm(228.6), about: true }
    // 3.175 / √3 = 1.8331 mm
    expect(
      inMm(deriveUncertainty(objectWith({}, { readings: { height: [reading] } }), 'height')),
    ).to.be.closeTo(1.8331, 1e-4)
    const copy = { ...reading, about: false, state: 'another-copy' } as const
    expect(inMm(deriveUncertainty(objectWith({}, { readings: { height: [copy] } }), 'height'))).to.be.closeTo(
      0.57735,
      1e-4,
    )
  })
  it('is unknown where nothing was read', () => {
    expect(deriveUncertainty(objectWith({}), 'height')).to.equal(undefined)
  })
})
