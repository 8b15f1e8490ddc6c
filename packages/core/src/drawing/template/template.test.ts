import { expect } from 'chai'
import { families } from '../../families/registry.js'
import { coverFile, familyFile, planFrom } from '../../file/testing/cover-files.js'
import { sayPlainly } from '../../finding/say.js'
import { toMm, zero } from '../../length/length.js'
import type { Plan } from '../../plan/plan.js'
import type { Mark, PathMark, PathStep } from '../drawing.js'
import { drawAids } from './aids.js'
import { drawPlaces } from './places.js'
import { drawTemplates, type Template } from './template.js'

const naming = { nameOf: (id: string) => id, say: sayPlainly('mm'), unit: 'mm' } as const
const templatesOf = (plan: Plan) => drawTemplates(plan, naming)
const templateOf = (plan: Plan, id: string): Template => {
  const template = templatesOf(plan).find(({ piece }) => piece.id === id)
  if (!template) throw new Error(`No template of ${id}`)
  return template
}
const pathsOf = ({ drawing }: Template, style: Mark extends { style: infer S } ? S : string) =>
  drawing.marks.filter((mark): mark is PathMark => mark.kind === 'path' && mark.style === style)
const roundsOf = ({ steps }: PathMark): readonly (PathStep & { radius: number })[] =>
  steps.filter((step): step is PathStep & { radius: never } => 'radius' in step)

