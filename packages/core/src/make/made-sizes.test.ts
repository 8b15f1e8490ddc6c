import { expect } from 'chai'
import { coverFile, coverFrom, familyFile, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { inches, mm, toMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { usualHands } from './hands.js'
import { headlineAt } from './headline.js'
import { correctableAt, doubtMade, madeKey, plannedSize } from './made-sizes.js'
import { planSteps } from './plan-steps.js'

const file = coverFile()
const planned = planFrom(file)
const width = { piece: 'outer', side: 'width' } as const
const height = { piece: 'outer', side: 'height' } as const

describe('a size that is taken off the work', () => {
  it('can be entered wherever its piece is in hand, and as sewn once it is turned', () => {
    const cover = coverFrom(file)
    const { steps } = planSteps(cover, planned, { say: sayPlainly('in'), hands: usualHands })
    const keys = (id: string) => {
      const step = steps.find(known => known.id === id)
      return step ? correctableAt(step, planned, steps).map(madeKey) : []
    }
    const outer = ['piece/outer/width', 'piece/outer/height']
    const lining = ['piece/lining/width', 'piece/lining/height']
    expect(keys('cut-outer')).to.deep.equal(outer)
    expect(keys('sew-round'))
      .to.include.members([...outer, ...lining])
      .and.not.include('sewn/outer/width')
    expect(keys('turn-out')).to.deep.equal(['sewn/outer/width', 'sewn/outer/height', ...outer, ...lining])
    // 400.05 mm as cut less 2 · 6.35 of seam and 2 · 0.5 at the turned edges
    expect(toMm(plannedSize(planned, { sewn: 'outer', side: 'width' }) ?? mm(0))).to.be.closeTo(386.35, 0.01)
  })

  it('is not asked twice at the step that measures it', () => {
    const cover = coverFrom(familyFile('sleeve', { options: { edge: 'bound' } }))
    const { steps } = planSteps(cover, plan(cover), { say: sayPlainly('mm'), hands: usualHands })
    const step = steps.find(({ id }) => id === 'measure-binding')
    expect(step?.measures.map(madeKey)).to.deep.equal(['piece/binding/width'])
    expect(step && correctableAt(step, plan(cover), steps).map(madeKey)).not.to.include('piece/binding/width')
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
