import type { MakeLog, MakeRow, MaterialRow, StashPieceRow } from '@snowdrift/core'
import { expect } from 'chai'
import { areaIn, clothUse, easePoints, fitted, timeSums } from './log-charts'

const log = (of: Partial<MakeLog>): MakeRow =>
  ({
    id: 'm',
    version: 1,
    updatedAt: '',
    coverId: null,
    log: {
      name: 'Ledger',
      unit: 'mm',
      planned: {
        cutMm: { width: 400 },
        allowancesMm: { width: 12 },
        edges: { width: 2 },
        seams: { width: 2 },
        easeMm: { width: 5 },
        seam: '',
        layers: [],
      },
      cut: {},
      sewn: {},
      wentOn: {},
      fit: null,
      times: [],
      ...of,
    },
  }) as unknown as MakeRow

describe('the charts of the log', () => {
  it('show ease as it came out: 5 planned, sewn 2 less than 400 − 12', () => {
    expect(easePoints([log({ sewn: { width: '386 mm' }, wentOn: { width: 'snug' } })])).to.deep.equal([
      { name: 'Ledger', plannedMm: 5, gotMm: 3, snug: true },
    ])
    expect(easePoints([log({})])).to.deep.equal([])
    // sewn larger than it was cut
    expect(easePoints([log({ sewn: { width: '410 mm' } })])).to.deep.equal([])
  })

  it('add up times by operation over all makes, the longest first', () => {
    const time = (kind: 'sew' | 'cut', planned: number, took: number) => ({
      step: kind,
      name: '',
      kind,
      planned,
      took,
    })
    const sums = timeSums([
      log({ times: [time('cut', 5, 4), time('sew', 8, 10)] }),
      log({ times: [time('sew', 8, 9)] }),
    ])
    expect(sums).to.deep.equal([
      { kind: 'sew', planned: 16, took: 19 },
      { kind: 'cut', planned: 5, took: 4 },
    ])
  })

  it('count what fits of what is known', () => {
    expect(fitted([log({ fit: true }), log({ wentOn: { width: 'baggy' } }), log({})])).to.deep.equal({
      fit: 1,
      known: 2,
    })
  })

  it('measure cloth by what became of it', () => {
    const material = { id: 'x', unit: 'mm', material: { name: 'Linen' } } as unknown as MaterialRow
    const piece = (state: string, count = 1) =>
      ({ materialId: 'x', state, width: '1000', length: '500', count }) as unknown as StashPieceRow
    expect(clothUse([material], [piece('cut'), piece('free', 2), piece('reserved')])).to.deep.equal([
      { name: 'Linen', used: 0.5, kept: 0.5, left: 1 },
    ])
    expect(areaIn(0.83612736, 'in')).to.be.closeTo(1, 1e-9)
  })
})
