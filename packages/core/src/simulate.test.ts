import { expect } from 'chai'
import fc from 'fast-check'
import type { CoverFile } from './file/cover-schema.js'
import { simulationToJson } from './file/simulation-json.js'
import { coverFile, coverFrom, everyReading, familyFile } from './file/testing/cover-files.js'
import { usualHand } from './fit/simulation/hand.js'
import type { Simulation } from './fit/simulation/summarise.js'
import { plan } from './plan/plan.js'
import { checkSimulation, simulate, type SimulationOptions } from './simulate.js'

const simulated = (file: CoverFile, options: SimulationOptions = {}): Simulation => {
  const simulation = simulate(coverFrom(file), options)
  if (!simulation) throw new Error('Nothing to simulate')
  return simulation
}
const oddsOf = ({ directions }: Simulation, direction: 'width' | 'height') => {
  const odds = directions.find(candidate => candidate.direction === direction)
  if (!odds) throw new Error(`No odds for ${direction}`)
  return odds
}
const easing = (easeWidth: string, easeHeight: string, changes: Partial<CoverFile> = {}) =>
  familyFile('slip-cover', { sizing: { mode: 'computed', easeWidth, easeHeight }, ...changes })

/** The normal tail by the continued fraction and series that the tables use; independent of the simulation. */
function normalBelow(z: number): number {
  const step = 1 / 2000
  let area = 0
  for (let x = -9; x < z; x += step) {
    const width = Math.min(step, z - x)
    const middle = x + width / 2
    area += width * Math.exp((-middle * middle) / 2)
  }
  return area / Math.sqrt(2 * Math.PI)
}

/** Three standard errors of a share found in so many makes. */
const threeErrors = (share: number, makes = 50_000) =>
  3 * Math.sqrt((share * (1 - share)) / makes) + 1 / makes

const stiffStack = { ...usualHand, stackShare: 0 }

