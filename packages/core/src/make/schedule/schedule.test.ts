import { expect } from 'chai'
import fc from 'fast-check'
import { workPlaces } from '../step.js'
import { findCircle } from './instance.js'
import type { ScheduleRequest, TimedStep, WorkToDo } from './request.js'
import { schedule, schedules, type Schedule } from './schedule.js'
import { addUp, checkSchedule } from './testing/check-schedule.js'
import { bestOfEveryOrder, compareBest } from './testing/every-order.js'

/** So many tries, whatever the clock says. */
function planFor(request: ScheduleRequest, tries = 30): Schedule {
  let time = 0
  return schedule(request, { budgetMs: tries, now: () => (time += 1) })
}

function step(
  id: string,
  place: TimedStep['place'],
  minutes: number,
  more: Partial<TimedStep> = {},
): TimedStep {
  return { id, kind: 'sew', place, minutes, needs: [], ...more }
}

function work(cover: string, steps: readonly TimedStep[], more: Partial<WorkToDo> = {}): WorkToDo {
  return { cover, steps, copies: 1, done: new Set(), ...more }
}

function request(of: Partial<ScheduleRequest>): ScheduleRequest {
  return { work: [], sessions: [{ start: 0, minutes: 120 }], times: {}, setUp: {}, seed: 1, ...of }
}

/** Two covers that are cut, sewn, and left to dry before they are pressed. */
const cutSewPress = [
  step('cut', 'cutting', 10),
  step('sew', 'machine', 20, { needs: ['cut'], wait: 30 }),
  step('press', 'iron', 5, { needs: ['sew'] }),
]

