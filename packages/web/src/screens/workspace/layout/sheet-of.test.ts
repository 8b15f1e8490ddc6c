import { nest, type CuttingBody, type Layout, type LayoutRequest } from '@snowdrift/core'
import { expect } from 'chai'
import { coverToCut, materialRow, stashPiece } from '../../../testing/stash.js'
import { groupJobs } from './group-job.js'
import { drawSheetOf, followLayout, isLayoutOf } from './sheet-of.js'

const stash = {
  materials: [materialRow('m')],
  pieces: [stashPiece('large', 'm', { width: '40', length: '40' })],
}

/** The outer cloth of a cover, laid out on one piece of 40 by 40 in. */
function laidOut(cuts: CuttingBody['cuts']) {
  const plan: CuttingBody = { coverIds: ['ours'], cuts, sources: {}, pins: [], done: [] }
  const terms = { unit: 'in', written: 'in', budgetMs: 0 } as const
  const job = groupJobs([coverToCut()], plan, stash, terms).find(({ group }) => group.role === 'outer')
  if (!job?.request) throw new Error('No outer cloth')
  const { request } = job
  return { job, request, layout: nest(request, () => 0) }
}

describe('a layout on its sheets', () => {
  const { job, request, layout } = laidOut('scissors')

  it('is of a request only while all its pieces and cloths are there', () => {
    const isOf = (changes: Partial<LayoutRequest>) => isLayoutOf(layout, { ...request, ...changes })
    expect(isOf({})).to.equal(true)
    expect(isOf({ pieces: request.pieces.slice(1) })).to.equal(false)
    expect(isOf({ cloths: [] })).to.equal(false)
  })

  it('has cuts in order for the rotary cutter only, and left-overs for both', () => {
    expect(followLayout(layout, request, 'in').order).to.deep.equal([])
    const rotary = laidOut('rotary')
    const { order, leftOvers } = followLayout(rotary.layout, rotary.request, 'in')
    expect(order).to.have.length.above(0)
    // what is freed is every piece, once each
    const freed = order.flatMap(({ frees }) => frees.map(({ piece, copy }) => `${piece} ${copy}`))
    const laid = rotary.layout.placements.map(({ piece, copy }) => `${piece} ${copy}`)
    expect(freed.toSorted()).to.deep.equal(laid.toSorted())
    expect(leftOvers).to.have.length.above(0)
  })

  it('is drawn with each piece by its name, and with what lies on that sheet only', () => {
    const { leftOvers } = followLayout(layout, request, 'in')
    const wordsOf = (of: Layout, sheet = of.used[0]) => {
      if (!sheet) throw new Error('No sheet')
      const { marks } = drawSheetOf(sheet, { job, layout: of, leftOvers, unit: 'in' })
      return marks.flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))
    }
    const labels = job.group.pieces.map(({ label }) => label)
    expect(wordsOf(layout)).to.include.members(labels)
    const elsewhere = layout.used.map(used => ({ ...used, sheet: 7 }))[0]
    expect(wordsOf(layout, elsewhere)).not.to.include.members(labels)
  })
})