describe('the chance of fitting, against the closed form', () => {
  it('of a slip-on cover: two edges, two seams, width twice, thickness, board', () => {
    // metric tape: 1/√12 = 0.288675; need_w errs by √(2² + 1 + 1)·0.288675 = 0.707107
    // with 4·0.8² = 2.56 of making: σ = √(2.56 + 0.5) = 1.749286; height √(2.56 + 2/12) = 1.651262
    const narrow = simulated(easing('1 mm', '2 mm'), { hand: stiffStack })
    const width = oddsOf(narrow, 'width')
    expect(width.spreadMm).to.be.closeTo(1.749286, 1e-4)
    expect(oddsOf(narrow, 'height').spreadMm).to.be.closeTo(1.651262, 1e-4)
    for (const { fit, spreadMm, verdicts } of narrow.directions) {
      const ease = fit.ease / 320
      const tooSmall = normalBelow(-ease / spreadMm)
      const drum = normalBelow((2 - ease) / spreadMm) - tooSmall
      expect(verdicts['will-not-go'] ?? 0).to.be.closeTo(tooSmall, threeErrors(tooSmall))
      expect(verdicts['drum-tight'] ?? 0).to.be.closeTo(drum, threeErrors(drum))
    }
  })

  it('shares the variance as the sum says', () => {
    // of 3.06: cutting 1.28, sewing 1.28, measuring 0.5
    const { sources } = oddsOf(simulated(easing('5 mm', '5 mm'), { hand: stiffStack, makes: 1000 }), 'width')
    const shares = Object.fromEntries(sources.map(({ name, share }) => [name, share]))
    expect(shares['cutting']).to.be.closeTo(1.28 / 3.06, 1e-4)
    expect(shares['sewing']).to.be.closeTo(1.28 / 3.06, 1e-4)
    expect(shares['measuring']).to.be.closeTo(0.5 / 3.06, 1e-4)
    expect(sources).to.have.length(3)
  })

  it('counts the stack ±15 % as a third of the square of its half-width', () => {
    // s = 0.25 + 0.15625 = 0.40625; π·s·0.15 = 0.19144; variance 0.19144²/3 = 0.012217 of 3.072217
    const { sources } = oddsOf(simulated(easing('5 mm', '5 mm'), { makes: 1000 }), 'width')
    expect(sources.find(({ name }) => name === 'stack')?.share).to.be.closeTo(0.012217 / 3.072217, 1e-5)
  })

  it('is set by two folds and the wrap where the flaps are turned on the book', () => {
    // 2·0.8² = 1.28 sewing, wrap √(2² + 1)/√12: 5/12 = 0.416667; nothing cut, no board, no stack
    const { sources } = oddsOf(simulated(familyFile('turned-flap-cover'), { makes: 1000 }), 'width')
    expect(sources.map(({ name }) => name)).to.deep.equal(['sewing', 'measuring'])
    expect(sources[0]?.share).to.be.closeTo(1.28 / (1.28 + 5 / 12), 1e-4)
  })

  it('has one seam in the height of a bound sleeve', () => {
    // cutting 2·0.64, sewing 0.64
    const sleeve = familyFile('sleeve', { options: { edge: 'bound' } })
    const { sources } = oddsOf(simulated(sleeve, { makes: 1000 }), 'height')
    const [cutting, sewing] = sources
    expect([cutting?.name, sewing?.name]).to.deep.equal(['cutting', 'sewing'])
    expect((cutting?.share ?? 0) / (sewing?.share ?? 1)).to.be.closeTo(2, 1e-9)
  })

  it('shares a fold-over case’s length between its halves', () => {
    // (2·0.8² + 2·0.8²)/4 + H: 1/12 + T: (2·T)/2: 1/12 = 0.64 + 1/6; σ = 0.898146
    const file = familyFile('fold-case')
    expect(oddsOf(simulated(file, { hand: stiffStack, makes: 100 }), 'height').spreadMm).to.be.closeTo(
      Math.sqrt(0.64 + 1 / 6),
      1e-4,
    )
  })

  it('holds what a case of boards holds: spine board, gaps, contents', () => {
    // two edges of the spine board 1.28, gaps (0.8² + 0.8²)/2 = 0.64, contents 1/12: σ = √2.003333 = 1.415392
    const simulation = simulated(familyFile('board-cover'), { makes: 1000 })
    expect(simulation.directions.map(({ direction }) => direction)).to.deep.equal(['width'])
    expect(oddsOf(simulation, 'width').spreadMm).to.be.closeTo(1.415392, 1e-4)
  })

  it('errs with take-up only where quilted panels are not trimmed', () => {
    const quilted = (trimAllowance: string) =>
      familyFile('sleeve', {
        options: { trimAllowance },
        layers: [
          { role: 'padding', thickness: '2 mm', takeUp: 3 },
          { role: 'outer', thickness: '0.5 mm' },
        ],
      })
    const named = (file: CoverFile) =>
      oddsOf(simulated(file, { makes: 100 }), 'width').sources.map(({ name }) => name)
    expect(named(quilted('12 mm'))).not.to.include('take-up')
    expect(named(quilted('0 mm'))).to.include('take-up')
  })

  it('follows the larger of coil and thickness, each by the share it decides', () => {
    // (π/2)·13 = 20.42 against 20: near enough that both decide
    const { readings } = { ...everyReading }
    const coil = familyFile('slip-cover', {
      object: { kind: 'planner', spine: 'coil', readings: { ...readings, coilDiameter: ['13 mm'] } },
    })
    const { directions } = simulated(coil, { hand: stiffStack })
    const width = directions.find(({ direction }) => direction === 'width')
    expect(width?.sources.reduce((sum, { share }) => sum + share, 0)).to.be.closeTo(1, 1e-9)
    // by the mean of the larger of N(20, 1/12) and N(20.42, (π/2)²/12): a mean need above either
    const total = width?.histogram.counts.reduce(
      (sum, count, index) => sum + count * (width.histogram.fromMm + (index + 0.5) * width.histogram.stepMm),
      0,
    )
    const [spread, gap] = [Math.sqrt(1 / 12 + (Math.PI / 2) ** 2 / 12), 0.42035]
    const larger =
      gap * normalBelow(gap / spread) +
      (spread * Math.exp(-((gap / spread) ** 2) / 2)) / Math.sqrt(2 * Math.PI)
    expect((width?.fit.ease ?? 0) / 320 - (total ?? 0) / 50_000).to.be.closeTo(larger - gap, 0.03)
  })
})