describe('planning time', () => {
  it('sets a place up once for both covers, and works on one while the other dries', () => {
    const plan = planFor(request({ work: [work('ledger', cutSewPress), work('atlas', cutSewPress)] }))
    // cutting 3 + 10 + 10, machine 4 + 20 + 20: 67; the first was sewn at 47 and is dry at 77, the second at 97.
    // Iron 1, then 5 minutes each: the last one begins at 97 and ends at 102.
    expect(plan.finish).to.deep.equal({ ledger: 82, atlas: 102 })
    expect(plan.minutes).to.deep.equal({ active: 70, setUp: 8, idle: 24 })
    // One by one: 3 + 10 + 4 + 20 = 37, dry at 67, iron till 72; then 1 + 10 + 1 + 20 = 104, dry at 134: no session left.
    expect(plan.oneByOne.setUp).to.equal(10)
    expect(plan.oneByOne.finish).to.equal(104)
    expect(plan.bound.finish).to.be.at.most(102)
  })

  it('may leave a short session empty, for fewer set-ups in a longer one', () => {
    const sewing = [step('sew', 'machine', 16), step('close', 'machine', 15.5)]
    const lengths = (...minutes: readonly number[]) =>
      minutes.map((length, at) => ({ start: at * 400, minutes: length }))
    const boundIn = (...minutes: readonly number[]) =>
      planFor(request({ work: [work('ledger', sewing)], sessions: lengths(...minutes) })).bound
    // 4 + 16 + 15.5 = 35.5 fits the second alone; from the first on it takes both, 8 + 31.5 = 39.5: 400 + 4.5
    expect(boundIn(35, 36)).to.deep.equal({ setUp: 4, finish: 404.5, lateMinutes: 0 })
    expect(boundIn(36, 35)).to.deep.equal({ setUp: 4, finish: 35.5, lateMinutes: 0 })
    expect(boundIn(35, 35)).to.deep.equal({ setUp: 8, finish: 404.5, lateMinutes: 0 })
    // a session of three minutes ends before the machine is set up: 800 + 39.5 − 35
    expect(boundIn(35, 3, 35)).to.deep.equal({ setUp: 8, finish: 804.5, lateMinutes: 0 })
  })

  it('lets a wait run over night, and never cuts a step that fits a session', () => {
    const sessions = [
      { start: 0, minutes: 36 },
      { start: 1440, minutes: 36 },
    ]
    const plan = planFor(request({ work: [work('ledger', cutSewPress)], sessions }))
    // 3 + 10 + 4 would leave 19 of 36 for 20 minutes of sewing: that is for tomorrow, 4 + 20 = 24; dry at 54: too late
    expect(plan.sessions.map(({ items }) => items.map(({ step: id }) => id))).to.deep.equal([
      ['cut'],
      ['sew'],
    ])
    expect(plan.unplaced).to.deep.equal([
      { cover: 'ledger', copy: 1, step: 'press', why: { kind: 'no-time' } },
    ])
    const third = planFor(
      request({ work: [work('ledger', cutSewPress)], sessions: [...sessions, { start: 2880, minutes: 10 }] }),
    )
    expect(third.finish).to.deep.equal({ ledger: 2880 + 1 + 5 })
  })

  it('cuts what is longer than any session at whole minutes, with a set-up each time', () => {
    const sessions = [0, 100, 200].map(start => ({ start, minutes: 30.5 }))
    const plan = planFor(request({ work: [work('ledger', [step('quilt', 'machine', 60)])], sessions }))
    // 30.5 − 4 is 26.5: 26 whole minutes, twice; 8 are left
    expect(plan.sessions.map(({ items }) => items.map(({ minutes }) => minutes))).to.deep.equal([
      [26],
      [26],
      [8],
    ])
    expect(plan.minutes.setUp).to.equal(12)
  })

  it('does not begin what must be followed at once where the session ends before that', () => {
    const glue = [step('brush', 'glue', 10, { within: 5 }), step('smooth', 'glue', 10, { needs: ['brush'] })]
    const sessions = [
      { start: 0, minutes: 20 },
      { start: 1000, minutes: 30 },
    ]
    const plan = planFor(request({ work: [work('wrap', glue)], sessions }))
    expect(plan.sessions.map(({ items }) => items.length)).to.deep.equal([0, 2])
    const short = planFor(request({ work: [work('wrap', glue)], sessions: sessions.slice(0, 1) }))
    // 4 to set up and 20 without a break
    expect(short.unplaced[0]?.why).to.deep.equal({ kind: 'too-long', minutes: 24, longest: 20 })
  })

  it('says which covers are late and by how much, and when work must begin', () => {
    const sessions = [{ start: 100, minutes: 120 }]
    const sewn = [step('cut', 'cutting', 10), step('sew', 'machine', 20, { needs: ['cut'] })]
    const plan = planFor(request({ work: [work('late', sewn, { due: 120 }), work('early', sewn)], sessions }))
    // 3 + 10 + 4 + 20 = 37: at 137, 17 minutes after it was due
    expect(plan.late).to.deep.equal([{ cover: 'late', minutes: 17 }])
    const inTime = planFor(request({ work: [work('one', sewn, { due: 200 })], sessions }))
    // 37 minutes before 200
    expect([inTime.late, inTime.latestStart]).to.deep.equal([[], 163])
  })

  it('leaves out what is done, and its waits with it', () => {
    const plan = planFor(request({ work: [work('ledger', cutSewPress, { done: new Set(['cut', 'sew']) })] }))
    expect(plan.sessions[0]?.items.map(({ step: id, from }) => [id, from])).to.deep.equal([['press', 1]])
    expect(plan.critical).to.deep.equal([{ cover: 'ledger', copy: 1, step: 'press' }])
  })

  it('takes a maker’s own pace and first costs', () => {
    const plan = planFor(
      request({
        work: [work('ledger', [step('sew', 'machine', 20)])],
        times: { sew: 1.25 },
        setUp: { machine: 7 },
      }),
    )
    expect(plan.sessions[0]?.items[0]).to.include({ from: 7, minutes: 25, setUp: 7 })
  })

  it('names steps that need each other in a circle, and those that need what there is not', () => {
    const circle = [step('a', 'table', 1, { needs: ['b'] }), step('b', 'table', 1, { needs: ['a'] })]
    expect(findCircle({ steps: [...circle, step('c', 'table', 1)] })).to.have.members(['a', 'b'])
    expect(findCircle({ steps: [step('a', 'table', 1, { needs: ['z'] })] })).to.deep.equal(['a'])
    expect(findCircle({ steps: cutSewPress })).to.deep.equal([])
  })

  it('follows the longest way through work and waits', () => {
    const two = [...cutSewPress, step('label', 'table', 30)]
    const { critical } = planFor(request({ work: [work('ledger', two)] }))
    expect(critical.map(({ step: id }) => id)).to.deep.equal(['cut', 'sew', 'press'])
  })

  const anyStep = (at: number) =>
    fc.record({
      place: fc.constantFrom(...workPlaces.slice(0, 4)),
      minutes: fc.integer({ min: 1, max: 3000 }).map(hundredths => hundredths / 100),
      wait: fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined, freq: 4 }),
      within: fc.option(fc.integer({ min: 0, max: 30 }), { nil: undefined, freq: 5 }),
      needs: fc.subarray(Array.from({ length: at }, (_, index) => `s${index}`)),
    })
  const anySteps = (most: number) =>
    fc
      .integer({ min: 1, max: most })
      .chain(count => fc.tuple(...Array.from({ length: count }, (_, at) => anyStep(at))))
      .map(steps =>
        steps.map(({ wait, within, ...one }, at) => ({
          ...one,
          id: `s${at}`,
          kind: 'sew' as const,
          ...(wait !== undefined && { wait }),
          ...(within !== undefined && { within }),
        })),
      )
  const anyRequest = (steps: number, covers: number) =>
    fc
      .record({
        work: fc.array(
          fc.record({
            steps: anySteps(steps),
            due: fc.option(fc.integer({ min: 0, max: 3000 }), { nil: undefined }),
          }),
          { minLength: 1, maxLength: covers },
        ),
        sessions: fc.array(fc.integer({ min: 35, max: 150 }), { minLength: 1, maxLength: 8 }),
      })
      .map(({ work: covered, sessions }) =>
        request({
          work: covered.map(({ steps: own, due }, at) =>
            work(`c${at}`, own, due === undefined ? {} : { due }),
          ),
          sessions: sessions.map((minutes, at) => ({ start: at * 400, minutes })),
        }),
      )

  it('keeps every rule, whatever is to be done and whenever it is stopped', () => {
    fc.assert(
      fc.property(anyRequest(8, 4), fc.integer({ min: 1, max: 60 }), (asked, tries) => {
        const plan = planFor(asked, tries)
        expect(checkSchedule(asked, plan)).to.deep.equal([])
      }),
      { numRuns: 150 },
    )
  })

  it('is never later than one cover after the other, nor better than its bound', () => {
    fc.assert(
      fc.property(anyRequest(8, 4), asked => {
        const plan = planFor(asked)
        const late = plan.late.reduce((sum, { minutes }) => sum + minutes, 0)
        expect(late).to.be.at.most(plan.oneByOne.lateMinutes + 0.001)
        expect(late).to.be.at.least(plan.bound.lateMinutes - 0.001)
        if (plan.unplaced.length > 0) return
        const { finish, setUp } = addUp(asked, plan)
        expect(finish).to.be.at.least((plan.bound.finish ?? -Infinity) - 0.001)
        expect(setUp).to.be.at.least(plan.bound.setUp - 0.001)
      }),
      { numRuns: 150 },
    )
  })

  it('is the best there is where few steps are left: no order of them does better', () => {
    let compared = 0
    fc.assert(
      fc.property(anyRequest(3, 2), asked => {
        const steps = asked.work.reduce((sum, { steps: own }) => sum + own.length, 0)
        const best = bestOfEveryOrder({ ...asked, sessions: asked.sessions.slice(0, 4) })
        if (steps > 5 || !best) return
        compared += 1
        const plan = planFor({ ...asked, sessions: asked.sessions.slice(0, 4) })
        const found = addUp(asked, plan)
        // work is left over only where that makes fewer minutes late: they are looked at first
        if (plan.unplaced.length > 0) expect(found.late).to.be.below(best.late)
        else expect(compareBest(found, best)).to.be.at.most(0)
      }),
      { numRuns: 200, seed: 17 },
    )
    expect(compared).to.be.above(60)
  })

  it('looks at late minutes first, even where another order would find a place for all work', () => {
    const asked = (due: number) =>
      request({
        work: [
          work('tag', [step('cut', 'cutting', 1)], { due }),
          work('atlas', [
            step('size', 'cutting', 9, { wait: 44 }),
            step('trim', 'cutting', 29, { needs: ['size'] }),
          ]),
        ],
        sessions: [{ start: 0, minutes: 86 }],
      })
    // Tag first: 3 + 1 = 4; size ends at 13, dry at 57, and 29 more end at 86. All find a place, nothing is late.
    expect(planFor(asked(4)).unplaced).to.deep.equal([])
    // A second of cutting more, and trim would end after 86. Size first, tag while it dries: all placed, tag at 13.
    const longer = (due: number) => {
      const {
        work: [, ...others],
        ...rest
      } = asked(due)
      return { ...rest, work: [work('tag', [step('cut', 'cutting', 1.02)], { due }), ...others] }
    }
    expect(planFor(longer(14)).unplaced).to.deep.equal([])
    // due at 4.02 it is late that way: tag first, and what has no date is left for another session
    const plan = planFor(longer(4.02))
    expect(plan.late).to.deep.equal([])
    expect(plan.unplaced.map(({ step: id }) => id)).to.deep.equal(['trim'])
  })

  it('gives the same plan for the same seed, and only better ones on the way', () => {
    const asked = request({
      work: ['a', 'b', 'c', 'd'].map(cover => work(cover, cutSewPress, { due: 200 })),
      sessions: [0, 300, 600, 900].map(start => ({ start, minutes: 60 })),
    })
    expect(planFor(asked)).to.deep.equal(planFor(asked))
    let tries = 0
    const all = [...schedules(asked, () => (tries += 1) > 60)].map(plan => {
      const { late, finish, setUp } = addUp(asked, plan)
      return [plan.unplaced.length, late, finish, setUp]
    })
    expect(all.length).to.be.above(1)
    for (const [at, worth] of all.entries()) {
      const before = all[at - 1] ?? worth
      const first = worth.findIndex((value, index) => value !== before[index])
      if (first >= 0) expect(worth[first]).to.be.below(before[first] ?? 0)
    }
  })
})
