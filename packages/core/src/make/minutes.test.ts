import { expect } from 'chai'
import type { CoverFile } from '../file/cover-schema.js'
import { coverFile, coverFrom, familyFile, pieceOf, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { mm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { usualHands, type Hands } from './hands.js'
import { cuttingMinutes, fusingMinutes } from './minutes.js'
import { setUpsOf, totalMinutes } from './order.js'
import { planSteps } from './plan-steps.js'
import { stitchFor } from './stitch.js'

const making = (file = coverFile(), hands: Partial<Hands> = {}) => {
  const cover = coverFrom(file)
  return planSteps(cover, plan(cover), { say: sayPlainly(cover.unit), hands: { ...usualHands, ...hands } })
}
const stepIn = (steps: ReturnType<typeof making>['steps'], id: string) => {
  const step = steps.find(known => known.id === id)
  if (!step) throw new Error(`No step ${id} among ${steps.map(({ id: known }) => known).join(', ')}`)
  return step
}

describe('the minutes of a step', () => {
  const { steps } = making()

  it('follow from the edges that are cut, each piece with its label', () => {
    // 15 3/4 × 10 3/8 in: 2 · (400.05 + 263.525) = 1327.15 mm; 0.5 + 0.15 · 13.2715 + 0.3 = 2.79
    expect(stepIn(steps, 'cut-outer').minutes).to.equal(2.79)
    // two flaps of 6 1/2 × 10 3/8 in: 2 · (165.1 + 263.525) = 857.25; 2 · (0.5 + 1.285875 + 0.3) = 4.17
    expect(stepIn(steps, 'cut-flap').minutes).to.equal(4.17)
  })

  it('follow from the seam that is sewn: its opening is not', () => {
    // 1327.15 − 4 in (101.6) = 1225.55; 0.5 + 0.4 · 12.2555 + 4 corners · 0.3 = 6.60
    expect(stepIn(steps, 'sew-round').minutes).to.equal(6.6)
  })

  it('take board up to 2 mm half as long again, thicker board three times as long', () => {
    const board = pieceOf(planFrom(familyFile('board-cover')), 'board')
    const edge = (2 * (board.width.cut + board.height.cut)) / 320
    const one = 0.5 + (0.15 * edge) / 100
    expect(cuttingMinutes(board, mm(2))).to.be.closeTo(4 * (1.5 * one + 0.3), 1e-9)
    expect(cuttingMinutes(board, mm(2.4))).to.be.closeTo(4 * (3 * one + 0.3), 1e-9)
  })

  it('count the places on which the iron stands', () => {
    // 400.05 × 263.525 mm = 105,423 mm²; by 22,500 that are 5 places: 5 · 0.25
    expect(fusingMinutes(pieceOf(planFrom(coverFile()), 'outer'))).to.equal(1.25)
  })

  it('are half as many again for a beginner, waits not', () => {
    const slow = making(coverFile(), { beginner: true })
    expect(stepIn(slow.steps, 'sew-round').minutes).to.be.closeTo(1.5 * 6.6022, 0.01)
    const glued = familyFile('glued-wrap')
    const wait = (hands: Partial<Hands>) => stepIn(making(glued, hands).steps, 'under-weight').wait
    expect(wait({ beginner: true })).to.equal(wait({}))
  })
})

describe('measuring once more', () => {
  it('holds the leaves of a book, and leaves on a device what stays on it', () => {
    const words = (file: CoverFile) => stepIn(making(file).steps, 'measure-thing').does
    expect(words(coverFile())).to.include('The leaf block upright')
    const readings = { height: ['170 mm'], width: ['120 mm'], thickness: ['9 mm'] }
    const reader = words(familyFile('sleeve', { object: { kind: 'tablet', readings } }))
    expect(reader).to.include('height 170 mm').and.to.include('whatever stays on it')
    expect(reader).to.not.include('leaf')
  })
})

describe('washing', () => {
  const cloth = (changes: object) =>
    making(coverFile({ layers: [{ role: 'outer', name: 'Moss linen', thickness: '0.45 mm', ...changes }] }))
      .steps

  it('is said with what the cloth shrinks by, and waited for', () => {
    const wash = stepIn(cloth({ shrinkage: 5 }), 'wash-1')
    expect(wash.does).to.include('it shrinks by 5 %')
    expect(wash.wait).to.equal(180)
  })

  it('is none where the cloth is washed already, or does not shrink', () => {
    for (const changes of [{ shrinkage: 5, washed: true }, {}])
      expect(cloth(changes).filter(({ kind }) => kind === 'wash')).to.deep.equal([])
  })
})

describe('set-up', () => {
  const at = (...places: ('iron' | 'machine' | 'table' | 'glue')[]) =>
    places.map(place => ({ place, minutes: 10, ...(place === 'glue' && { wait: 30 }) }))

  it('is paid by the first work at a place, a minute on coming back, nothing where one stays', () => {
    expect(setUpsOf(at('iron', 'machine', 'machine', 'iron', 'table'))).to.deep.equal([1, 4, 0, 1, 1])
  })

  it('counts in the sum, and waits in what it takes one after the other', () => {
    // 3 · 10 + 4 + 1 + 1 (back at the glue: 4, iron 1, back 1)
    expect(totalMinutes(at('glue', 'iron', 'glue'))).to.deep.equal({ minutes: 36, elapsed: 96 })
    expect(totalMinutes([])).to.deep.equal({ minutes: 0, elapsed: 0 })
  })

  it('adds up in every cover', () => {
    const { steps, minutes, elapsed } = making(familyFile('board-cover'))
    const sum = (list: readonly number[]) => list.reduce((total, next) => total + next, 0)
    const active = sum(steps.map(step => step.minutes)) + sum(setUpsOf(steps))
    expect(minutes).to.be.closeTo(active, 0.006)
    expect(elapsed).to.be.closeTo(active + sum(steps.map(({ wait = 0 }) => wait)), 0.006)
  })
})

describe('the stitch', () => {
  const of = (thickness: number) => stitchFor([{ thickness: mm(1) }, { thickness: mm(thickness) }])

  it('follows the thickest seam', () => {
    expect(of(1.9)).to.include({ length: '2.5 mm', needle: '80/12' })
    expect(of(2)).to.include({ length: '3 mm', needle: '90/14' })
    expect(of(4.1)).to.include({ length: '3.5 mm', needle: '100/16' })
    expect(of(6.5)).to.include({ length: '4 mm', needle: '100/16' })
  })

  it('is not said where nothing is sewn', () => {
    expect(making(familyFile('glued-wrap')).stitch).to.equal(undefined)
    expect(making().stitch).not.to.equal(undefined)
  })
})

describe('what is at hand', () => {
  it('changes sewing to hand sewing where there is no machine', () => {
    const { steps } = making(coverFile(), { machine: false })
    expect(steps.filter(({ place }) => place === 'machine')).to.deep.equal([])
    // 1225.55 mm by hand: 1 + 4 · 12.2555
    expect(stepIn(steps, 'sew-round')).to.include({ kind: 'hand-sew', place: 'hand', minutes: 50.02 })
    expect(stepIn(steps, 'sew-round').does).to.include('backstitch')
  })

  it('changes pressing and fusing where there is no iron', () => {
    const file = coverFile({
      layers: [
        { role: 'lining', thickness: '0.28 mm' },
        { role: 'interfacing', thickness: '0.25 mm' },
        { role: 'outer', thickness: '0.28 mm' },
      ],
    })
    const { steps } = making(file, { iron: false })
    expect(steps.filter(({ place, tools }) => place === 'iron' || tools.includes('iron'))).to.deep.equal([])
    expect(stepIn(steps, 'fuse-outer')).to.include({ kind: 'baste', place: 'hand' })
    expect(stepIn(making(file).steps, 'fuse-outer')).to.include({ kind: 'fuse', place: 'iron', wait: 5 })
  })

  it('says what to do without a foot', () => {
    const quilted = familyFile('sleeve', {
      layers: [
        { role: 'lining', thickness: '0.28 mm' },
        { role: 'padding', thickness: '3 mm', quilted: true },
        { role: 'outer', thickness: '0.28 mm' },
      ],
    })
    const { tools, does } = stepIn(making(quilted, { evenFeedFoot: false }).steps, 'quilt-outer')
    expect(tools).not.to.include('even-feed foot')
    expect(does).to.include('Without an even-feed foot')
    expect(stepIn(making(quilted).steps, 'quilt-outer').tools).to.include('even-feed foot')
  })

  it('offers the schools in which makers differ', () => {
    const file = coverFile({
      layers: [
        { role: 'interfacing', thickness: '0.25 mm' },
        { role: 'outer', thickness: '0.28 mm' },
      ],
    })
    const ids = (hands: Partial<Hands>) => making(file, hands).steps.map(({ id }) => id)
    expect(ids({ fuse: 'after' })).to.include.members(['lay-interfacing-outer', 'fuse-outer-after'])
    expect(ids({})).not.to.include('fuse-outer-after')
    const close = (how: 'machine' | 'hand') =>
      stepIn(making(coverFile(), { close: how }).steps, 'close-opening')
    expect(close('hand')).to.include({ kind: 'hand-sew', place: 'hand' })
    // an opening of 4 in: 1 + 4 · 1.016
    expect(close('hand').minutes).to.equal(5.06)
    expect(close('machine')).to.include({ kind: 'topstitch', place: 'machine' })
    const ties = coverFile({ extras: [{ type: 'tie-pair' }] })
    const held = (hold: 'baste' | 'clip') => stepIn(making(ties, { hold }).steps, 'hold-ribbon')
    expect(held('clip').place).to.equal('table')
    expect(held('baste').place).to.equal('machine')
  })
})