describe('a template', () => {
  it('is as large as the piece is cut, its seam inside by the allowance', () => {
    const planned = planFrom(coverFile())
    const outer = templateOf(planned, 'outer')
    expect([outer.drawing.width, outer.drawing.height].map(toMm)).to.deep.equal([400.05, 263.525])
    const [seam] = pathsOf(outer, 'seam')
    expect(seam?.start.map(toMm)).to.deep.equal([6.35, 6.35])
    // 400.05 − 2 · 6.35
    expect(toMm(seam?.steps[0]?.to[0] ?? zero) - 6.35).to.be.closeTo(387.35, 1e-9)
  })

  it('has the folds of the spine where the strip has them, half of what is left outside each', () => {
    const planned = planFrom(coverFile())
    const { drawing, piece } = templateOf(planned, 'outer')
    const folds = drawing.marks.flatMap(mark =>
      mark.kind === 'line' && mark.style === 'fold' ? [toMm(mark.from[0])] : [],
    )
    const spine = planned.strip.panels.find(({ kind }) => kind === 'spine')
    expect(folds).to.have.length(2)
    const [first = 0, second = 0] = folds
    expect(second - first).to.be.closeTo(toMm(spine?.width ?? zero), 0.01)
    // the spine is in the middle of the cloth
    expect(first + second).to.be.closeTo(toMm(piece.width.cut), 0.05)
  })

  it('rounds the corners that are rounded: the radius and the seam', () => {
    const planned = planFrom(familyFile('zip-around', { options: { cornerRadius: '25 mm' } }))
    const outer = templateOf(planned, 'outer')
    const seam = toMm(planned.settled.seam)
    const radii = (style: string) =>
      pathsOf(outer, style)
        .flatMap(roundsOf)
        .map(({ radius }) => toMm(radius as never))
    expect(radii('cut')).to.deep.equal([25, 25, 25, 25].map(radius => radius + seam))
    expect(radii('seam')).to.deep.equal([25, 25, 25, 25])
  })

  it('cuts off the corners of a free end as far outside as its edges stand', () => {
    const planned = planFrom(
      familyFile('adjustable-wrap', { options: { taperAlong: '60 mm', taperAcross: '40 mm' } }),
    )
    const { drawing, piece } = templateOf(planned, 'outer')
    const [cut] = pathsOf(templateOf(planned, 'outer'), 'cut')
    const [first, second] = cut?.steps ?? []
    // out by seam and turned edge, 6 + 0.5: 60 + 6.5 · (1 + 60/40 − √(60² + 40²)/40) = 60 + 6.5 · 0.69722 = 64.532
    expect(toMm(drawing.width) - toMm(first?.to[0] ?? zero)).to.be.closeTo(64.532, 0.01)
    // 40 + 6.5 · (1 + 40/60 − √5200/60) = 40 + 6.5 · 0.46482 = 43.021
    expect(toMm(second?.to[1] ?? zero)).to.be.closeTo(43.021, 0.01)
    expect(second?.to[0]).to.equal(piece.width.cut)
  })

  it('has left and right exchanged where it lies behind the outer: each is cut right side up', () => {
    const planned = planFrom(
      familyFile('adjustable-wrap', { options: { taperAlong: '60 mm', taperAcross: '40 mm' } }),
    )
    const [outer, lining] = ['outer', 'lining'].map(id => pathsOf(templateOf(planned, id), 'cut')[0])
    // the outer’s free end is on the right, the lining’s on the left: as far in from there
    const width = templateOf(planned, 'outer').drawing.width
    expect(outer?.start).to.deep.equal([zero, zero])
    expect(toMm(lining?.steps[0]?.to[0] ?? zero)).to.be.closeTo(64.532, 0.01)
    const folds = (id: string) =>
      templateOf(planned, id)
        .drawing.marks.flatMap(mark => (mark.kind === 'line' && mark.style === 'fold' ? [mark.from[0]] : []))
        .toSorted((one, other) => one - other)
    expect(folds('lining')).to.deep.equal(
      folds('outer')
        .map(x => width - x)
        .toReversed(),
    )
  })

  it('dips in the mouth of a scooped pocket, the seam all along', () => {
    const planned = planFrom(
      familyFile('zip-pouch', { options: { pocket: true, scoopWidth: '100 mm', scoopDepth: '50 mm' } }),
    )
    for (const id of ['pocket-outer', 'pocket-lining']) {
      const template = templateOf(planned, id)
      const [cut] = pathsOf(template, 'cut')
      const arcs = cut ? roundsOf(cut) : []
      // half circle of 50 mm, cut one seam of 6 mm inside: 44; on the cut edge √(44² − 6²) = 43.589
      expect(arcs).to.have.length(2)
      const [first] = cut?.steps ?? []
      const middle = toMm(template.drawing.width) / 2
      expect(middle - toMm(first?.to[0] ?? zero)).to.be.closeTo(43.589, 0.01)
      expect(toMm(arcs[0]?.to[1] ?? zero)).to.equal(50)
      expect(template.isPlain).to.equal(false)
    }
  })

  it('says its name before any other word: pieces that are cut alike share one', () => {
    const { drawing } = templateOf(planFrom(familyFile('slip-cover')), 'outer')
    const [first] = drawing.marks.filter(({ kind }) => kind === 'text')
    expect(first?.kind === 'text' && first.text).to.equal('outer, cut 1')
  })

  it('is plain where two numbers say it all', () => {
    const planned = planFrom(familyFile('zip-around'))
    expect(templateOf(planned, 'outer').isPlain).to.equal(false)
    expect(templateOf(planned, 'gusset').isPlain).to.equal(true)
    expect(templateOf(planFrom(coverFile()), 'flap').isPlain).to.equal(true)
  })

  it('rounds the outer corners of flaps that lie in rounded corners: all four where they are folded double', () => {
    const radiiOf = (flapStyle: string, id: string) => {
      const planned = planFrom(
        familyFile('zip-around', { options: { cornerRadius: '25 mm', flapStyle }, seam: '6 mm' }),
      )
      const template = templateOf(planned, id)
      expect(template.isPlain).to.equal(false)
      return pathsOf(template, 'cut').flatMap(path =>
        roundsOf(path).map(({ radius, to }) => [toMm(radius as never), to[0] < template.drawing.width / 2]),
      )
    }
    // 25 and the seam of 6; right and left, clockwise from the top left
    expect(radiiOf('folded', 'flap')).to.deep.equal([
      [31, true],
      [31, false],
      [31, false],
      [31, true],
    ])
    expect(radiiOf('faced', 'flap-outer')).to.deep.equal([
      [31, true],
      [31, true],
    ])
  })

  it('shows how a strap is folded to a point, in its own width', () => {
    const planned = planFrom(
      familyFile('slip-cover', { extras: [{ type: 'strap', width: '50 mm', length: '160 mm' }] }),
    )
    const { drawing, isPlain } = templateOf(planned, 'strap')
    const creases = drawing.marks.flatMap(mark =>
      mark.kind === 'line' && (mark.style === 'fold' || mark.style === 'stitch')
        ? [[...mark.from, ...mark.to].map(toMm)]
        : [],
    )
    expect(isPlain).to.equal(false)
    // cut 160 × 100: the corners from 160 − 50 to the middle, the edges at 100/4 and 3·100/4, the stitching at 50
    expect(creases).to.deep.equal([
      [110, 0, 160, 50],
      [110, 100, 160, 50],
      [0, 25, 160, 25],
      [0, 75, 160, 75],
      [0, 50, 160, 50],
    ])
  })

  it('shows what is cut oversize where it is trimmed to', () => {
    const planned = planFrom(familyFile('sleeve', { options: { quilted: true } }))
    const outer = templateOf(planned, 'outer')
    const { trimTo, width } = outer.piece
    const [trim] = pathsOf(outer, 'hidden')
    expect(toMm(trim?.steps[0]?.to[0] ?? zero) - toMm(trim?.start[0] ?? zero)).to.be.closeTo(
      toMm(trimTo?.width ?? zero),
      0.01,
    )
    expect(toMm(trim?.start[0] ?? zero) * 2 + toMm(trimTo?.width ?? zero)).to.be.closeTo(
      toMm(width.cut),
      0.01,
    )
  })

  it('stays within its piece, whatever the way of making', () => {
    for (const { id } of families)
      for (const { drawing, piece } of templatesOf(planFrom(familyFile(id)))) {
        const places = drawing.marks.flatMap(mark =>
          mark.kind === 'line'
            ? [mark.from, mark.to]
            : mark.kind === 'path'
              ? [mark.start, ...mark.steps.map(({ to }) => to)]
              : [mark.at],
        )
        for (const [x, y] of places) {
          expect(x, `${id} ${piece.id}`).to.be.within(0, piece.width.cut)
          expect(y, `${id} ${piece.id}`).to.be.within(0, piece.height.cut)
        }
      }
  })
})

