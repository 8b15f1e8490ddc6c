import { inches, mm, zero, type CuttingGroup, type LayoutRequest, type ShopOffer } from '@snowdrift/core'
import { expect } from 'chai'
import { answerNest } from './nest-handler.js'
import type { NestJob, NestReply } from './nest-protocol.js'
import { createLatestRunner } from './run-latest.js'

function createClock(): () => number {
  let time = 0
  return () => (time += 1)
}

const request = (changes: Partial<LayoutRequest> = {}): LayoutRequest => ({
  cuts: 'scissors',
  gap: zero,
  budgetMs: 100,
  seed: 1,
  cloths: [{ id: 'c', width: inches(20), count: 1 }],
  pieces: [3, 5, 7, 8, 9, 11].map(side => ({
    id: `p${side}`,
    width: inches(side),
    height: inches(side + 2),
    count: 1,
    turn: 'none' as const,
  })),
  ...changes,
})
const job = (key: string, changes: Partial<LayoutRequest> = {}): NestJob => ({
  key,
  request: request(changes),
})
const answers = (jobs: readonly NestJob[]) => [...answerNest({ id: 1, jobs, shopping: [] }, createClock())]
const keysOf = (replies: readonly NestReply[]) =>
  replies.flatMap(reply => (reply.kind === 'layout' ? [reply.key] : []))

describe('laying out in a worker', () => {
  it('gives every material a first layout before it dwells on any', () => {
    const keys = keysOf(answers([job('a'), job('b'), job('c')]))
    expect(keys.slice(0, 3)).to.deep.equal(['a', 'b', 'c'])
  })

  it('tells progress that never falls, and ends', () => {
    const replies = answers([job('a'), job('b', { budgetMs: 50 })])
    const shares = replies.flatMap(reply => (reply.kind === 'progress' ? [reply.share] : []))
    expect(shares).to.deep.equal(shares.toSorted((one, other) => one - other))
    expect(shares.at(-1)).to.equal(1)
    expect(replies.at(-1)?.kind).to.equal('done')
  })

  it('ends at once where nothing better can be', () => {
    const replies = answers([job('a', { pieces: request().pieces.slice(0, 1), budgetMs: 60_000 })])
    expect(replies.length).to.be.below(6)
  })

  it('may be dropped between any two replies, and what was found stays right', async () => {
    const heard: NestReply[] = []
    const run = createLatestRunner<Parameters<typeof answerNest>[0], NestReply>(
      asked => answerNest(asked, createClock()),
      reply => {
        heard.push(reply)
        if (heard.length === 3) void run('cancel')
      },
      { pause: async () => Promise.resolve(), now: createClock() },
    )
    await run({ id: 1, jobs: [job('a')], shopping: [] })
    expect(heard).to.have.length(3)
    expect(keysOf(heard)).to.include('a')
  })

  it('weighs what to buy after that', () => {
    const group: CuttingGroup = {
      key: 'a',
      role: 'outer',
      material: 'Larch',
      thickness: zero,
      shrinkage: 0,
      washed: true,
      print: 'none',
      pieces: [],
    }
    const offer: ShopOffer = {
      id: 'o',
      role: 'outer',
      name: 'O',
      thicknessMm: 0.28,
      shrinkage: 4,
      widthMm: 1100,
      pricePerMetre: 10,
      cuts: [],
      stockMm: 9e4,
    }
    const pieces = [{ id: 'p', width: mm(500), height: mm(420), count: 1, turn: 'none' as const }]
    const shopping = [{ ...job('a', { pieces }), group, offers: [offer], unit: 'cm' as const }]
    const replies = [...answerNest({ id: 1, jobs: [], shopping }, createClock())]
    const [bought] = replies.flatMap(reply => (reply.kind === 'purchases' ? reply.purchases : []))
    // 42 cm comes as 50 cm, half a metre at 10.
    expect(bought).to.deep.include({ kind: 'length', length: mm(500), cost: 5, inStock: true })
  })
})
