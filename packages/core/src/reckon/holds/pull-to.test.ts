import { expect } from 'chai'
import { coverFrom, everyReading, familyFile, metricFile, planFrom } from '../../file/testing/cover-files.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { severityIn } from '../../finding/severities.js'
import { mm, toMm } from '../../length/length.js'
import { plan } from '../../plan/plan.js'
import { findHolds, type Held } from './holds.js'
import { pullTo } from './pull-to.js'
import { setOn } from './setting.js'

const heldOf = (file: CoverFile, key: string): Held => {
  const held = findHolds(coverFrom(file), planFrom(file), 'outside').pulls.find(
    ({ held: { setting } }) => setting.kind !== 'seam' && setting.key === key,
  )?.held
  if (!held) throw new Error(`Nothing to hold ${key} by`)
  return held
}

const pulled = (file: CoverFile, key: string, wantedMm: number) =>
  pullTo(coverFrom(file), planFrom(file), heldOf(file, key), mm(wantedMm), mm(1))

describe('pulling a setting', () => {
  const file = metricFile({ options: { flapDepth: '70' } })

  it('goes to the nearest mark of the tape', () => {
    expect(pulled(file, 'flapDepth', 81.4)).to.deep.equal({ length: mm(81) })
  })

  it('stops at the end of what can be set', () => {
    // flaps are 10 to 600 deep
    expect(pulled(file, 'flapDepth', 2)).to.deep.equal({
      length: mm(10),
      stop: { kind: 'range', end: mm(10) },
    })
  })

  it('stops where the cover could no longer be made, and says why', () => {
    const board = familyFile('board-cover', { object: everyReading })
    const { length, stop } = pulled(board, 'turnIn', 0)
    // 2 go round the edge of the sheet, and at least 2 stay inside
    expect(toMm(length)).to.equal(4)
    const { setting } = heldOf(board, 'turnIn')
    const errors = plan(setOn(coverFrom(board), setting, mm(3))).findings.filter(
      finding => severityIn(finding) === 'error',
    )
    expect(errors.map(({ code }) => code)).to.include('turn-in-too-small')
    expect(stop).to.deep.equal({ kind: 'finding', finding: errors[0] })
  })

  it('is not held back by what is wrong already', () => {
    // one more layer than goes in: the ease of nothing is an error as it stands, and is no reason against a deeper flap
    const tight = familyFile('slip-cover', { sizing: { mode: 'cut', width: '340 mm', height: '240 mm' } })
    const errors = planFrom(tight).findings.filter(finding => severityIn(finding) === 'error')
    expect(errors).to.not.deep.equal([])
    expect(pulled(tight, 'flapDepth', 60)).to.deep.equal({ length: mm(60) })
  })
})
