import { expect } from 'chai'
import { learn } from '../make/learning/learn.js'
import { formatIssue } from './issue.js'
import { learntToJson } from './learn-json.js'
import { readLearnRequest } from './learn-request.js'

const make = {
  id: 'm1',
  cutMm: { width: 400.1 },
  plannedCutMm: { width: 400.05 },
  sewnMm: { width: 386.2 },
  allowancesMm: { width: 13.7 },
  edges: { width: 2 },
  seams: { width: 2 },
  easePlannedMm: { width: 5 },
  wentOn: { width: 'snug' },
  fit: true,
  chance: 0.93,
  minutes: { sew: { planned: 10, took: 13 } },
}

function problems(input: unknown): readonly string[] {
  const read = readLearnRequest(input)
  return read.ok ? [] : read.issues.map(formatIssue)
}

describe('makes to learn from', () => {
  it('are read with whatever parts they have, and what they tell is said', () => {
    const read = readLearnRequest({ makes: [make, { id: 'm2' }] })
    if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
    expect(read.value.level).to.equal(0.9)
    const printed = learntToJson(learn(read.value.makes, read.value.level))
    expect(printed.seamBias).to.include({ makes: 1, used: false })
    expect(printed.times).to.have.keys('sew')
    expect(printed.calibration).to.deep.include({ makes: 1, brier: 0.0049, groups: [] })
    expect(printed.refused).to.deep.equal([])
  })

  it('that contradict are named with the reason', () => {
    const read = readLearnRequest({ makes: [{ ...make, sewnMm: { width: 401.1 } }] })
    if (!read.ok) throw new Error('expected to be read')
    const [refused] = learntToJson(learn(read.value.makes)).refused
    expect(refused?.id).to.equal('m1')
    expect(refused?.why).to.contain('1 mm larger sewn than it was cut')
  })

  it('that cannot be read are refused by their place', () => {
    expect(problems({ makes: [{ ...make, chance: 1.2 }] })[0]).to.contain('makes[0].chance')
    expect(problems({ makes: [{ ...make, cutMm: { width: -1 } }] })[0]).to.contain('makes[0].cutMm.width')
    expect(problems({ makes: [{ ...make, wentOn: { width: 'well' } }] })[0]).to.contain('wentOn.width')
    expect(problems({ makes: [{ ...make, minutes: { knit: { planned: 1, took: 1 } } }] })[0]).to.contain(
      'knit',
    )
    expect(problems({ makes: [make, make] })[0]).to.contain('makes[1].id: There is a make “m1” already')
    expect(problems({ makes: [], level: 1 })).to.have.length(1)
    expect(problems([])).to.have.length(1)
  })
})
