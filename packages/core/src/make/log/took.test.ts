import { expect } from 'chai'
import { noProgress, type Progress } from '../progress.js'
import type { Step } from '../step.js'
import { stepTimes, timesByKind } from './took.js'

const step = (id: string, minutes: number, kind: Step['kind'] = 'sew'): Step => ({
  id,
  kind,
  name: `Do ${id}`,
  does: '',
  why: '',
  pieces: [],
  notions: [],
  place: 'machine',
  tools: [],
  minutes,
  needs: [],
  cautions: [],
  measures: [],
})

const at = (minute: number) => new Date(Date.UTC(2026, 10, 29, 19, minute)).toISOString()
const done = (
  minutes: Readonly<Record<string, number>>,
  shown: Readonly<Record<string, number>> = {},
): Progress => ({
  ...noProgress,
  steps: Object.fromEntries(
    Object.entries(minutes).map(([id, minute]) => [id, { at: at(minute), state: 'done' as const }]),
  ),
  shown: Object.fromEntries(Object.entries(shown).map(([id, minute]) => [id, { at: at(minute) }])),
})

describe('what steps took at the table', () => {
  const steps = [step('cut', 10, 'cut'), step('seam', 8), step('top', 4, 'topstitch')]

  it('is from when each came up, or the one before was done, whichever was later', () => {
    // cut came up at 0 and was done at 12; the seam came up then, but was begun after a cup of tea at 20
    const times = stepTimes(done({ cut: 12, seam: 30, top: 35 }, { cut: 0, seam: 20 }), steps)
    expect(times.map(({ step: id, took }) => [id, took])).to.deep.equal([
      ['cut', 12],
      ['seam', 10],
      ['top', 5],
    ])
  })

  it('says nothing of the first step where nobody saw it come up', () => {
    expect(stepTimes(done({ cut: 12, seam: 20 }), steps).map(({ step: id }) => id)).to.deep.equal(['seam'])
  })

  it('leaves out what was left lying, and what was only ticked off', () => {
    // 4 · 8 + 15 = 47 is the most that a step of 8 minutes may take; an eighth of it, 1, the least
    const seam = (minutes: number) => stepTimes(done({ cut: 0, seam: minutes }, { seam: 0 }), steps)
    expect(seam(47)).to.have.length(1)
    expect(seam(48)).to.have.length(0)
    expect(seam(1)).to.have.length(1)
    expect(seam(0.9)).to.have.length(0)
  })

  it('does not count steps that are open again, or that the cover does not have any more', () => {
    const progress = done({ cut: 12, old: 14, seam: 20 }, { cut: 0 })
    const reopened = {
      ...progress,
      steps: { ...progress.steps, seam: { at: at(22), state: 'open' as const } },
    }
    expect(stepTimes(reopened, steps).map(({ step: id }) => id)).to.deep.equal(['cut'])
  })

  it('adds up by operation', () => {
    const times = [
      { step: 'a', name: '', kind: 'sew' as const, planned: 8, took: 10 },
      { step: 'b', name: '', kind: 'sew' as const, planned: 4, took: 3 },
      { step: 'c', name: '', kind: 'cut' as const, planned: 2, took: 2 },
    ]
    expect(timesByKind(times)).to.deep.equal({
      sew: { planned: 12, took: 13 },
      cut: { planned: 2, took: 2 },
    })
  })
})
