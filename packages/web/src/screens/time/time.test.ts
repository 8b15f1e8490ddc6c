import type { CoverFile, CoverRow, Schedule, ScheduledItem } from '@snowdrift/core'
import { expect } from 'chai'
import type { CoverToMake } from '../../workers/schedule-protocol'
import { writeIcs } from './ics'
import { groupByCover, groupByPlace } from './session-groups'
import { helpsFor, withOneMore } from './what-helps'

const item = (cover: string, step: string, place: ScheduledItem['place'], from: number): ScheduledItem => ({
  cover,
  copy: 1,
  step,
  place,
  from,
  minutes: 5,
  setUp: 0,
  idle: 0,
})

const items = [
  item('ledger', 'cut', 'cutting', 3),
  item('atlas', 'cut', 'cutting', 8),
  item('ledger', 'sew', 'machine', 17),
  item('ledger', 'trim', 'cutting', 23),
]

describe('a session', () => {
  it('is grouped by where the work is done, each time one goes there', () => {
    expect(groupByPlace(items).map(({ place, items: some }) => [place, some.length])).to.deep.equal([
      ['cutting', 2],
      ['machine', 1],
      ['cutting', 1],
    ])
  })

  it('is grouped by cover, with what is done of each', () => {
    expect(groupByCover(items)).to.deep.equal([
      { cover: 'ledger', steps: ['cut', 'sew', 'trim'], minutes: 15 },
      { cover: 'atlas', steps: ['cut'], minutes: 5 },
    ])
  })
})

/** 1 December 2026, a Tuesday, 19:00. */
const tuesday = Date.UTC(2026, 11, 1, 19) / 60_000
const day = 1440

describe('what would help', () => {
  const file = (changes: Partial<CoverFile> = {}): CoverFile => ({
    format: 'snowdrift/cover',
    version: 2,
    name: 'Atlas',
    family: 'slip-cover',
    layers: [
      { role: 'padding', thickness: '3 mm' },
      { role: 'outer', thickness: '0.3 mm' },
    ],
    ...changes,
  })
  const cover = (of: Partial<CoverToMake> = {}): CoverToMake => ({
    id: 'atlas',
    file: file(),
    copies: 1,
    done: [],
    notBefore: {},
    due: tuesday,
    ...of,
  })
  const sessions = [{ start: tuesday, minutes: 120 }]

  it('is one session more on the first free evening to come, today if that is not over', () => {
    const more = (from: number) => withOneMore(sessions, from).map(({ start }) => start - tuesday)
    expect(more(tuesday - 60)).to.deep.equal([0, day])
    expect(more(tuesday - 2 * day)).to.deep.equal([-2 * day, 0])
    expect(more(tuesday - 2 * day + 1)).to.deep.equal([-day, 0])
  })

  it('is to do without padding, and to buy what is sewn of strips', () => {
    const tied = cover({ file: file({ extras: [{ type: 'tie-pair' }, { type: 'bookmark' }] }) })
    const helps = helpsFor([tied], sessions, tuesday)
    expect(helps.map(({ words }) => words)).to.deep.equal([
      'one session more, on the first evening that is free',
      'Atlas without its padding',
      'Atlas: buy ribbon or elastic instead of sewing its tie pair',
    ])
    expect(helps[1]?.covers?.[0]?.file.layers.map(({ role }) => role)).to.deep.equal(['outer'])
    expect(helps[2]?.covers?.[0]?.file.extras?.map(({ type }) => type)).to.deep.equal(['bookmark'])
  })

  it('is nothing where nothing has a date', () => {
    const { due: _, ...undated } = cover()
    expect(helpsFor([undated], sessions, tuesday)).to.deep.equal([])
  })
})

describe('the calendar', () => {
  const schedule = {
    sessions: [
      { start: tuesday, items },
      { start: tuesday + 2 * day, items: [] },
    ],
  } as unknown as Schedule
  const covers = [
    { id: 'ledger', file: { name: 'Hut ledger' } },
    { id: 'atlas', file: { name: 'Atlas; of stars' } },
  ] as unknown as CoverRow[]
  const steps = { ledger: { cut: { name: 'Cut the outer', place: 'cutting' as const, minutes: 5 } } }
  const written = writeIcs({ schedule, covers, steps }, new Date(Date.UTC(2026, 10, 29)))
  const unfolded = written.replace(/\r?\n[ \t]/g, '')

  it('has one event for each session with work, on the maker’s own clock', () => {
    expect(unfolded.match(/BEGIN:VEVENT/g)).to.have.length(1)
    expect(unfolded).to.match(/DTSTART:20261201T190000\r?\n/)
    // the last step ends 28 minutes after the session begins
    expect(unfolded).to.contain('DURATION:PT28M')
  })

  it('says whose work and what is done, with its signs escaped', () => {
    expect(unfolded).to.contain('SUMMARY:Sewing: Hut ledger\\, Atlas\\; of stars')
    expect(unfolded).to.contain('Cut the outer')
  })

  it('names a session the same each time, so that taking it in again doubles nothing', () => {
    const uid = (text: string) => /^UID:(.*)$/m.exec(text)?.[1]?.trim()
    const again = writeIcs({ schedule, covers, steps }, new Date(Date.UTC(2026, 10, 30)))
    expect(uid(again)).to.equal(uid(written))
    const sequence = (text: string) => Number(/^SEQUENCE:(\d+)/m.exec(text)?.[1])
    expect(sequence(again)).to.be.above(sequence(written))
  })
})
