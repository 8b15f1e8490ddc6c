import { expect } from 'chai'
import { inches, mm } from '../length/length.js'
import { readMaterialBody } from './rows.js'
import { readCuttingBody } from './cuttings.js'
import { readStashPieceBody, sizeOfStashPiece } from './stash.js'

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
