import { expect } from 'chai'
import fc from 'fast-check'
import { readMakingBody } from '../api/makings.js'
import { coverFile, coverFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { plan } from '../plan/plan.js'
import { usualHands } from './hands.js'
import { planSteps } from './plan-steps.js'
import {
  isDone,
  markStep,
  mergeProgress,
  missingBefore,
  nextStep,
  noLongerThere,
  noProgress,
  type Progress,
} from './progress.js'

const at = (minute: number) => new Date(Date.UTC(2026, 10, 1, 19, minute)).toISOString()
const stepsOf = (file = coverFile()) => {
  const cover = coverFrom(file)
  return planSteps(cover, plan(cover), { say: sayPlainly('in'), hands: usualHands }).steps
}
const steps = stepsOf()
const step = (id: string) => {
  const found = steps.find(known => known.id === id)
  if (!found) throw new Error(`No step ${id}`)
  return found
}
const done = (progress: Progress, ...ids: readonly string[]) =>
  ids.reduce((now, id, index) => markStep(now, step(id), { at: at(index), state: 'done' }), progress)

describe('progress at the table', () => {
  it('goes to the next step, and back', () => {
    expect(nextStep(noProgress, steps)?.id).to.equal('measure-thing')
    const once = done(noProgress, 'measure-thing')
    expect(nextStep(once, steps)?.id).to.equal('press-cloth')
    const back = markStep(once, step('measure-thing'), { at: at(9), state: 'open' })
    expect(nextStep(back, steps)?.id).to.equal('measure-thing')
  })

  it('says what is missing before a step that is not due', () => {
    const missing = (progress: Progress, id: string) =>
      missingBefore(progress, step(id), steps).map(({ id: before }) => before)
    expect(missing(noProgress, 'straighten-cloth')).to.deep.equal(['measure-thing', 'press-cloth'])
    expect(missing(done(noProgress, 'measure-thing', 'press-cloth'), 'straighten-cloth')).to.deep.equal([])
  })

  it('runs a wait from when its step was done, and hears it when that is taken back', () => {
    const glue = { id: 'under-weight', wait: 720 }
    const waiting = markStep(noProgress, glue, { at: at(0), state: 'done' })
    // 19:00 and twelve hours
    expect(waiting.waits['under-weight']?.endsAt).to.equal('2026-11-02T07:00:00.000Z')
    const back = markStep(waiting, glue, { at: at(5), state: 'open' })
    expect(back.waits['under-weight']?.heard).to.equal(true)
    expect(markStep(noProgress, { id: 'sew' }, { at: at(0), state: 'done' }).waits).to.deep.equal({})
  })

  it('keeps what is done where the cover changes, and names what it no longer has', () => {
    const made = done(noProgress, 'measure-thing', 'press-flaps')
    const faced = stepsOf(coverFile({ options: { flapStyle: 'faced' } }))
    expect(noLongerThere(made, faced)).to.deep.equal(['press-flaps'])
    expect(noLongerThere(made, steps)).to.deep.equal([])
  })

  const marks = fc.record({
    minute: fc.nat(50),
    state: fc.constantFrom('done' as const, 'open' as const),
    id: fc.constantFrom('measure-thing', 'cut-outer', 'cut-flap', 'sew-round'),
  })
  const progress = fc
    .array(marks, { maxLength: 8 })
    .map(list =>
      list.reduce(
        (now, { id, minute, state }) => markStep(now, { id, wait: 5 }, { at: at(minute), state }),
        noProgress,
      ),
    )

  it('comes together from two devices in any order, twice as once, without losing either’s', () => {
    fc.assert(
      fc.property(progress, progress, progress, (one, two, three) => {
        expect(mergeProgress(one, two)).to.deep.equal(mergeProgress(two, one))
        expect(mergeProgress(one, one)).to.deep.equal(one)
        expect(mergeProgress(mergeProgress(one, two), three)).to.deep.equal(
          mergeProgress(one, mergeProgress(two, three)),
        )
      }),
    )
    const left = done(noProgress, 'measure-thing')
    const right = markStep(noProgress, step('press-cloth'), { at: at(3), state: 'done' })
    const both = mergeProgress(left, right)
    expect(['measure-thing', 'press-cloth'].every(id => isDone(both, id))).to.equal(true)
  })

  it('is read from what the browser sends, and refused where it is something else', () => {
    const read = (made: unknown) => readMakingBody({ progress: made })
    expect(read(done(noProgress, 'measure-thing')).ok).to.equal(true)
    expect(read({ ...noProgress, steps: { 'cut-outer': { at: 'now', state: 'done' } } }).ok).to.equal(false)
    expect(read({ ...noProgress, schools: { fuse: { at: at(1), value: 'never' } } }).ok).to.equal(false)
    const many = Object.fromEntries(
      Array.from({ length: 501 }, (_, index) => [`s-${index}`, { at: at(1), state: 'done' }]),
    )
    expect(read({ ...noProgress, steps: many }).ok).to.equal(false)
  })
})
