import { inches, zero, type CuttingBody, type CuttingGroup, type StashPieceRow } from '@snowdrift/core'
import { expect } from 'chai'
import { materialRow, stashPiece } from '../../../testing/stash.js'
import { pinsOf, sayStashPiece, sourceOf, withoutPin, withPin } from './sources.js'

const group: CuttingGroup = {
  key: 'outer larch',
  role: 'outer',
  material: 'Larch',
  thickness: zero,
  shrinkage: 0,
  washed: false,
  print: 'none',
  pieces: [],
}
const plan: CuttingBody = { coverIds: ['ours'], cuts: 'scissors', sources: {}, pins: [], done: [] }
const material = (id: string, name: string, role: 'outer' | 'board' = 'outer') =>
  materialRow(id, { material: { role, name, thickness: '1 mm', washed: true } })
const piece = (id: string, { materialId = 'm', ...changes }: Partial<StashPieceRow> = {}) =>
  stashPiece(id, materialId, changes)
const sheetsOf = (changes: Partial<CuttingBody>, pieces: readonly StashPieceRow[]) =>
  sourceOf(group, { ...plan, ...changes }, [material('m', 'larch ')], pieces).sheets.map(({ id }) => id)
const source = (pieces: readonly string[] | null) => ({
  [group.key]: { materialId: null, pieces: pieces && [...pieces], buy: true, width: null, sheet: null },
})

describe('where the cloth of a group comes from', () => {
  it('is the row of the same name, whatever its case, unless another is chosen', () => {
    const rows = [material('m', 'Larch'), material('n', 'Spruce')]
    expect(sourceOf(group, plan, rows, []).material?.id).to.equal('m')
    const chosen = { [group.key]: { materialId: 'n', pieces: null, buy: true, width: null, sheet: null } }
    expect(sourceOf(group, { ...plan, sources: chosen }, rows, []).material?.id).to.equal('n')
    expect(sourceOf({ ...group, material: 'Felt' }, plan, rows, []).material).to.equal(undefined)
  })

  it('is any row of the role where no layer names one, and none of another role', () => {
    const rows = [material('m', 'Larch'), material('b', 'Grey board', 'board')]
    const boards: CuttingGroup = { ...group, role: 'board', material: '' }
    expect(sourceOf(boards, plan, rows, []).material?.id).to.equal('b')
    expect(sourceOf({ ...boards, role: 'card' }, plan, rows, []).material).to.equal(undefined)
  })

  it('offers what is free or kept for these covers, in its own size', () => {
    const pieces = [
      piece('free'),
      piece('ours', { state: 'reserved', coverId: 'ours' }),
      piece('theirs', { state: 'reserved', coverId: 'theirs' }),
      piece('unsized', { width: null }),
      piece('elsewhere', { materialId: 'x' }),
    ]
    expect(sheetsOf({}, pieces)).to.deep.equal(['free', 'ours'])
    const [first] = sourceOf(group, plan, [material('m', 'Larch')], pieces).sheets
    expect(first).to.deep.equal({ id: 'free', width: inches(18), length: inches(21), washed: true })
  })

  it('says what of a piece is to be avoided', () => {
    const avoid = [{ x: '2', y: '0', width: '1', height: '21' }]
    const [first] = sourceOf(group, plan, [material('m', 'Larch')], [piece('free', { avoid })]).sheets
    expect(first?.avoid).to.deep.equal([{ x: inches(2), y: inches(0), width: inches(1), height: inches(21) }])
  })

  it('uses the pieces that were allowed, all of them unless said', () => {
    const pieces = [piece('a'), piece('b')]
    expect(sheetsOf({ sources: source(['b']) }, pieces)).to.deep.equal(['b'])
    expect(sheetsOf({ sources: source([]) }, pieces)).to.deep.equal([])
    expect(sheetsOf({ sources: source(null) }, pieces)).to.deep.equal(['a', 'b'])
  })
})

describe('pins', () => {
  const pin = { group: group.key, piece: 'p', cloth: 'c', sheet: 1, xMm: 25.4, yMm: 0, turned: false }

  it('are one a piece: the last one holds', () => {
    const moved = { ...pin, xMm: 50.8 }
    expect(withPin([pin], moved)).to.deep.equal([moved])
    expect(withPin([pin], { ...moved, group: 'other' })).to.have.length(2)
    expect(withoutPin([pin], group.key, 'p')).to.deep.equal([])
    expect(withoutPin([pin], group.key, 'q')).to.deep.equal([pin])
  })

  it('are handed to the search in Length', () => {
    const pins = [pin, { ...pin, group: 'other', piece: 'q' }]
    expect(pinsOf(group, { ...plan, pins })).to.deep.equal({
      p: { cloth: 'c', sheet: 1, x: inches(1), y: 0, turned: false },
    })
  })
})

describe('a piece of the stash in words', () => {
  it('has its size in the unit that is asked for, and its note', () => {
    expect(sayStashPiece(piece('a', { note: 'stain' }), 'in', 'in')).to.equal(
      'remnant, 18 × 21\u00a0in (stain)',
    )
    expect(sayStashPiece(piece('a', { source: 'left-over' }), 'in', 'cm')).to.equal(
      'left over, 45.72 × 53.34\u00a0cm',
    )
  })
})