describe('the best ease', () => {
  it('is the smallest half millimetre that reaches 99 %', () => {
    // 2.3263·1.749286 = 4.069 → 4.5; 2.3263·1.651262 = 3.841 → 4
    const { directions } = simulated(easing('9 mm', '9 mm'), { hand: stiffStack })
    expect(directions.map(({ bestEaseMm }) => bestEaseMm)).to.deep.equal([4.5, 4])
  })

  it('does not move with the ease that is planned, nor with the other direction', () => {
    const best = (width: string, height: string) =>
      simulated(easing(width, height)).directions.map(({ bestEaseMm }) => bestEaseMm)
    expect(best('0 mm', '20 mm')).to.deep.equal(best('25 mm', '3 mm'))
  })

  it('is where the chance is greatest when nothing reaches 99 %', () => {
    // read to σ = 14 or so, 28 mm of room: the middle is best
    const vague = easing('5 mm', '5 mm', {
      object: {
        kind: 'hardcover',
        readings: {
          height: ['240 mm'],
          width: ['160 mm'],
          wrap: ['340 mm', '360 mm', '385 mm'],
          boardThickness: ['2 mm'],
          thickness: ['20 mm'],
        },
      },
    })
    const { bestEaseMm, chanceByEase } = oddsOf(simulated(vague), 'width')
    expect(bestEaseMm).to.be.within(12, 16)
    expect(Math.max(...chanceByEase)).to.be.below(0.99)
  })
})

describe('laws of the chance', () => {
  const family = fc.constantFrom('slip-cover', 'sleeve', 'zip-pouch', 'fold-case', 'zip-around')
  const seed = fc.integer({ min: 0, max: 2 ** 31 })
  const makes = 4000

  it('the same seed gives the same makes, and verdicts and sources add up to 1', () => {
    fc.assert(
      fc.property(family, seed, (id, start) => {
        const once = simulated(familyFile(id), { makes, seed: start })
        expect(simulated(familyFile(id), { makes, seed: start })).to.deep.equal(once)
        for (const { verdicts, sources, histogram } of once.directions) {
          expect(Object.values(verdicts).reduce((sum, share) => sum + share, 0)).to.be.closeTo(1, 1e-9)
          expect(sources.reduce((sum, { share }) => sum + share, 0)).to.be.closeTo(1, 1e-9)
          expect(histogram.counts.reduce((sum, count) => sum + count, 0)).to.equal(makes)
        }
      }),
      { numRuns: 12 },
    )
  })

  it('more ease never makes will-not-go likelier, nor baggy less likely', () => {
    fc.assert(
      fc.property(family, seed, fc.integer({ min: 0, max: 40 }), (id, start, ease) => {
        const at = (millimetres: number) =>
          oddsOf(
            simulated(familyFile(id, { sizing: { mode: 'computed', easeWidth: `${millimetres} mm` } }), {
              makes,
              seed: start,
            }),
            'width',
          ).verdicts
        const [less, more] = [at(ease), at(ease + 2)]
        expect(more['will-not-go'] ?? 0).to.be.at.most(less['will-not-go'] ?? 0)
        expect(more.baggy ?? 0).to.be.at.least(less.baggy ?? 0)
      }),
      { numRuns: 12 },
    )
  })

  it('a better tape never lowers the best chance', () => {
    fc.assert(
      fc.property(family, seed, fc.integer({ min: 2, max: 10 }), (id, start, division) => {
        const best = (tenths: number) => {
          const file = familyFile(id, {
            object: { kind: 'hardcover', ...everyReading, tapeDivision: `${tenths / 10} mm` },
          })
          const { directions } = simulated(file, { makes, seed: start })
          return directions.map(({ chanceByEase }) => Math.max(...chanceByEase))
        }
        const [coarse, fine] = [best(division * 10), best(division * 5)]
        fine.forEach((chance, index) => {
          expect(chance).to.be.at.least((coarse[index] ?? 0) - threeErrors(chance, makes))
        })
      }),
      { numRuns: 12 },
    )
  })
})

