import { learn, readCover, type CoverFile, type MakeRecord } from '@snowdrift/core'
import { expect } from 'chai'
import { inMonths } from '../screens/log/NextTime'
import { sayDate, sayDay, sayDuration, sayLate, sayTime } from './day-words'
import { learntHand } from './learnt-hand'
import { paceOf } from './use-learnt'

const seamed = (id: string, seam: number): MakeRecord => ({
  id,
  plannedCutMm: {},
  cutMm: { width: 400, height: 260 },
  sewnMm: { width: 388 - 2 * seam, height: 248 - 2 * seam },
  allowancesMm: { width: 12, height: 12 },
  edges: { width: 2, height: 2 },
  seams: { width: 2, height: 2 },
  easePlannedMm: {},
  wentOn: {},
  minutes: { sew: { planned: 10, took: 14 } },
})
const makes = (seam: number) => ['a', 'b', 'c', 'd'].map(id => seamed(id, seam))

describe('what was learnt, as covers are planned for it', () => {
  const file = (hand: CoverFile['hand']): CoverFile => ({
    format: 'snowdrift/cover',
    version: 2,
    unit: 'in',
    object: { kind: 'softcover', readings: { height: ['8'], width: ['5'], thickness: ['1/2'] } },
    family: 'slip-cover',
    layers: [{ role: 'outer', thickness: '0.3 mm' }],
    ...(hand && { hand }),
  })

  it('is only what is sure, in a form that a cover file takes, to either side', () => {
    for (const seam of [1, -1]) {
      const hand = learntHand(learn(makes(seam)))
      expect(hand).to.have.all.keys('seamBias', 'seamScatter')
      expect(String(hand?.seamBias).startsWith('-')).to.equal(seam < 0)
      expect(readCover(file(hand)).ok).to.equal(true)
    }
    expect(learntHand(learn([]))).to.equal(undefined)
  })

  it('gives no pace before it is wanted', () => {
    const learnt = learn(makes(0))
    expect(paceOf({ makes: [], learnt, isUsed: false })).to.equal(undefined)
    const pace = paceOf({ makes: [], learnt, isUsed: true })
    expect(pace?.sew).to.be.within(1.2, 1.4)
  })
})

describe('days and times', () => {
  const tuesday = Date.UTC(2026, 11, 1, 19, 4) / 60_000
  it('are said as makers say them', () => {
    expect(sayDay('2026-12-01')).to.equal('1 December 2026')
    expect([sayDate(tuesday), sayTime(tuesday)]).to.deep.equal(['Tuesday 1 December', '19:04'])
    expect([59, 60, 125].map(sayDuration)).to.deep.equal(['59 min', '1 h 00', '2 h 05'])
    expect([12.2, 180, 4320].map(sayLate)).to.deep.equal(['13 min', '3 h', '3 days'])
  })

  it('go months on, to the last of a shorter month', () => {
    expect(inMonths('2026-11-29', 3)).to.equal('2027-02-28')
    expect(inMonths('2026-11-15', 3)).to.equal('2027-02-15')
  })
})
