import { expect } from 'chai'
import { createRandom } from '../../fit/simulation/random.js'
import { believe, normalBelow, normalQuantile } from './believe.js'
import { calibrate, wilson } from './calibration.js'
import { learn } from './learn.js'
import { easeGotMm, seamDeviation, type MakeRecord } from './make-record.js'

const empty: Omit<MakeRecord, 'id'> = {
  plannedCutMm: {},
  cutMm: {},
  sewnMm: {},
  allowancesMm: {},
  edges: {},
  seams: {},
  easePlannedMm: {},
  wentOn: {},
  minutes: {},
}

function make(id: string, of: Partial<MakeRecord>): MakeRecord {
  return { ...empty, id, ...of }
}

/** Cut as planned, two seams each out by so much. */
function seamed(id: string, seamMm: number, other = seamMm): MakeRecord {
  return make(id, {
    plannedCutMm: { width: 400, height: 260 },
    cutMm: { width: 400, height: 260 },
    allowancesMm: { width: 12, height: 12 },
    sewnMm: { width: 388 - 2 * seamMm, height: 248 - 2 * other },
    edges: { width: 2, height: 2 },
    seams: { width: 2, height: 2 },
  })
}

/** Normal numbers from even ones (Box and Muller). */
function normals(seed: number): () => number {
  const random = createRandom(seed)
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

describe('what makes tell', () => {
  it('reckons a seam from what was cut, meant to be taken, and left', () => {
    // (400.1 − 13.7 − 386.2) / 2 = 0.2 / 2
    const one = make('m1', {
      cutMm: { width: 400.1 },
      sewnMm: { width: 386.2 },
      allowancesMm: { width: 13.7 },
      seams: { width: 2 },
    })
    expect(seamDeviation(one, 'width')?.value).to.be.closeTo(0.1, 1e-9)
    expect(seamDeviation(one, 'height')).to.equal(undefined)
  })

  it('shrinks the mean towards nought as the sum of both says, where the scatter is known', () => {
    const prior = { mean: 0, spread: 0.5, scatter: 0.8, degrees: 1e7 }
    const seen = [
      { value: 0.6, parts: 2 },
      { value: 0.9, parts: 2 },
      { value: 0.3, parts: 2 },
    ]
    const { mean, scatter } = believe(seen, prior, 0.9)
    // before: 1 / 0.5² = 4. Seen: 6 / 0.8² = 9.375 at a mean of 0.6. (9.375 × 0.6) / (4 + 9.375) = 0.42056
    expect(mean.value).to.be.closeTo(0.42056, 0.001)
    // its spread is 1 / √13.375 = 0.27343; 1.64485 of it to either side: −0.02920 and 0.87032
    expect(mean.low).to.be.closeTo(-0.0292, 0.002)
    expect(mean.high).to.be.closeTo(0.87032, 0.002)
    expect(scatter.value).to.be.closeTo(0.8, 0.01)
  })

  it('learns the scatter: what lies closer together than thought is surer', () => {
    const prior = { mean: 0, spread: 0.5, scatter: 0.8, degrees: 4 }
    const near = Array.from({ length: 30 }, (_, at) => ({ value: 0.3 + 0.01 * (at % 3), parts: 2 }))
    const far = Array.from({ length: 30 }, (_, at) => ({ value: 0.3 + (at % 2 ? 1.5 : -1.5), parts: 2 }))
    const [sure, unsure] = [believe(near, prior, 0.9), believe(far, prior, 0.9)]
    // 4 degrees at 0.8² beside 30 near nought: √(4 × 0.64 / 34) ≈ 0.274
    expect(sure.scatter.value).to.be.closeTo(0.28, 0.02)
    // 30 × 2 × 1.5² = 135, with 2.56: √(137.6 / 34) ≈ 2.01
    expect(unsure.scatter.value).to.be.closeTo(2.05, 0.1)
    expect(unsure.mean.high - unsure.mean.low).to.be.above(4 * (sure.mean.high - sure.mean.low))
  })

  it('says what was thought before where nothing was seen, and uses nothing of it', () => {
    const learnt = learn([])
    expect(learnt.seamBias.value).to.be.closeTo(0, 1e-9)
    // 1.64485 × 0.5
    expect(learnt.seamBias.high).to.be.closeTo(0.8224, 0.001)
    expect([learnt.seamBias.makes, learnt.seamBias.used]).to.deep.equal([0, false])
    expect(learnt.ease.width.value).to.be.closeTo(3, 1e-9)
    expect([learnt.times, learnt.calibration, learnt.refused]).to.deep.equal([
      {},
      { makes: 0, groups: [] },
      [],
    ])
  })

  it('corrects nothing from a single make, however wide its seams', () => {
    const learnt = learn([seamed('m1', 3)])
    expect([learnt.seamBias.makes, learnt.seamBias.used]).to.deep.equal([1, false])
    expect(learnt.seamBias.value).to.be.above(0)
  })

  it('corrects once three observations agree and nought lies outside the interval', () => {
    const wide = learn([seamed('m1', 0.9), seamed('m2', 1.1), seamed('m3', 1)])
    expect(wide.seamBias).to.include({ makes: 3, used: true })
    expect(wide.seamBias.low).to.be.above(0)
    const either = learn([seamed('m1', 0.9), seamed('m2', -1.1), seamed('m3', 0.1)])
    expect(either.seamBias.used).to.equal(false)
    // cut as planned: nothing to correct there
    expect(wide.cutBias.used).to.equal(false)
  })

  it('does not mind the order of the makes', () => {
    const makes = [seamed('m1', 0.9), seamed('m2', 0.2, 0.5), seamed('m3', 1)]
    const [one, other] = [learn(makes), learn([...makes].reverse())]
    expect(one.seamBias.value).to.be.closeTo(other.seamBias.value, 1e-9)
    expect(one.seamBias.low).to.be.closeTo(other.seamBias.low, 1e-9)
  })

  it('leaves out what cannot be, and says why', () => {
    const inches = make('inches', {
      ...seamed('inches', 0),
      cutMm: { width: 15.75, height: 260 },
      sewnMm: {},
    })
    const larger = make('larger', { cutMm: { width: 400 }, sewnMm: { width: 401.5 } })
    const swapped = make('swapped', { ...seamed('swapped', 0), sewnMm: { width: 248, height: 240 } })
    const learnt = learn([seamed('good', 0.5), inches, larger, swapped])
    // (400 − 15.75) / 2 = 192.125; (400 − 12 − 248) / 2 = 70
    expect(learnt.refused).to.deep.equal([
      { id: 'inches', why: { kind: 'cut-too-far', direction: 'width', eachMm: 192.125 } },
      { id: 'larger', why: { kind: 'sewn-larger', direction: 'width', byMm: 1.5 } },
      { id: 'swapped', why: { kind: 'seam-too-far', direction: 'width', eachMm: 70 } },
    ])
    expect(learnt.seamBias.makes).to.equal(1)
    // 6 mm a seam is the most that a hand errs
    expect(learn([seamed('far', 6)]).refused).to.deep.equal([])
    expect(learn([seamed('too far', 6.01)]).refused).to.have.length(1)
  })

  it('knows the ease that is liked from what went on snugly, as it was really sewn', () => {
    const snug = make('m1', { ...seamed('m1', 0.5), easePlannedMm: { width: 5 }, wentOn: { width: 'snug' } })
    // two seams of half a millimetre too much: 5 − 1
    expect(easeGotMm(snug, 'width')).to.be.closeTo(4, 1e-9)
    const loose = make('m2', { easePlannedMm: { width: 30 }, wentOn: { width: 'baggy' } })
    const { ease } = learn([snug, loose])
    expect(ease.width.makes).to.equal(1)
    expect(ease.width.value).to.be.within(3, 4)
    expect(ease.height.makes).to.equal(0)
  })

  it('knows a maker’s pace by operation: slow by a third after enough makes', () => {
    const sewn = Array.from({ length: 12 }, (_, at) =>
      make(`m${at}`, {
        minutes: { sew: { planned: 10, took: 13 + (at % 3) - 1 }, cut: { planned: 5, took: 5 } },
      }),
    )
    const { times } = learn(sewn)
    expect(times.sew?.value).to.be.closeTo(1.29, 0.02)
    expect([times.sew?.used, times.cut?.used]).to.deep.equal([true, false])
    expect(learn(sewn.slice(0, 2)).times.sew?.used).to.equal(false)
  })

  it('holds chances against what came of them', () => {
    const told = Array.from({ length: 40 }, (_, at) =>
      make(`m${at}`, { chance: at < 20 ? 0.6 : 0.9, fit: at < 20 ? at % 2 === 0 : at !== 25 }),
    )
    const { groups, brier, makes } = calibrate(told, 0.9)
    expect([makes, groups.length]).to.deep.equal([40, 4])
    expect(groups.map(({ foretold }) => Math.round(100 * foretold))).to.deep.equal([60, 60, 90, 90])
    // (10 × 0.4² + 10 × 0.6² + 19 × 0.1² + 0.9²) / 40
    expect(brier).to.be.closeTo((1.6 + 3.6 + 0.19 + 0.81) / 40, 1e-9)
    expect(calibrate(told.slice(0, 9), 0.9).groups).to.deep.equal([])
    // at most ten groups
    const many = Array.from({ length: 250 }, (_, at) => make(`n${at}`, { chance: at / 250, fit: true }))
    expect(calibrate(many, 0.9).groups.map(one => one.makes)).to.deep.equal(Array(10).fill(25))
  })

  it('gives Wilson’s interval', () => {
    // 8 of 10 at 90 %: z = 1.64485, z² = 2.70554; (0.8 + 0.135277) / 1.270554 = 0.73612,
    // 1.64485 / 1.270554 × √(0.016 + 0.00676386) = 0.19532
    const { low, high } = wilson(0.8, 10, 0.9)
    expect(low).to.be.closeTo(0.5408, 0.0005)
    expect(high).to.be.closeTo(0.9314, 0.0005)
    expect(wilson(1, 10, 0.9).high).to.equal(1)
  })

  it('knows the normal distribution', () => {
    expect(normalBelow(0)).to.be.closeTo(0.5, 1e-7)
    expect(normalBelow(1.959964)).to.be.closeTo(0.975, 1e-6)
    expect(normalQuantile(0.95)).to.be.closeTo(1.644854, 1e-5)
  })

  it('holds a known hand within its interval about as often as it says, in 400 workshops', () => {
    const normal = normals(20261129)
    let [held, scatterHeld, paceHeld] = [0, 0, 0]
    for (let workshop = 0; workshop < 400; workshop += 1) {
      const bias = 0.5 * normal()
      const pace = 0.35 * normal()
      const scatter = 0.8 * Math.exp(0.3 * normal())
      const makes = Array.from({ length: 3 + (workshop % 12) }, (_, at) => {
        const seams = () => bias + (scatter / Math.SQRT2) * normal()
        return {
          ...seamed(`m${at}`, seams(), seams()),
          minutes: { sew: { planned: 10, took: 10 * Math.exp(pace + 0.25 * normal()) } },
        }
      })
      const learnt = learn(makes)
      if (learnt.seamBias.low <= bias && bias <= learnt.seamBias.high) held += 1
      if (learnt.seamScatter.low <= scatter && scatter <= learnt.seamScatter.high) scatterHeld += 1
      const { low = 0, high = 0 } = learnt.times.sew ?? {}
      if (low <= Math.exp(pace) && Math.exp(pace) <= high) paceHeld += 1
    }
    expect(held / 400).to.be.within(0.85, 0.95)
    expect(paceHeld / 400).to.be.within(0.85, 0.95)
    expect(scatterHeld / 400).to.be.within(0.85, 0.97)
  })
})