describe('a cover for several books', () => {
  it('has a chance for each, and needs all of them together', () => {
    const { object: _object, ...file } = familyFile('adjustable-wrap')
    const book = (thickness: string) => ({
      kind: 'softcover' as const,
      readings: { ...everyReading?.readings, thickness: [thickness] },
    })
    const { chance, serves } = simulated({ ...file, objects: [book('20 mm'), book('12 mm'), book('60 mm')] })
    // thinner by 40 and 48 than the thickest: a free end from 76 to 100 serves it and leaves the others 116 … 148, most
    // of it on the strap’s fold; the thickest and the thinnest go together from 96 (144 less 48) on
    expect(serves.map(({ book: number }) => number)).to.deep.equal([1, 2, 3])
    expect(serves[2]?.chance).to.be.above(0.9)
    expect(serves[1]?.chance).to.be.above(0.8)
    expect(serves[0]?.chance).to.be.below(0.01)
    expect(chance).to.be.at.most(Math.min(...serves.map(({ chance: own }) => own)))
  })
})

describe('the height of a cover for several books', () => {
  it('errs as the tallest was measured, whichever of them it is', () => {
    const { object: _object, ...file } = familyFile('adjustable-wrap')
    const book = (height: string, tapeDivision: string) => ({
      kind: 'softcover' as const,
      tapeDivision,
      readings: { ...everyReading?.readings, height: [height] },
    })
    const spread = (...objects: ReturnType<typeof book>[]) =>
      oddsOf(simulated({ ...file, objects }, { hand: stiffStack, makes: 100 }), 'height').spreadMm
    // two edges and two seams of 0.8 make 2.56; height and board, each read to 4 mm: 2·16/12; to 1 mm: 2/12
    const [low, tall] = [book('239 mm', '1 mm'), book('240 mm', '4 mm')]
    expect(spread(low, tall)).to.be.closeTo(Math.sqrt(2.56 + 32 / 12), 1e-4)
    expect(spread(tall, low)).to.be.closeTo(Math.sqrt(2.56 + 32 / 12), 1e-4)
    expect(spread(book('239 mm', '4 mm'), book('240 mm', '1 mm'))).to.be.closeTo(
      Math.sqrt(2.56 + 2 / 12),
      1e-4,
    )
  })
})

describe('what a simulation has to say', () => {
  const codes = (file: CoverFile) => {
    const cover = coverFrom(file)
    return checkSimulation(cover, plan(cover)).map(({ code }) => code)
  }

  it('is that nothing can fail to fit where it is fitted on the thing', () => {
    expect(codes(familyFile('glued-wrap'))).to.deep.equal(['no-fit'])
    expect(simulate(coverFrom(familyFile('soft-wrap')))).to.equal(undefined)
    expect(codes(familyFile('slip-cover'))).to.deep.equal([])
  })

  it('is that a case of boards needs its contents measured', () => {
    const { contentsThickness: _contents, ...readings } = { ...everyReading?.readings }
    const empty = coverFrom(familyFile('board-cover', { object: { kind: 'journal', readings } }))
    expect(checkSimulation(empty, plan(empty))[0]?.data).to.deep.equal({ unmeasured: true })
    expect(codes(familyFile('board-cover'))).to.deep.equal([])
  })

  it('is that a reading says nothing when it is more uncertain than large', () => {
    const high = (...height: string[]) =>
      familyFile('slip-cover', {
        object: { kind: 'hardcover', readings: { ...everyReading?.readings, height } },
      })
    // two readings leave the mean open by half their difference: 130 of 60 and 320 says more than 60, 119 of 61 less
    expect(codes(high('60 mm', '320 mm'))).to.deep.equal(['reading-says-nothing'])
    expect(codes(high('120 mm', '320 mm'))).to.deep.equal([])
    // a board “about” 1 mm is off by more than itself and yet says something
    const board = { ...everyReading?.readings, boardThickness: ['about 1 mm'] }
    expect(codes(familyFile('slip-cover', { object: { kind: 'hardcover', readings: board } }))).to.deep.equal(
      [],
    )
  })

  it('is said in JSON with shares and millimetres', () => {
    const json = simulationToJson(simulated(coverFile(), { makes: 100, seed: 3 }), [], 'in')
    expect(json).to.include({ makes: 100, seed: 3 })
    expect(Object.keys(json)).to.deep.equal([
      'makes',
      'seed',
      'chance',
      'verdicts',
      'sources',
      'histogram',
      'bestEase',
      'findings',
    ])
  })
})
