import { expect } from 'chai'
import { inches, mm } from '../length/length.js'
import { readMaterialBody } from './rows.js'
import { readCuttingBody } from './cuttings.js'
import {
  avoidedOnStashPiece,
  marksOnStashPiece,
  readStashPieceBody,
  scaledPhotoOf,
  sizeOfStashPiece,
} from './stash.js'

const id = '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f'
type Read = {
  readonly ok: boolean
  readonly issues?: readonly { readonly path: string; readonly message: string }[]
}
const complaint = (read: Read) =>
  read.ok ? 'none' : read.issues?.map(({ path, message }) => `${path}: ${message}`)[0]

describe('a piece of the stash', () => {
  const read = readStashPieceBody('in')

  it('is kept as typed, with what was not said filled in', () => {
    const typed = read({ source: 'remnant', width: '18 1/2', length: '53 cm' })
    expect(typed.ok && typed.value).to.deep.equal({
      source: 'remnant',
      width: '18 1/2',
      length: '53 cm',
      count: 1,
      note: '',
      avoid: [],
      marks: [],
    })
  })

  it('needs a size unless it is a notion', () => {
    expect(complaint(read({ source: 'garment', length: '3' }))).to.contain(
      'width: Expected a width and a length',
    )
    expect(complaint(read({ source: 'notion', count: 5 }))).to.equal('none')
  })

  it('is refused where it says what cannot be', () => {
    expect(complaint(read({ source: 'attic', width: '1', length: '1' }))).to.contain(
      'source: Expected yardage',
    )
    expect(complaint(read({ source: 'sheet', width: '0', length: '1' }))).to.contain(
      'width: “0” is too small',
    )
    expect(complaint(read({ source: 'notion', count: 0 }))).to.contain('count: Expected at least 1')
    expect(complaint(read({ source: 'notion', shelf: 2 }))).to.contain('shelf: “shelf” is not known here')
  })

  it('has its size in the unit of its material', () => {
    expect(sizeOfStashPiece({ width: '18', length: 21 }, 'in')).to.deep.equal({
      width: inches(18),
      length: inches(21),
    })
    expect(sizeOfStashPiece({ width: '18', length: '21 cm' }, 'mm')).to.deep.equal({
      width: mm(18),
      length: mm(210),
    })
    expect(sizeOfStashPiece({ width: null, length: '21' }, 'in')).to.equal(undefined)
  })
})

describe('what the stash knows of a material', () => {
  const body = (stock: object) =>
    readMaterialBody({
      unit: 'in',
      swatch: '#aabbcc',
      material: { role: 'outer', name: 'Twill', thickness: '0.4 mm' },
      stock,
    })

  it('is optional, and refused with the place named', () => {
    expect(complaint(body({}))).to.equal('none')
    expect(
      complaint(body({ price: 12.5, weave: 'dots', repeat: '6', width: '43', notion: 'cord' })),
    ).to.equal('none')
    expect(complaint(body({ price: -1 }))).to.contain('stock.price: Expected at least 0')
    expect(complaint(body({ weave: 'paisley' }))).to.contain('stock.weave: Expected plain')
    expect(complaint(body({ width: 'wide' }))).to.contain('stock.width: ')
  })
})

describe('the scale of a picture', () => {
  const photo = {
    picture: 1,
    ratio: 0.75,
    marks: [
      [0.25, 0.2],
      [0.75, 0.2],
    ] as [[number, number], [number, number]],
    apart: '4 in',
  }
  const scaled = (changes: object) =>
    readMaterialBody({
      unit: 'in',
      swatch: '#8fa3b0',
      material: { role: 'outer', name: 'Moss twill', thickness: '0.4 mm' },
      stock: { photo: { ...photo, ...changes } },
    })

  it('is kept as it was marked, upright and whole unless said', () => {
    const read = scaled({})
    expect(read.ok && read.value.stock.photo).to.deep.equal(photo)
    const stock = read.ok ? read.value.stock : {}
    // 101.6 mm are half its width.
    expect(scaledPhotoOf({ picture: 1, stock }, 'in')?.width).to.be.closeTo(203.2, 1e-9)
  })

  it('is none of another picture, nor where there is none', () => {
    expect(scaledPhotoOf({ picture: 2, stock: { photo } }, 'in')).to.equal(undefined)
    expect(scaledPhotoOf({ picture: 0, stock: { photo: { ...photo, picture: 1 } } }, 'in')).to.equal(
      undefined,
    )
    expect(scaledPhotoOf({ picture: 1, stock: {} }, 'in')).to.equal(undefined)
  })

  it('is refused by name: marks on one spot or beside it, no length, no shape, nothing left', () => {
    const one = [0.25, 0.2]
    expect(complaint(scaled({ marks: [one, one] }))).to.match(
      /^stock\.photo\.marks: The two marks stand on one spot/,
    )
    expect(complaint(scaled({ marks: [one, [1.2, 0.2]] }))).to.match(/^stock\.photo\.marks\[1\]\[0\]: /)
    expect(complaint(scaled({ marks: [one] }))).to.match(/^stock\.photo\.marks/)
    expect(complaint(scaled({ apart: 'a hand' }))).to.match(/^stock\.photo\.apart: /)
    expect(complaint(scaled({ ratio: 0 }))).to.match(/^stock\.photo\.ratio: Expected at least 0\.1/)
    expect(complaint(scaled({ turn: 181 }))).to.match(/^stock\.photo\.turn: Expected at most 180/)
    const all = { left: 0.5, right: 0.5, top: 0, bottom: 0 }
    expect(complaint(scaled({ crop: all }))).to.match(/nothing is left of the picture/)
    expect(complaint(scaled({ crop: { ...all, right: 0.4 } }))).to.equal('none')
  })
})

