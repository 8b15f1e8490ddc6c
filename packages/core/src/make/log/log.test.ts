import { expect } from 'chai'
import { readMakeBody, type MakeLog, type MakeRow } from '../../api/makes.js'
import { coverFrom, metricFile } from '../../file/testing/cover-files.js'
import { sayPlainly } from '../../finding/say.js'
import { plan } from '../../plan/plan.js'
import { usualHands } from '../hands.js'
import { planSteps } from '../plan-steps.js'
import { noProgress, type Progress } from '../progress.js'
import { beginLog } from './begin-log.js'
import { departuresFrom } from './habits.js'
import { dueReminders, regretsFor } from './regrets.js'
import { fitOf, toRecord } from './to-record.js'

const coverOf = (changes: object = {}) => coverFrom(metricFile(changes))

function logOf(progress: Progress = noProgress, changes: object = {}): MakeLog {
  const cover = coverOf(changes)
  const planned = plan(cover)
  const making = planSteps(cover, planned, { say: sayPlainly('mm'), hands: usualHands })
  return beginLog({ cover, planned, making, progress, unit: 'mm', finished: '2026-11-29', chance: 0.9 })
}

const row = (log: MakeLog, id = 'm1', coverId: string | null = null): MakeRow => ({
  id,
  version: 1,
  updatedAt: '2026-11-29T10:00:00.000Z',
  coverId,
  log,
})

const at = '2026-11-29T10:00:00.000Z'

describe('the log of a make', () => {
  it('begins with what the table knows: sizes, mends, how the machine was set', () => {
    const log = logOf({
      ...noProgress,
      made: {
        'piece/outer/width': { at, typed: '401 mm' },
        'sewn/outer/height': { at, typed: '245' },
      },
      steps: { 'try-in': { at, state: 'done', answer: 'mended' } },
    })
    expect(log.cut).to.deep.equal({ width: '401 mm' })
    expect(log.sewn).to.deep.equal({ height: '245' })
    expect(log.mends.map(({ step }) => step)).to.deep.equal(['try-in'])
    expect(log.stitch.needle).to.match(/\d+\/\d+/)
    expect(log.planned.chance).to.equal(0.9)
    expect(log.planned.seams).to.deep.equal({ width: 2, height: 2 })
  })

  it('can be saved as it begins, and not with a size that is none', () => {
    const body = { coverId: null, log: logOf() }
    expect(readMakeBody(body).ok).to.equal(true)
    const bad = readMakeBody({ ...body, log: { ...body.log, sewn: { width: 'wide' } } })
    expect(bad.ok ? [] : bad.issues.map(({ path }) => path)).to.deep.equal(['log.sewn.width'])
    const day = readMakeBody({ ...body, log: { ...body.log, finished: '2026-02-30' } })
    expect(day.ok).to.equal(false)
    const empty = readMakeBody({ ...body, log: { ...body.log, regrets: [{ piece: '', what: ' ' }] } })
    expect(empty.ok).to.equal(false)
  })

  it('is learnt from only where something was measured', () => {
    expect(toRecord('m1', logOf())).to.deep.include({ cutMm: {}, sewnMm: {}, plannedCutMm: {} })
  })

  it('takes a size as cut as planned where only the sewn one was measured, and learns nothing of cutting', () => {
    const log = { ...logOf(), sewn: { width: '300 mm' } }
    const record = toRecord('m1', log)
    expect(record.cutMm.width).to.equal(log.planned.cutMm.width)
    expect(record.plannedCutMm.width).to.equal(undefined)
    const cut = toRecord('m1', { ...log, cut: { width: '31 cm' } })
    expect([cut.cutMm.width, cut.plannedCutMm.width]).to.deep.equal([310, log.planned.cutMm.width])
  })

  it('knows whether it fits from what was said, or from how it went on', () => {
    expect(fitOf({ fit: null, wentOn: {} })).to.equal(undefined)
    expect(fitOf({ fit: null, wentOn: { width: 'snug', height: 'roomy' } })).to.equal(true)
    expect(fitOf({ fit: null, wentOn: { width: 'snug', height: 'baggy' } })).to.equal(false)
    expect(fitOf({ fit: true, wentOn: { width: 'baggy' } })).to.equal(true)
  })
})

describe('what was regretted', () => {
  const about = (piece: string, what: string, finished: string, family = 'slip-cover'): MakeRow =>
    row({ ...logOf(), regrets: [{ piece, what }], finished, family }, `${piece} ${finished}`)

  it('is said where the same kind of piece is planned again, a second one of it too', () => {
    const makes = [about('pocket-patch-2', 'limp: interface it', '2026-01-01')]
    const found = regretsFor({ family: 'sleeve', pieces: ['outer', 'pocket-patch'] }, makes)
    expect(found.map(({ piece, what }) => [piece, what])).to.deep.equal([
      ['pocket-patch', 'limp: interface it'],
    ])
    expect(regretsFor({ family: 'sleeve', pieces: ['outer'] }, makes)).to.deep.equal([])
  })

  it('is said of the whole where it is made the same way; once, and the latest first', () => {
    const makes = [
      about('', 'cut it larger', '2026-01-01'),
      about('', 'cut it larger', '2026-03-01'),
      about('', 'press more', '2026-02-01'),
    ]
    const found = regretsFor({ family: 'slip-cover', pieces: [] }, makes)
    expect(found.map(({ what, finished }) => [what, finished])).to.deep.equal([
      ['cut it larger', '2026-03-01'],
      ['press more', '2026-02-01'],
    ])
    expect(regretsFor({ family: 'sleeve', pieces: [] }, makes)).to.deep.equal([])
  })

  it('is not the same as a reminder, which is due on its day until it is done', () => {
    const reminder = (due: string, done: string | null = null) => ({ id: 'r', what: 'Wash it', due, done })
    const make = row({
      ...logOf(),
      reminders: [reminder('2026-11-29'), reminder('2026-11-30'), reminder('2026-11-01', '2026-11-02')],
    })
    expect(dueReminders([make], '2026-11-29').map(({ reminder: { due } }) => due)).to.deep.equal([
      '2026-11-29',
    ])
  })
})

describe('departures from the last of its kind', () => {
  const last = { ...logOf(), finished: '2026-05-01', wentOn: { width: 'snug', height: 'snug' } as const }
  const now = (changes: object, log: MakeLog = last) => {
    const cover = coverOf(changes)
    return departuresFrom(
      plan(cover),
      { family: cover.family.id, roles: cover.stack.map(({ role }) => role) },
      [row(log)],
    )?.departures
  }

  it('are none where it is made alike', () => {
    expect(now({})).to.deep.equal([])
  })

  it('are an ease that differs by 2 mm or more, and layers that are gone or new', () => {
    const more = now({ sizing: { mode: 'computed', easeWidth: '15 mm' } })
    expect(more?.map(({ kind }) => kind)).to.deep.equal(['ease'])
    const { layers } = metricFile()
    const padded = now({
      layers: [...layers.slice(0, -1), { role: 'padding', thickness: '0.2 mm' }, ...layers.slice(-1)],
    })
    expect(padded).to.deep.include({ kind: 'layer-new', layer: 'padding' })
  })

  it('are not held against a make that went badly', () => {
    expect(now({}, { ...last, fit: false })).to.equal(undefined)
    expect(now({}, { ...last, wentOn: { width: 'drum-tight' } })).to.equal(undefined)
  })
})
