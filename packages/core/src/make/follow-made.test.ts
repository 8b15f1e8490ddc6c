import { expect } from 'chai'
import { families } from '../families/registry.js'
import { coverFile, coverFrom, familyFile, planFrom } from '../file/testing/cover-files.js'
import type { CoverFile } from '../file/cover-schema.js'
import { formatLength } from '../length/format.js'
import { add, inches, mm, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Plan } from '../plan/plan.js'
import { followMade, seamMoves, whatFollows, withMade } from './follow-made.js'
import { plannedSize } from './made-sizes.js'
import { markStep, noProgress, type Progress } from './progress.js'

const at = '2026-11-01T19:00:00.000Z'
const file = coverFile()
const planned = planFrom(file)

const made = (sizes: Readonly<Record<string, string>>, ...done: readonly string[]): Progress =>
  done.reduce<Progress>((now, id) => markStep(now, { id }, { at, state: 'done' }), {
    ...noProgress,
    made: Object.fromEntries(Object.entries(sizes).map(([key, typed]) => [key, { at, typed }])),
  })

const follow = (progress: Progress, from: CoverFile = file): Plan =>
  planFrom(followMade(from, coverFrom(from), planFrom(from), { progress, unit: 'in' }))

const cutOf = ({ pieces }: Plan, piece: string, side: 'width' | 'height'): Length =>
  pieces.find(({ id }) => id === piece)?.[side].cut ?? zero
const easeOf = ({ fits }: Plan, direction: 'width' | 'height'): Length =>
  fits.find(fit => fit.direction === direction)?.ease ?? zero