describe('what is printed beside the pieces', () => {
  const aidsOf = (plan: Plan) => drawAids(plan, naming)

  it('is the spine with its holes to punch by, and a strip as wide as the gap', () => {
    const planned = planFrom(familyFile('board-cover'))
    const [punching, gap] = aidsOf(planned)
    const holes = punching?.marks.filter(mark => mark.kind === 'path' && mark.style === 'hole') ?? []
    expect(holes).to.have.length(planned.strip.holes.length).and.not.have.length(0)
    const panel = planned.strip.panels.find(({ kind }) => kind === 'gap')
    const [outline] = gap?.marks ?? []
    expect(outline?.kind === 'path' && outline.steps[0]?.to[0]).to.equal(panel?.width)
    expect(gap?.height).to.equal(planned.strip.height)
  })

  it('is the edge of each board where a tie goes through a hole, as far in again as the hole is', () => {
    const planned = planFrom(familyFile('slip-cover', { extras: [{ type: 'hole-tie' }] }))
    const aids = aidsOf(planned)
    expect(aids.map(({ title }) => title)).to.deep.equal([
      'punching template, back',
      'punching template, front',
    ])
    for (const { marks, height } of aids) {
      const [outline, hole] = marks.filter((mark): mark is PathMark => mark.kind === 'path')
      // 12 mm in from the fore-edge, 24 as far in again, yet an inch is easier to hold
      expect(toMm(outline?.steps[0]?.to[0] ?? zero)).to.equal(25)
      const [left, right] = [hole?.start[0] ?? zero, hole?.steps[0]?.to[0] ?? zero].toSorted((a, b) => a - b)
      const middle = (toMm(left ?? zero) + toMm(right ?? zero)) / 2
      expect(Math.min(middle, 25 - middle)).to.be.closeTo(12, 0.01)
      expect(toMm(hole?.start[1] ?? zero)).to.be.closeTo(toMm(height) / 2, 3)
    }
  })

  it('is nothing where there are neither holes nor gaps', () => {
    expect(aidsOf(planFrom(familyFile('sleeve')))).to.deep.equal([])
  })

  it('marks where a button sits, and cuts no hole for it', () => {
    const planned = planFrom(familyFile('sleeve', { extras: [{ type: 'loop-button' }] }))
    const { at, width, height } = planned.strip.cutPieces.at(-1) ?? {
      at: [zero, zero],
      width: zero,
      height: zero,
    }
    const places = drawPlaces(planned.strip, { area: { piece: 'outer', at, width, height }, isBehind: false })
    // a cross of two lines
    expect(places.map(mark => mark.kind !== 'text' && mark.style)).to.deep.equal(['hint', 'hint'])
  })
})
