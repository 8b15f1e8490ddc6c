import { expect } from 'chai'
import type { TypedMark } from './stash.js'
import { checkLeftOvers, readCutBody, readTakeBody } from './take.js'

const id = '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f'
const other = '6f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f'
type Said = readonly { readonly path: string; readonly message: string }[]
const first = (issues: Said = []) => issues.map(({ path, message }) => `${path}: ${message}`)[0] ?? 'none'
const complaint = (read: { readonly ok: boolean; readonly issues?: Said }) => first(read.issues)

describe('taking and cutting', () => {
  const piece = { id, version: 3 }

  it('names a cover, and pieces as they stood', () => {
    expect(complaint(readTakeBody({ coverId: id, pieces: [piece] }))).to.equal('none')
    expect(complaint(readTakeBody({ coverId: id, pieces: [] }))).to.contain('pieces: Expected at least 1')
    expect(complaint(readTakeBody({ coverId: 'mine', pieces: [piece] }))).to.contain('coverId: ')
    expect(complaint(readTakeBody({ coverId: id, pieces: [{ id }] }))).to.contain('pieces[0].version: ')
  })

  it('says what is left of each', () => {
    const cut = (leftOvers: unknown) => readCutBody({ coverId: id, pieces: [{ ...piece, leftOvers }] })
    expect(complaint(cut([{ width: '3', length: '4' }]))).to.equal('none')
    expect(complaint(cut(undefined))).to.contain('pieces[0].leftOvers: Expected a list')
    expect(complaint(cut(Array(41).fill({ width: '3', length: '4' })))).to.contain('Expected at most 40')
  })

  it('names no piece twice', () => {
    const pieces = [piece, { id: other, version: 1 }, piece]
    expect(complaint(readTakeBody({ coverId: id, pieces }))).to.equal(
      'pieces[2]: It is named before, as pieces[0].',
    )
    const cuts = pieces.map(one => ({ ...one, leftOvers: [] }))
    expect(complaint(readCutBody({ coverId: id, pieces: cuts }))).to.contain('pieces[2]: It is named before')
    expect(complaint(readCutBody({ coverId: id, pieces: cuts.slice(0, 2) }))).to.equal('none')
  })
})

describe('what is left of a piece', () => {
  const quarter = { width: '18', length: '21', count: 1 }
  const check = (leftOvers: readonly (readonly [string, string])[], piece = quarter, count = 1) =>
    first(
      checkLeftOvers(
        piece,
        count,
        leftOvers.map(([width, length]) => ({ width, length })),
        'in',
      ),
    )

  it('is no larger than the piece, whichever way it lies', () => {
    expect(check([['18', '10']])).to.equal('none')
    expect(check([['21', '4']])).to.equal('none')
    expect(check([['21 1/4', '4']])).to.equal(
      'leftOvers[0]: Expected at most 18 in × 21 in, the piece that it comes from; found 21 1/4 in × 4 in.',
    )
    expect(check([['19', '19']])).to.contain('leftOvers[0]: Expected at most 18 in × 21 in')
  })

  it('is together no more than there was: 18 × 11 and 18 × 10 are all of 18 × 21', () => {
    expect(check([['18', '11'], ['18', '10']])).to.equal('none') // prettier-ignore
    expect(check([['18', '11'], ['18', '11']])).to.contain('Together they are larger') // prettier-ignore
    // Of two sheets alike there is twice as much.
    expect(check([['18', '11'], ['18', '11']], { ...quarter, count: 2 }, 2)).to.equal('none') // prettier-ignore
  })

  it('keeps what of the marks lies on it, and none that lies beside it', () => {
    const marked = (marks: readonly object[]) =>
      first(
        checkLeftOvers(
          quarter,
          1,
          [{ width: '10', length: '8', marks: marks as readonly TypedMark[] }],
          'in',
        ),
      )
    const hut = { name: 'the hut', what: 'motif', x: '2', y: '3', width: '4', height: '3' }
    expect(marked([hut])).to.equal('none')
    expect(marked([{ ...hut, x: '10' }])).to.equal(
      'leftOvers[0].marks[0].x: The left-over ends at 10 in; found a mark that begins at 10 in.',
    )
    expect(marked([{ ...hut, width: 'wide' }])).to.contain('leftOvers[0].marks[0].width')
  })

  it('is forgiven the wording of a tape, a millimetre, and not an eighth of an inch', () => {
    expect(check([['18 1/32', '21']])).to.equal('none')
    expect(check([['18 1/8', '21']])).to.contain('leftOvers[0]')
  })

  it('has a size over nought, and comes from a piece that has one', () => {
    expect(check([['-3', '4']])).to.contain('leftOvers[0]: Expected a width and a length over nought')
    expect(check([['0', '4']])).to.contain('leftOvers[0]: Expected a width and a length over nought')
    expect(
      first(checkLeftOvers({ width: null, length: '30', count: 1 }, 1, [{ width: '1', length: '1' }], 'in')),
    ).to.contain('this piece has no size')
  })

  it('is not of more pieces than there are', () => {
    expect(check([], { ...quarter, count: 3 }, 4)).to.equal(
      'count: Expected at most 3, as many as there are; found 4.',
    )
    expect(check([], { ...quarter, count: 3 }, 3)).to.equal('none')
  })
})
