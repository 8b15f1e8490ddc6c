import { expect } from 'chai'
import { families } from '../families/registry.js'
import { roleOfLayer } from '../families/joining.js'
import { familyFile, planFrom } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { add, longest, mm, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Plan } from '../plan/plan.js'
import type { Drawing, Mark, PathMark, Point } from './drawing.js'
import { drawEndOn } from './end-on-drawing.js'
import { drawJoining, hasSides } from './joining-drawing.js'
import { drawStrip } from './strip-drawing.js'
import { turnOver } from './turn-over.js'

const say = sayPlainly('mm')
const plans = families.map(({ id }) => [
  id,
  planFrom(
    familyFile(id, {
      layers: [
        { role: 'lining', thickness: '0.25 mm' },
        { role: 'padding', thickness: '2 mm' },
        { role: 'outer', thickness: '0.5 mm' },
      ],
      extras: [{ type: 'patch' }, { type: 'magnets' }],
    }),
  ),
]) as readonly (readonly [string, Plan])[]

function pointsOf(mark: Mark): readonly Point[] {
  if (mark.kind === 'line') return [mark.from, mark.to]
  if (mark.kind === 'text') return [mark.at]
  return [mark.start, ...mark.steps.map(step => step.to)]
}

function expectInFrame({ from, width, height, marks }: Drawing): void {
  const [right, bottom] = [add(from[0], width), add(from[1], height)]
  for (const [x, y] of marks.flatMap(pointsOf)) {
    expect(Number.isFinite(x) && Number.isFinite(y)).to.equal(true)
    expect(toMm(x)).to.be.within(toMm(from[0]), toMm(right))
    expect(toMm(y)).to.be.within(toMm(from[1]), toMm(bottom))
  }
}

function pathsOf({ marks }: Drawing, style: PathMark['style']): readonly PathMark[] {
  return marks.filter((mark): mark is PathMark => mark.kind === 'path' && mark.style === style)
}

describe('the end-on picture', () => {
  const wordsOf = (readings: Readonly<Record<string, string[]>>) => {
    const { section } = planFrom(
      familyFile('slip-cover', {
        object: { kind: 'softcover', readings },
        layers: [
          { role: 'padding', name: 'batting', thickness: '2.3 mm', squash: 0.35 },
          { role: 'outer', name: 'cotton', thickness: '0.28 mm' },
        ],
      }),
    )
    const words = drawEndOn(section, say).marks.flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))
    return { section, words }
  }

  it('does not draw a book flat whose thickness nobody can know, and does not say one', () => {
    const { section, words } = wordsOf({ height: ['240'], openWidth: ['340'] })
    expect(section.thickness).to.be.above(0)
    expect(words).to.include('thickness not measured')
    expect(words).not.to.include('0 mm')
  })

  it('says the thickness that was read, or that the wrap leaves', () => {
    expect(wordsOf({ height: ['240'], width: ['160'], thickness: ['20'] }).words).to.include('20 mm')
    // 340 − 2·160
    expect(wordsOf({ height: ['240'], width: ['160'], openWidth: ['340'] }).words).to.include('20 mm')
  })

  it('says that padding is measured pressed, and cloth as it is', () => {
    const { words } = wordsOf({ height: ['240'], width: ['160'], thickness: ['20'] })
    // 2.3·(1 − 0.35/2) = 1.9
    expect(words).to.include('batting, 1.9\u00a0mm pressed')
    expect(words).to.include('cotton, 0.28\u00a0mm')
  })

  it('goes on in the next line with a long name, and no line lies over another', () => {
    const { section } = planFrom(
      familyFile('slip-cover', {
        layers: [
          { role: 'lining', name: 'Plain cotton', thickness: '0.25 mm' },
          { role: 'padding', name: 'Thin foam stabiliser of the market', thickness: '3 mm', squash: 0.3 },
          { role: 'outer', name: 'Spruce-green cotton', thickness: '0.3 mm' },
        ],
      }),
    )
    const labels = drawEndOn(section, say).marks.flatMap(mark =>
      mark.kind === 'text' && mark.size === 'small' && mark.text !== '20 mm' && mark.align === 'start'
        ? [mark]
        : [],
    )
    const lines = labels.map(({ text: said }) => said).filter(said => !said.startsWith('the layers'))
    expect(lines).to.deep.equal([
      'Spruce-green cotton, 0.3\u00a0mm',
      'Thin foam stabiliser of the',
      'market, 2.55\u00a0mm pressed',
      'Plain cotton, 0.25\u00a0mm',
    ])
    const tops = labels.map(({ at: [, y] }) => toMm(y))
    const gaps = tops.slice(1).map((y, index) => y - (tops[index] ?? 0))
    expect(Math.min(...gaps)).to.be.at.least(5)
  })
})

