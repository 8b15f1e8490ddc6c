import { boughtCloth, inches, nest, type CuttingBody, type Layout, type MaterialRow } from '@snowdrift/core'
import { expect } from 'chai'
import { coverToCut, materialRow, stashPiece } from '../../../testing/stash.js'
import { groupJobs, jobsToLay, type GroupJob, type Stash } from './group-job.js'
import { nameJob, nameSheet, namesIn } from './sheet-names.js'
import { listWanted, nameToBuy, totalOf } from './shopping-list.js'

const plan: CuttingBody = { coverIds: ['ours'], cuts: 'scissors', sources: {}, pins: [], done: [] }
const terms = { unit: 'in', written: 'in', budgetMs: 50 } as const
const groupsWith = (stash: Stash, changes: Partial<CuttingBody> = {}) =>
  groupJobs([coverToCut()], { ...plan, ...changes }, stash, terms)
/** Each laid out as far as it goes at once. */
const layoutsOf = (groups: readonly GroupJob[]): Readonly<Record<string, Layout>> =>
  Object.fromEntries(
    jobsToLay(groups, plan).map(({ key, request }) => [key, nest({ ...request, budgetMs: 0 }, () => 0)]),
  )
const wantedWith = (stash: Stash, changes: Partial<CuttingBody> = {}) => {
  const groups = groupsWith(stash, changes)
  return listWanted(groups, layoutsOf(groups), { done: changes.done ?? [], unit: 'in' })
}
const ofRole = (role: string) => (job: GroupJob) => job.group.role === role
const outer = (changes: Partial<MaterialRow> = {}): MaterialRow => materialRow('m', changes)

describe('what is still to be bought', () => {
  it('is everything where the stash has nothing, off the bolt in the shop’s steps', () => {
    const wanted = wantedWith({ materials: [], pieces: [] })
    expect(wanted.map(({ job }) => job.group.role)).to.deep.equal(['outer', 'lining'])
    for (const { toBuy, request, cost } of wanted) {
      if (toBuy.kind !== 'length') throw new Error('Cloth comes off a bolt')
      expect(toBuy.length % inches(4.5)).to.equal(0)
      expect(toBuy.length).to.be.at.least(toBuy.needed)
      expect(request.pieces.length).to.be.above(0)
      expect(cost).to.equal(undefined)
    }
  })

  it('is nothing of what lies on a piece of the stash, and of the rest only what does not', () => {
    const large = stashPiece('large', 'm', { width: '40', length: '40' })
    const none = wantedWith({ materials: [outer()], pieces: [large] })
    expect(none.map(({ job }) => job.group.role)).to.deep.equal(['lining'])
    // 17 by 12 in takes the outer and no flap beside it
    const small = stashPiece('small', 'm', { width: '17', length: '12' })
    const [some] = wantedWith({ materials: [outer()], pieces: [small] })
    const all = groupsWith({ materials: [outer()], pieces: [small] }).find(ofRole('outer'))?.request
    expect(some?.request.pieces.length).to.be.within(1, (all?.pieces.length ?? 0) - 1)
  })

  it('is nothing of a group that is cut already', () => {
    const [first] = groupsWith({ materials: [], pieces: [] })
    const done = [first?.group.key ?? '']
    expect(
      wantedWith({ materials: [], pieces: [] }, { done }).map(({ job }) => job.group.key),
    ).not.to.include(done[0])
    expect(jobsToLay(groupsWith({ materials: [], pieces: [] }), { done })).to.have.length(1)
  })

  it('costs what the stash says that it costs, by the yard', () => {
    const [wanted] = wantedWith({ materials: [outer({ stock: { price: 12 } })], pieces: [] })
    if (wanted?.toBuy.kind !== 'length') throw new Error('Cloth comes off a bolt')
    // 12 a yard of 36 in
    expect(wanted.cost).to.be.closeTo((12 * wanted.toBuy.length) / inches(36), 1e-9)
  })

  it('is named as the row of the stash is; what was a single remnant can only be bought alike', () => {
    const nameWith = (changes: Partial<MaterialRow>, source: 'remnant' | 'yardage' = 'remnant') => {
      const pieces = [stashPiece('tiny', 'm', { width: '3', length: '3', source })]
      const job = groupsWith({ materials: [outer(changes)], pieces }).find(ofRole('outer'))
      return job && nameToBuy(job)
    }
    expect(nameWith({})).to.equal('Cloth like Home-decor cotton')
    expect(nameWith({}, 'yardage')).to.equal('Home-decor cotton')
    expect(nameWith({ stock: { price: 9 } })).to.equal('Home-decor cotton')
    const [bare] = groupsWith({ materials: [], pieces: [] })
    expect(bare && nameToBuy(bare)).to.equal('Home-decor cotton')
  })
})

describe('what it comes to', () => {
  it('is the sum of what is known, with how many are not', () => {
    expect(totalOf([{ cost: 4.5 }, { cost: undefined }, { cost: 3 }])).to.deep.equal({ sum: 7.5, open: 1 })
    expect(totalOf([{ cost: 0 }])).to.deep.equal({ sum: 0, open: 0 })
  })

  it('is not said where no price is known', () => {
    expect([totalOf([]), totalOf([{ cost: undefined }])]).to.deep.equal([undefined, undefined])
  })
})

describe('what sheets and pieces of a layout are called', () => {
  const pieces = [stashPiece('large', 'm', { width: '40', length: '40' })]
  const job = groupsWith({ materials: [outer()], pieces }).find(ofRole('outer'))
  if (!job) throw new Error('No outer')

  it('is the row, the remnant by its size, and what is to be bought', () => {
    expect(nameJob(job)).to.equal('Home-decor cotton')
    expect(nameSheet(job, { cloth: 'large', sheet: 1 }, 'in')).to.match(/^remnant, 40 × 40\sin$/)
    expect(nameSheet(job, { cloth: boughtCloth, sheet: 1 }, 'in')).to.equal('to buy')
  })

  it('is said within a sentence, too', () => {
    const { piece, cloth } = namesIn(job, 'in')
    const [first] = job.group.pieces
    expect(piece(first?.id ?? '')).to.equal(first?.label)
    expect(piece('nobody')).to.equal('nobody')
    expect(cloth(boughtCloth)).to.equal('the cloth to buy')
    expect(cloth('large')).to.match(/^the /)
  })
})
