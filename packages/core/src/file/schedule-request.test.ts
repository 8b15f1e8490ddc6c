import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { schedule } from '../make/schedule/schedule.js'
import { checkSchedule } from '../make/schedule/testing/check-schedule.js'
import { formatIssue } from './issue.js'
import { formatMoment, parseMoment } from './moment.js'
import { readScheduleRequest } from './schedule-request.js'
import { scheduleToJson } from './schedule-json.js'

const example = (name: string) =>
  JSON.parse(
    readFileSync(join(import.meta.dirname, `../../../../docs/examples/${name}.json`), 'utf8'),
  ) as Record<string, unknown>

const ledger = { id: 'ledger', file: example('hut-ledger') }
const evening = { start: '2026-12-01T19:00', minutes: 120 }
const good = { covers: [ledger], sessions: [evening] }

function problems(input: unknown): readonly string[] {
  const read = readScheduleRequest(input)
  return read.ok ? [] : read.issues.map(formatIssue)
}

describe('a request for a plan of time', () => {
  it('reads covers with their steps, and sessions in order of time', () => {
    const read = readScheduleRequest({
      ...good,
      covers: [{ ...ledger, due: '2026-12-20', copies: 2, done: ['cut-outer'] }],
      sessions: [{ start: '2026-12-03T19:00', minutes: 60 }, evening],
      times: { sew: 1.2 },
    })
    if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
    const { work, sessions, times } = read.value.request
    expect(sessions.map(({ start }) => formatMoment(start))).to.deep.equal([
      '2026-12-01T19:00',
      '2026-12-03T19:00',
    ])
    // a day is over at its end
    expect(formatMoment(work[0]?.due ?? 0)).to.equal('2026-12-21T00:00')
    expect([work[0]?.copies, work[0]?.done.has('cut-outer'), times.sew]).to.deep.equal([2, true, 1.2])
  })

  it('refuses a cover of which a piece comes out at nothing, by its place', () => {
    const { options, ...file } = example('botany-journal')
    // boards of a journal, less twice so much margin, leave no lining
    const none = { ...file, options: { ...(options as object), liningMargin: '100 mm' } }
    expect(problems({ ...good, covers: [ledger, { id: 'journal', file: none }] })).to.deep.equal([
      'covers[1].file: A piece of it comes out at nothing: it cannot be made so.',
    ])
    expect(
      problems({ ...good, covers: [ledger, { id: 'journal', file: { ...file, options } }] }),
    ).to.deep.equal([])
  })

  it('refuses times that are none, by name', () => {
    const at = (start: string) => problems({ ...good, sessions: [{ start, minutes: 60 }] })
    expect(at('2026-02-30T19:00')).to.deep.equal([
      'sessions[0].start: Expected a time like 2026-12-01T19:00, found “2026-02-30T19:00”.',
    ])
    expect(at('2026-12-01T25:00')).to.have.length(1)
    expect(at('tomorrow')).to.have.length(1)
    expect(at('2026-12-01')[0]).to.contain('a day and a time')
    expect(problems({ ...good, sessions: [{ ...evening, minutes: 0 }] })[0]).to.contain('sessions[0].minutes')
    expect(problems({ ...good, sessions: [{ ...evening, minutes: 1441 }] })).to.have.length(1)
    expect(problems({ ...good, covers: [{ ...ledger, due: '2026-13-01' }] })[0]).to.contain('covers[0].due')
    expect(problems({ ...good, sessions: [] })).to.have.length(1)
  })

  it('refuses sessions that overlap, and takes those that touch', () => {
    const from = (start: string) => problems({ ...good, sessions: [evening, { start, minutes: 30 }] })
    expect(from('2026-12-01T20:30')).to.deep.equal([
      'sessions[1].start: This session begins 30 min before the one of 2026-12-01T19:00 ends, at 2026-12-01T21:00. Sessions may not overlap.',
    ])
    expect(from('2026-12-01T21:00')).to.deep.equal([])
  })

  it('refuses a step that there is not, a second cover of a name, and a cover file that cannot be read', () => {
    expect(problems({ ...good, covers: [{ ...ledger, done: ['knit'] }] })[0]).to.contain(
      'covers[0].done[0]: This cover has no step “knit”',
    )
    expect(problems({ ...good, covers: [ledger, ledger] })[0]).to.contain('covers[1].id: There is “ledger”')
    expect(problems({ ...good, covers: [{ id: 'x', file: { format: 'other' } }] })[0]).to.contain(
      'covers[0].file',
    )
    expect(problems({ ...good, times: { knit: 2 } })[0]).to.contain('times')
    expect(problems({ ...good, budget: 3 })[0]).to.contain('budget')
  })

  it('keeps to one clock: zones for all times or for none', () => {
    const zoned = {
      ...good,
      covers: [{ ...ledger, due: '2026-12-01T21:00Z' }],
      sessions: [{ start: '2026-12-01T19:00+01:00', minutes: 120 }],
    }
    const read = readScheduleRequest(zoned)
    if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
    // nine in the evening at Greenwich is ten where the session is
    expect(formatMoment(read.value.request.work[0]?.due ?? 0, read.value.offset)).to.equal(
      '2026-12-01T22:00+01:00',
    )
    expect(problems({ ...zoned, sessions: [evening] })[0]).to.contain('Either all times have a zone or none')
  })

  it('gives a plan that keeps every rule, for a case with its nights between', () => {
    const read = readScheduleRequest({
      covers: [ledger, { id: 'case', file: example('botany-journal'), due: '2026-12-20', copies: 2 }],
      sessions: Array.from({ length: 9 }, (_, at) => ({ start: `2026-12-0${at + 1}T19:00`, minutes: 120 })),
    })
    if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
    let time = 0
    const plan = schedule(read.value.request, { budgetMs: 20, now: () => (time += 1) })
    expect(checkSchedule(read.value.request, plan)).to.deep.equal([])
    const printed = scheduleToJson(plan)
    expect(printed.unplaced).to.deep.equal([])
    expect(Object.keys(printed.finish)).to.deep.equal(['ledger', 'case'])
    expect(printed.minutes.setUp).to.be.below(printed.oneByOne.setUp)
  })
})

describe('a moment', () => {
  it('is read as it is written, or not at all', () => {
    expect(parseMoment('1970-01-02')).to.deep.equal({ moment: 1440, isDay: true })
    expect(parseMoment('1970-01-01T01:30')).to.deep.equal({ moment: 90, isDay: false })
    expect(parseMoment('1970-01-01T01:30-02:00')).to.deep.equal({ moment: 90, isDay: false, offset: -120 })
    expect(parseMoment('2024-02-29')?.isDay).to.equal(true)
    for (const none of ['2026-02-29', '2026-12-01T24:00', '2026-12-01T12:60', '1.12.2026', ''])
      expect(parseMoment(none), none).to.equal(undefined)
  })

  it('is said to the next whole minute', () => {
    expect(formatMoment(90.2)).to.equal('1970-01-01T01:31')
    expect(formatMoment(90)).to.equal('1970-01-01T01:30')
    expect(formatMoment(90, -90)).to.equal('1970-01-01T01:30-01:30')
  })
})