for (const [id, plan] of plans)
  describe(`the pictures of a ${id}`, () => {
    it('keep inside their frames: outside and inside, closed and open, each joining', () => {
      expectInFrame(drawStrip(plan.strip, say))
      expectInFrame(drawStrip(plan.strip, say, { face: 'inside' }))
      expectInFrame(drawStrip(plan.strip, say, { plain: true }))
      expectInFrame(drawEndOn(plan.section, say))
      expectInFrame(drawEndOn(plan.section, say, { state: 'open' }))
      for (const joining of plan.joinings) expectInFrame(drawJoining(joining, plan.pieces))
    })

    it('marks its top clear of every edge that is cut', () => {
      const { marks, width, height } = drawStrip(plan.strip, say)
      const top = marks.find(mark => mark.kind === 'text' && mark.text === 'top')
      const [, y] = top?.kind === 'text' ? top.at : expect.fail('No word for the top')
      const highest = Math.min(
        0,
        ...pathsOf({ marks } as Drawing, 'cut')
          .flatMap(pointsOf)
          .map(([, at]) => at),
      )
      // a letter is half of two hundredths of the picture high, and a grip on the edge is as thick
      expect(toMm(y)).to.be.below(toMm(highest as Length) - 0.02 * toMm(longest(width, height)))
    })

    it('show every fold, seam and zip of the strip', () => {
      const drawn = drawStrip(plan.strip, say).marks.filter(({ kind }) => kind === 'line')
      for (const { kind, face } of plan.strip.lines.filter(line => line.face !== 'inside'))
        expect(
          drawn.some(mark => mark.kind === 'line' && mark.style === kind),
          `${kind} ${face ?? ''}`,
        ).to.equal(true)
      expect(pathsOf(drawStrip(plan.strip, say), 'hole')).to.have.length(plan.strip.holes.length)
    })

    it('show as much of the body from inside as from outside', () => {
      const inside = turnOver(plan.strip)
      const widths = (panels: Plan['strip']['panels']) =>
        panels.filter(({ kind }) => kind !== 'flap').map(({ width }) => width)
      expect(widths(inside.panels)).to.deep.equal(widths(plan.strip.panels).toReversed())
      for (const { at, width } of inside.shapes.filter(({ piece }) => piece === 'flap')) {
        expect(at[0]).to.be.at.least(zero)
        expect(at[0] + width).to.be.at.most(add(...inside.panels.map(panel => panel.width)))
      }
    })

    it('say of each joining which side looks up and where one looks from', () => {
      for (const joining of plan.joinings) {
        const drawing = drawJoining(joining, plan.pieces)
        expect(drawing.title).to.contain(joining.seenFrom)
        const words = drawing.marks.flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))
        const said = words.join(' ')
        for (const layer of joining.layers) {
          const sided = hasSides(roleOfLayer(layer, plan.pieces))
          expect(said).to.include(sided ? `${layer.name}, ${layer.face}` : layer.name)
        }
        expect(said.endsWith('table')).to.equal(true)
      }
    })
  })

describe('a strip turned over', () => {
  const plan = planFrom(
    familyFile('slip-cover', {
      extras: [{ type: 'pocket-patch', on: 'flap', width: '60 mm', height: '50 mm', x: '5 mm', y: '10 mm' }],
    }),
  )

  it('shows a pocket on the flap where the flap folds in', () => {
    const [flap] = plan.strip.shapes
    if (!flap) throw new Error('No pocket on the strip')
    const inside = turnOver(plan.strip)
    const pocket = inside.shapes.find(({ name }) => name === 'Patch pocket')
    // opened out the flap lies right of its seam, and 5 from that is 5 from its left edge; folded in and seen from inside,
    // the seam is the fore-edge at the left, and its left edge still
    const fold = plan.strip.panels.slice(0, -1).reduce((sum, { width }) => add(sum, width), zero)
    expect(toMm(subtract(flap.at[0], fold))).to.equal(5)
    expect(pocket && toMm(pocket.at[0])).to.equal(5)
    expect(pocket?.width).to.equal(mm(60))
  })

  it('comes back to itself where nothing folds in', () => {
    const { strip } = planFrom(familyFile('glued-wrap'))
    const there = turnOver(strip)
    const back = turnOver({ ...there, cutPieces: strip.cutPieces })
    expect(back.panels).to.deep.equal(strip.panels)
    const folds = (lines: typeof strip.lines) => lines.filter(({ kind }) => kind === 'fold')
    expect(folds(back.lines)).to.deep.equal(folds(strip.lines))
  })
})

describe('a joining for left-handed work', () => {
  it('is the mirror of the right-handed one', () => {
    const [, plan] = plans[0] ?? []
    const joining = plan?.joinings[0]
    if (!plan || !joining) throw new Error('No joining')
    const [right, left] = [false, true].map(
      mirrored => pathsOf(drawJoining(joining, plan.pieces, { mirrored }), 'edge')[0],
    )
    if (!right || !left) throw new Error('No sheet')
    // 62 wide and leaning by 16: x and 78 − x
    const sum = (one: Length, other: Length) => toMm(add(one, other))
    expect(sum(right.start[0], left.start[0])).to.equal(78)
    expect(right.start[1]).to.equal(left.start[1])
  })
})
