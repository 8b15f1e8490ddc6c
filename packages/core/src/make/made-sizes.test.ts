import { expect } from 'chai'
import { coverFile, coverFrom, familyFile, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { inches, mm, toMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { usualHands } from './hands.js'
import { headlineAt } from './headline.js'
import { doubtMade, followMade, madeKey, measuredAt, plannedSize, whatFollows } from './made-sizes.js'
import { planSteps } from './plan-steps.js'
import { markStep, noProgress, type Progress } from './progress.js'

const at = '2026-11-01T19:00:00.000Z'
const file = coverFile()
const planned = planFrom(file)
const width = { piece: 'outer', side: 'width' } as const
const height = { piece: 'outer', side: 'height' } as const
const made = (sizes: Readonly<Record<string, string>>, ...done: readonly string[]): Progress =>
  done.reduce<Progress>((now, id) => markStep(now, { id }, { at, state: 'done' }), {
    ...noProgress,
    made: Object.fromEntries(Object.entries(sizes).map(([key, typed]) => [key, { at, typed }])),
  })

describe('a size that is taken off the work', () => {
  it('is asked for where it is read: what is measured first, and what is cut', () => {
    const cover = coverFrom(familyFile('sleeve', { options: { edge: 'bound' } }))
    const { steps } = planSteps(cover, plan(cover), { say: sayPlainly('mm'), hands: usualHands })
    const keys = (id: string) => {
      const step = steps.find(known => known.id === id)
      return step ? measuredAt(step, plan(cover)).map(madeKey) : []
    }
    expect(keys('measure-binding')).to.deep.equal(['piece/binding/width'])
    expect(keys('cut-outer')).to.deep.equal(['piece/outer/width', 'piece/outer/height'])
    expect(keys('check-sides')).to.deep.equal([])
  })

  it('changes what is not cut yet, and says of what is cut whether it can be trimmed', () => {
    // outer cut 1/8 too low: 10 1/4 instead of 10 3/8; lining and flaps are cut as high as the outer
    const progress = made({ 'piece/outer/height': '10 1/4' }, 'cut-lining')
    const follows = planFrom(followMade(file, planned, progress, 'in'))
    expect(follows.pieces.find(({ id }) => id === 'outer')?.height.cut).to.equal(inches(10.25))
    const changes = whatFollows(planned, follows, progress)
    const stateOf = (piece: string) => changes.find(change => change.piece === piece)?.state
    expect(stateOf('lining')).to.equal('trim')
    expect(stateOf('flap')).to.equal('follows')
    expect(changes.find(({ piece }) => piece === 'flap')?.now.height).to.equal(inches(10.25))
    // the finished height is an eighth less, and so is its ease: 1/4 in as planned
    const [before, after] = [planned, follows].map(
      ({ fits }) => fits.find(({ direction }) => direction === 'height')?.ease ?? mm(0),
    )
    expect(toMm(before ?? mm(0)) - toMm(after ?? mm(0))).to.be.closeTo(3.175, 1e-9)
  })

  it('says what is too small where it grew', () => {
    const progress = made({ 'piece/outer/width': '16' }, 'cut-lining')
    const follows = planFrom(followMade(file, planned, progress, 'in'))
    expect(whatFollows(planned, follows, progress).find(({ piece }) => piece === 'lining')?.state).to.equal(
      'too-small',
    )
  })

  it('leaves the plan alone where nothing was entered, or it was taken back', () => {
    expect(followMade(file, planned, noProgress, 'in')).to.equal(file)
    expect(followMade(file, planned, made({ 'piece/outer/width': '' }), 'in')).to.equal(file)
  })

  it('is asked about where it is further off than a hand errs', () => {
    const doubt = (measure: typeof width | typeof height, length: ReturnType<typeof mm>) =>
      doubtMade(planned, measure, length, 'in')
    // planned 15 3/4 × 10 3/8: up to 1/2 in, or a twentieth, 0.79 in, is a hand’s
    expect(doubt(width, inches(16.5))).to.equal(undefined)
    expect(doubt(width, inches(16.6))).to.deep.include({ kind: 'far' })
    expect(doubt(height, inches(10.875))).to.equal(undefined)
    // millimetres typed for inches: 400 in is 15.75 · 25.4
    expect(doubt(width, inches(400))?.kind).to.equal('other-unit')
    expect(doubt(width, inches(10.5))).to.deep.equal({ kind: 'swapped' })
    expect(doubt(height, inches(15.75))).to.deep.equal({ kind: 'swapped' })
  })

  it('is doubted for the trimmed size of what is cut oversize', () => {
    const quilted = planFrom(
      familyFile('sleeve', {
        layers: [
          { role: 'lining', thickness: '0.28 mm' },
          { role: 'padding', thickness: '3 mm', quilted: true, takeUp: 3 },
          { role: 'outer', thickness: '0.28 mm', quilted: true },
        ],
      }),
    )
    const outer = quilted.pieces.find(({ id }) => id === 'outer')
    expect(plannedSize(quilted, width)).to.equal(outer?.trimTo?.width)
    expect(plannedSize(planned, { notion: 'button', side: 'length' })).to.equal(undefined)
  })
})

describe('the number that matters at a step', () => {
  const cover = coverFrom(file)
  const { steps } = planSteps(cover, planned, { say: sayPlainly('in'), hands: usualHands })
  const of = (id: string) => {
    const step = steps.find(known => known.id === id)
    return step && headlineAt(step, planned, 'in')
  }

  it('is the size of what is cut, the seam of what is sewn, and none where one looks', () => {
    expect(of('cut-outer')?.lengths.map(toMm)).to.deep.equal([400.05, 263.525])
    expect(of('sew-round')?.lengths).to.deep.equal([inches(0.25)])
    expect(of('close-opening')?.lengths).to.deep.equal([inches(0.125)])
    expect(of('check-sides')).to.equal(undefined)
  })
})
