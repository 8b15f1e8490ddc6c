import { usualHands, type CoverFile } from '@snowdrift/core'
import { expect } from 'chai'
import { answerSchedule } from './schedule-handler'
import type { CoverToMake, ScheduleReply } from './schedule-protocol'
import { answerSeries } from './series-handler'

const file: CoverFile = {
  format: 'snowdrift/cover',
  version: 2,
  unit: 'mm',
  name: 'Ledger',
  object: {
    kind: 'hardcover',
    readings: { height: ['240'], width: ['160'], thickness: ['20'], boardThickness: ['2'] },
  },
  family: 'slip-cover',
  layers: [
    { role: 'lining', thickness: '0.25 mm' },
    { role: 'outer', thickness: '0.3 mm' },
  ],
}
const cover = (id: string, of: Partial<CoverToMake> = {}): CoverToMake => ({
  id,
  file,
  copies: 1,
  done: [],
  notBefore: {},
  ...of,
})

function replies(
  covers: readonly CoverToMake[],
  otherwise = [{ key: 'more', sessions: [{ start: 0, minutes: 600 }] }],
) {
  let time = 0
  const sessions = [0, 1440, 2880].map(start => ({ start, minutes: 120 }))
  return [
    ...answerSchedule(
      { id: 7, covers, sessions, hands: usualHands, seed: 1, budgetMs: 40, otherwise },
      () => (time += 1),
    ),
  ]
}
const of = <Kind extends ScheduleReply['kind']>(all: readonly ScheduleReply[], kind: Kind) =>
  all.filter((reply): reply is Extract<ScheduleReply, { kind: Kind }> => reply.kind === kind)

describe('the worker that plans time', () => {
  it('tells the steps, then plans, then what would be otherwise, and that it is done', () => {
    const all = replies([cover('a'), cover('b')])
    expect(all[0]?.kind).to.equal('steps')
    expect(all.at(-1)?.kind).to.equal('done')
    expect(all.every(({ id }) => id === 7)).to.equal(true)
    const plans = of(all, 'schedule')
    expect(plans.length).to.be.above(0)
    expect(plans.at(-1)?.schedule.unplaced).to.deep.equal([])
    expect(plans.at(-1)?.schedule.latestStart).to.be.a('number')
    expect(of(all, 'otherwise').map(({ key }) => key)).to.deep.equal(['more'])
    expect(Object.keys(of(all, 'steps')[0]?.steps.a ?? {})).to.include('cut-outer')
  })

  it('names covers that cannot be planned yet, and plans the others', () => {
    const unread = { ...file, object: { kind: 'hardcover' as const, readings: {} } }
    // Nothing is left of padding that ends 40 in inside every edge.
    const uncut = {
      ...file,
      layers: [{ role: 'padding' as const, thickness: '3 mm', inset: '40 in' }, ...file.layers],
    }
    const all = replies([cover('a'), cover('b', { file: unread }), cover('c', { file: uncut })])
    expect(of(all, 'steps')[0]?.notPlanned).to.deep.equal(['b', 'c'])
    expect(Object.keys(of(all, 'schedule').at(-1)?.schedule.finish ?? {})).to.deep.equal(['a'])
  })

  it('leaves out what is done, and begins what was put off no sooner', () => {
    const all = replies([cover('a', { done: ['measure-thing'], notBefore: { 'cut-outer': 1440 } })])
    const { schedule } = of(all, 'schedule').at(-1) ?? {}
    const items =
      schedule?.sessions.flatMap(({ start, items: some }) => some.map(one => ({ ...one, start }))) ?? []
    expect(items.map(({ step }) => step)).not.to.include('measure-thing')
    expect(items.find(({ step }) => step === 'cut-outer')?.start).to.be.at.least(1440)
  })
})

describe('the worker that looks for the fewest covers', () => {
  const thing = (id: string, height: number) => ({
    id,
    version: 1,
    updatedAt: '2026-11-29T10:00:00.000Z',
    name: id,
    unit: 'mm' as const,
    object: {
      kind: 'hardcover' as const,
      readings: { height: [height], width: [160], thickness: [20], boardThickness: [2] },
    },
  })

  it('answers for each way of making, with files that can be made', () => {
    const all = [
      ...answerSeries({
        id: 3,
        file,
        things: [
          thing('one', 240),
          thing('two', 239),
          { ...thing('three', 1), object: { kind: 'hardcover', readings: {} } },
        ],
        families: ['slip-cover', 'adjustable-wrap'],
      }),
    ]
    const series = all.flatMap(reply => (reply.kind === 'series' ? [reply] : []))
    expect(series.map(({ family }) => family)).to.deep.equal(['slip-cover', 'adjustable-wrap'])
    for (const { covers, left, bound } of series) {
      expect([left, bound]).to.deep.equal([[2], 1])
      expect(covers.map(({ things }) => things)).to.deep.equal([[0, 1]])
    }
    expect(series[0]?.covers[0]?.file.sizing).to.include({ mode: 'cut' })
    expect(series[1]?.covers[0]?.file.objects).to.have.length(2)
  })
})