describe('what follows from a made size', () => {
  it('changes what is not cut yet, and says of what is cut whether it can be trimmed', () => {
    // outer cut 1/8 too low: 10 1/4 instead of 10 3/8; lining and flaps are cut as high as the outer
    const progress = made({ 'piece/outer/height': '10 1/4' }, 'cut-lining')
    const follows = follow(progress)
    expect(cutOf(follows, 'outer', 'height')).to.equal(inches(10.25))
    const changes = whatFollows(planned, follows, { progress, unit: 'in' })
    const stateOf = (piece: string) => changes.find(change => change.piece === piece)?.state
    expect(stateOf('lining')).to.equal('trim')
    expect(stateOf('flap')).to.equal('follows')
    expect(changes.find(({ piece }) => piece === 'flap')?.now.height).to.equal(inches(10.25))
    // the finished height is an eighth less, and so is its ease: 1/4 in as planned
    expect(toMm(subtract(easeOf(planned, 'height'), easeOf(follows, 'height')))).to.be.closeTo(3.175, 1e-9)
  })

  it('says what is too small where it grew', () => {
    const progress = made({ 'piece/outer/width': '16' }, 'cut-lining')
    const changes = whatFollows(planned, follow(progress), { progress, unit: 'in' })
    expect(changes.find(({ piece }) => piece === 'lining')?.state).to.equal('too-small')
  })

  it('leaves the plan alone where nothing was entered, or it was taken back', () => {
    const cover = coverFrom(file)
    const asFollowed = (progress: Progress) => followMade(file, cover, planned, { progress, unit: 'in' })
    expect(asFollowed(noProgress)).to.equal(file)
    expect(asFollowed(made({ 'piece/outer/width': '' }))).to.equal(file)
    expect(withMade(planned, { progress: made({ 'piece/flap/width': '' }), unit: 'in' })).to.equal(planned)
  })

  it('goes by a lining that was cut otherwise only while the outer is not cut', () => {
    const before = follow(made({ 'piece/lining/height': '10 1/4' }, 'cut-lining'))
    expect(cutOf(before, 'outer', 'height')).to.equal(inches(10.25))
    const progress = made({ 'piece/lining/height': '10 1/4' }, 'cut-lining', 'cut-outer')
    const after = follow(progress)
    expect(cutOf(after, 'outer', 'height')).to.equal(inches(10.375))
    // the lining is what it is: it is the one that does not fit any more
    const changes = whatFollows(planned, after, { progress, unit: 'in' })
    expect(changes.find(({ piece }) => piece === 'lining')).to.deep.include({ state: 'too-small' })
  })

  it('goes by the finished size once it is sewn, and leaves what is sewn in it alone', () => {
    // 1/4 in less than planned between its edges: as if the outer had been cut 1/4 in narrower
    const sewn = subtract(plannedSize(planned, { sewn: 'outer', side: 'width' }) ?? zero, inches(0.25))
    const progress = made({ 'sewn/outer/width': formatLength(sewn, 'in') }, 'cut-outer', 'cut-lining')
    const follows = follow(progress)
    expect(toMm(subtract(easeOf(planned, 'width'), easeOf(follows, 'width')))).to.be.closeTo(6.35, 0.2)
    const changes = whatFollows(planned, follows, { progress, unit: 'in' })
    expect(changes.map(({ piece }) => piece)).not.to.include('lining')
  })

  it('comes to the finished size that was read, in every way of making that is turned', () => {
    const turned = families.filter(({ id }) => planFrom(familyFile(id)).allowances)
    expect(turned.map(({ id }) => id)).to.have.members([
      'slip-cover',
      'turned-flap-cover',
      'adjustable-wrap',
      'sleeve',
      'zip-pouch',
      'fold-case',
      'zip-around',
    ])
    for (const { id } of turned) {
      const from = familyFile(id)
      const asPlanned = planFrom(from)
      for (const side of ['width', 'height'] as const) {
        const read = add(plannedSize(asPlanned, { sewn: 'outer', side }) ?? zero, mm(2))
        const progress = made({ [`sewn/outer/${side}`]: `${toMm(read)} mm` })
        const follows = follow(progress, from)
        const got = plannedSize(follows, { sewn: 'outer', side }) ?? zero
        expect(toMm(got), `${id} ${side}`).to.be.closeTo(toMm(read), 0.2)
      }
    }
  })

  it('finds the folds that were set on the book, where the flap came out deeper', () => {
    const from = familyFile('turned-flap-cover')
    const asPlanned = planFrom(from)
    const flap = plannedSize(asPlanned, { piece: 'outer', side: 'flap' }) ?? zero
    const deeper = add(flap, mm(4))
    const follows = follow(made({ 'piece/outer/flap': `${toMm(deeper)} mm` }), from)
    expect(toMm(plannedSize(follows, { piece: 'outer', side: 'flap' }) ?? zero)).to.be.closeTo(
      toMm(deeper),
      0.1,
    )
    // both flaps 4 mm deeper leave 8 mm less between the folds
    expect(toMm(subtract(easeOf(asPlanned, 'width'), easeOf(follows, 'width')))).to.be.closeTo(8, 0.2)
  })

  it('takes a quilted outer down to the mark below what it was trimmed to', () => {
    const from = familyFile('sleeve', {
      grid: '1/8 in',
      options: { quilted: true },
      layers: [
        { role: 'lining', thickness: '0.28 mm' },
        { role: 'padding', thickness: '3 mm', quilted: true, takeUp: 3 },
        { role: 'outer', thickness: '0.28 mm', quilted: true },
      ],
    })
    const { trimTo } = planFrom(from).pieces.find(({ id }) => id === 'outer') ?? {}
    const short = subtract(trimTo?.width ?? zero, inches(3 / 16))
    const follows = follow(made({ 'piece/outer/width': formatLength(short, 'in') }), from)
    // 3/16 short of a mark is 1/4 short of it, on the grid of 1/8
    expect(follows.pieces.find(({ id }) => id === 'outer')?.trimTo?.width).to.equal(
      subtract(trimTo?.width ?? zero, inches(1 / 4)),
    )
    expect(cutOf(follows, 'lining', 'width')).to.equal(subtract(trimTo?.width ?? zero, inches(1 / 4)))
  })

  it('is what the steps say of a binding that was measured, and no change of anything', () => {
    const from = familyFile('sleeve', { options: { edge: 'bound' } })
    const asPlanned = planFrom(from)
    const progress = made({ 'piece/binding/width': '20' })
    const now = withMade(asPlanned, { progress, unit: 'in' })
    expect(cutOf(now, 'binding', 'width')).to.equal(inches(20))
    expect(whatFollows(asPlanned, asPlanned, { progress, unit: 'in' })).to.deep.equal([])
  })
})

describe('the way out of a cover that is sewn too small or too large', () => {
  /** Cut with the height that leaves such an ease. */
  const withEase = (easeMm: number) => {
    const cut = toMm(cutOf(planned, 'outer', 'height')) - toMm(easeOf(planned, 'height')) + easeMm
    return planFrom(coverFile({ sizing: { mode: 'cut', width: '15 3/4', height: `${cut.toFixed(3)} mm` } }))
  }

  it('is to move both seams to the middle of snug, where the allowance has that much', () => {
    // snug is 2 to 8 mm, its middle 5: from -1 that is 6, and 3 at each seam; 6.35 of seam less 3 leave 3.35
    const [near] = seamMoves(withEase(-1))
    expect(near?.direction).to.equal('height')
    expect(toMm(near?.each ?? zero)).to.be.closeTo(3, 0.01)
    expect(near?.reaches).to.equal(true)
    // from -2 it is 3.5
    expect(seamMoves(withEase(-2))[0]?.reaches).to.equal(false)
  })

  it('takes in what is baggy, and touches nothing that fits', () => {
    // (5 - 40) / 2
    expect(toMm(seamMoves(withEase(40))[0]?.each ?? zero)).to.be.closeTo(-17.5, 0.01)
    expect(seamMoves(planned)).to.deep.equal([])
    expect(seamMoves(planFrom(familyFile('glued-wrap')))).to.deep.equal([])
  })
})
