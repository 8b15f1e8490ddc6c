import { coverFile } from '../testing/files.js'
import { readCover, simulate, type RemedyKind } from '@snowdrift/core'
import { expect } from 'chai'
import { countOfHundred, percent, sayChance, sayFailures, sayRemedy } from './chance-words.js'
import { estimateChance } from './estimate-chance.js'
import { plannedOf } from './planned.js'

const simulated = (easeWidth: string, easeHeight = '6 mm') => {
  const file = coverFile({ sizing: { mode: 'computed', easeWidth, easeHeight } })
  const read = readCover(file)
  const simulation = read.ok ? simulate(read.value, { makes: 20_000 }) : undefined
  if (!simulation) throw new Error('Nothing to simulate')
  return { file, simulation, fits: plannedOf(file).plan?.fits ?? [] }
}

describe('saying a chance', () => {
  it('counts of a hundred, and of a thousand where it is nearly all or nothing', () => {
    expect([0.93, 0.5, 0.997, 0.9999, 0.004, 0.0002].map(countOfHundred)).to.deep.equal([
      '93 of 100',
      '50 of 100',
      '997 of 1,000',
      'over 999 of 1,000',
      '4 of 1,000',
      'under 1 of 1,000',
    ])
  })

  it('never rounds to all or nothing', () => {
    expect([0.781, 0.9961, 0.99999, 1, 0, 0.0001].map(percent)).to.deep.equal([
      '78 %',
      '99.6 %',
      'over 99.9 %',
      '100 %',
      '0 %',
      'under 0.1 %',
    ])
  })

  it('says it in one sentence', () => {
    expect(sayChance({ chance: 0.93, makes: 50_000 })).to.equal(
      '93 of 100 makes like this go on the first time.',
    )
    expect(sayChance({ chance: 1, makes: 50_000 })).to.match(/^Every one of 50,000/)
    expect(sayChance({ chance: 0, makes: 50_000 })).to.match(/^None of 50,000/)
  })

  it('says what goes wrong, the commonest first', () => {
    const failures = sayFailures(simulated('0 mm', '27 mm').simulation)
    expect(failures[0]).to.match(/of 100 .*/)
    expect(failures.join()).to.contain('are too tight round it').and.contain('hang slack in height')
    expect(sayFailures(simulated('9 mm', '9 mm').simulation)).to.deep.equal([])
  })

  it('says every remedy in a sentence', () => {
    const kinds: readonly RemedyKind[] = [
      { what: 'measure-exactly', reading: 'width' },
      { what: 'measure-itself', reading: 'height' },
      { what: 'measure-again', reading: 'thickness', times: 2 },
      { what: 'wrap-it' },
      { what: 'finer-tape', division: 160 as never },
      { what: 'cut-along-rule', edgeMm: 0.4 },
      { what: 'sew-along-line', lineMm: 0.4 },
      { what: 'measure-layers', share: 0.05 },
      { what: 'leave-room-to-trim' },
    ]
    for (const kind of kinds)
      expect(
        sayRemedy(kind, () => '0.5 mm'),
        kind.what,
      ).to.match(/^[A-Z].*\.$/)
  })
})

describe('the chance while a slider moves', () => {
  it('is the simulated one where nothing moved', () => {
    const { simulation, fits } = simulated('3 mm')
    expect(estimateChance(simulation, fits)).to.equal(simulation.chance)
  })

  it('is read off the chances by ease where one direction moved, as near as they are apart', () => {
    const { simulation } = simulated('3 mm')
    const moved = simulated('0.5 mm')
    expect(estimateChance(simulation, moved.fits)).to.be.closeTo(moved.simulation.chance, 0.02)
    expect(moved.simulation.chance).to.be.below(simulation.chance)
  })

  it('is not known where both moved', () => {
    const { simulation } = simulated('3 mm')
    expect(estimateChance(simulation, simulated('12 mm', '12 mm').fits)).to.equal(undefined)
  })
})
