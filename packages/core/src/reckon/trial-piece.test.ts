import { expect } from 'chai'
import type { CoverFile } from '../file/cover-schema.js'
import { coverFrom, everyReading, familyFile, fitOf, planFrom } from '../file/testing/cover-files.js'
import { readCover } from '../file/read-cover.js'
import { toJsonMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { simulate } from '../simulate.js'
import { planTrialBands, whyTrial } from './trial-piece.js'

const tried = (trial: CoverFile['trial'], family = 'slip-cover') =>
  familyFile(family, { ...(trial && { trial }) })

describe('a trial piece', () => {
  it('is a band of scrap for each direction, with what should be over', () => {
    // scrap of 0.3125: s = 0.15625, needs 340 + 2 + 0.49087 = 342.49087; + 2 + 12 = 356.49 → 357, made up 345
    // height: s_f = 0.3125 + 0.15625; 240 + 2 + π·(0.15625 + 0.46875)/2 = 242.98175; + 14 → 257, made up 245
    const bands = planTrialBands(coverFrom(familyFile('slip-cover')))
    expect(
      bands.map(({ direction, cut, across, finished }) => [
        direction,
        cut / 320,
        across / 320,
        finished / 320,
      ]),
    ).to.deep.equal([
      ['width', 357, 100, 345],
      ['height', 257, 100, 245],
    ])
    expect(bands.map(({ spare }) => toJsonMm(spare))).to.deep.equal([2.5091, 2.0183])
  })

  it('changes nothing where it goes on as reckoned', () => {
    const asReckoned = planFrom(tried({ width: { finished: '345 mm', spare: '2.5091 mm' } }))
    expect(fitOf(asReckoned, 'width').needed).to.be.closeTo(
      fitOf(planFrom(tried(undefined)), 'width').needed,
      1,
    )
  })

  it('moves the plan by what it told', () => {
    // 3 mm short of 345 the book takes 348: 5.50913 more than the tape says, and the cut grows by as much
    const short = planFrom(tried({ width: { finished: '345 mm', short: '3 mm' } }))
    const before = planFrom(tried(undefined))
    expect(toJsonMm((fitOf(short, 'width').needed - fitOf(before, 'width').needed) as never)).to.equal(5.5091)
    expect(fitOf(short, 'height').needed).to.equal(fitOf(before, 'height').needed)
    const reasons = short.pieces.find(({ id }) => id === 'outer')?.width.reasons.map(({ label }) => label)
    expect(reasons).to.include('as the trial piece told')
  })

  it('stands for both halves of a case that folds over', () => {
    const whole = fitOf(planFrom(tried(undefined, 'fold-case')), 'height').needed
    const bare = planTrialBands(coverFrom(tried(undefined, 'fold-case'))).find(
      ({ direction }) => direction === 'height',
    )
    const spare = `${toJsonMm(((bare?.spare ?? 0) - 320 * 4) as never)} mm`
    const told = tried({ height: { finished: `${(bare?.finished ?? 0) / 320} mm`, spare } }, 'fold-case')
    expect(toJsonMm((fitOf(planFrom(told), 'height').needed - whole) as never)).to.be.closeTo(4, 2e-3)
  })

  it('takes the place of the readings in the chance', () => {
    const sources = (file: CoverFile) => {
      const [width] = simulate(coverFrom(file), { makes: 100 })?.directions ?? []
      return width?.spreadMm ?? 0
    }
    // two looks at a metric tape, 2/12, instead of 6/12 of the readings
    const [before, after] = [
      sources(tried(undefined)),
      sources(tried({ width: { finished: '345 mm', spare: '2 mm' } })),
    ]
    expect(before ** 2 - after ** 2).to.be.closeTo(4 / 12, 1e-4)
  })

  it('is worth its scrap for what is large, thick or hardly known', () => {
    const why = (readings: object, spreads: readonly number[] = []) => {
      const cover = coverFrom(
        familyFile('slip-cover', {
          object: { kind: 'hardcover', readings: { ...everyReading?.readings, ...readings } },
        }),
      )
      return whyTrial(cover, plan(cover), spreads)
    }
    expect(why({})).to.deep.equal([])
    expect(why({ width: ['300 mm'], height: ['320 mm'] })).to.deep.equal(['large'])
    expect(why({ thickness: ['51 mm'] })).to.deep.equal(['thick'])
    expect(why({}, [1.8, 3.1])).to.deep.equal(['uncertain'])
  })

  it('refuses what says both, or neither', () => {
    const issues = (width: object) => {
      const read = readCover({ ...familyFile('slip-cover'), trial: { width } })
      return read.ok ? [] : read.issues.map(({ path }) => path)
    }
    expect(issues({ finished: '345 mm', spare: '1 mm', short: '1 mm' })).to.deep.equal(['trial.width'])
    expect(issues({ finished: '345 mm' })).to.deep.equal(['trial.width'])
    expect(issues({ finished: '345 mm', spare: '1 mm' })).to.deep.equal([])
  })
})