describe('marks on a piece', () => {
  const hut = { name: 'hut', what: 'motif' as const, x: '2', y: '3', width: '4', height: '5' }
  const piece = (marks: unknown) =>
    readStashPieceBody('in')({ source: 'remnant', width: '20', length: '30', marks })

  it('are kept as they were typed, and read in the unit of the material', () => {
    const read = piece([hut])
    expect(read.ok && read.value.marks).to.deep.equal([hut])
    expect(marksOnStashPiece({ marks: [hut] }, 'cm')).to.deep.equal([
      { name: 'hut', what: 'motif', x: mm(20), y: mm(30), width: mm(40), height: mm(50) },
    ])
  })

  it('are left out where they no longer read, and refused beside the piece', () => {
    expect(marksOnStashPiece({ marks: [{ ...hut, x: 'here' }] }, 'in')).to.deep.equal([])
    expect(complaint(piece([{ ...hut, x: '20' }]))).to.equal(
      'marks[0].x: The piece ends at 20 in; found a mark that begins at 20 in.',
    )
    expect(complaint(piece([{ ...hut, name: '' }]))).to.match(/^marks\[0\]\.name: /)
  })
})

describe('places to avoid on a piece', () => {
  const piece = (avoid: unknown) =>
    readStashPieceBody('in')({ source: 'garment', width: '20', length: '30', avoid })
  const seam = { x: '4 1/2', y: '0', width: '1/4', height: 30 }

  it('are kept as they were measured, and read in the unit of its material', () => {
    const read = piece([seam])
    expect(read.ok && read.value.avoid).to.deep.equal([seam])
    expect(avoidedOnStashPiece({ avoid: [seam] }, 'in')).to.deep.equal([
      { x: inches(4.5), y: inches(0), width: inches(0.25), height: inches(30) },
    ])
    expect(avoidedOnStashPiece({ avoid: [{ ...seam, height: 3 }] }, 'cm')[0]?.height).to.equal(mm(30))
  })

  it('are left out where they read no longer, and refused where they lie beside it', () => {
    expect(avoidedOnStashPiece({ avoid: [{ ...seam, x: 'here' }] }, 'in')).to.deep.equal([])
    expect(complaint(piece([{ ...seam, x: '20' }]))).to.equal(
      'avoid[0].x: The piece ends at 20 in; found a place to avoid that begins at 20 in.',
    )
    expect(complaint(piece([{ ...seam, x: 'here' }]))).to.match(/^avoid\[0\]\.x: /)
    expect(complaint(piece([{ ...seam, depth: '1' }]))).to.contain('depth')
  })
})

describe('how covers are cut', () => {
  it('has defaults, and keeps what is said', () => {
    const read = readCuttingBody({ plan: { coverIds: [id] } })
    expect(read.ok && read.value.plan).to.deep.equal({
      coverIds: [id],
      cuts: 'scissors',
      sources: {},
      pins: [],
      done: [],
    })
    const source = { materialId: id, pieces: [id], buy: false, width: '54', sheet: null }
    const full = readCuttingBody({ plan: { coverIds: [id], sources: { outer: source } } })
    expect(full.ok && full.value.plan.sources).to.deep.equal({ outer: source })
  })

  it('is of one cover at least and a dozen at most', () => {
    const count = (covers: number) =>
      complaint(readCuttingBody({ plan: { coverIds: Array(covers).fill(id) } }))
    expect(count(0)).to.contain('plan.coverIds: Expected at least 1')
    expect(count(12)).to.equal('none')
    expect(count(13)).to.contain('plan.coverIds: Expected at most 12')
  })
})
