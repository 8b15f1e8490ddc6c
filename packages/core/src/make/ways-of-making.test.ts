import { expect } from 'chai'
import { extras } from '../extras/registry.js'
import { families } from '../families/registry.js'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { coverFrom, familyFile } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { plan } from '../plan/plan.js'
import { ancestryOf } from './ancestry.js'
import { usualHands } from './hands.js'
import { brokenLaws } from './laws.js'
import { inOrder } from './order.js'
import { assembleSteps, planSteps } from './plan-steps.js'

const quilted: TypedLayer[] = [
  { role: 'lining', name: 'lining', thickness: '0.25 mm' },
  { role: 'padding', name: 'wadding', thickness: '2.3 mm', quilted: true, takeUp: 3 },
  { role: 'outer', name: 'print', thickness: '0.3 mm' },
]
const fused: TypedLayer[] = [
  { role: 'lining', name: 'lining', thickness: '0.25 mm' },
  { role: 'interfacing', name: 'woven', thickness: '0.25 mm' },
  { role: 'outer', name: 'print', thickness: '0.3 mm', shrinkage: 4 },
]

function madeOf(family: string, changes: Partial<CoverFile> = {}) {
  const cover = coverFrom(familyFile(family, changes))
  const planned = plan(cover)
  const steps = assembleSteps(cover, planned, { say: sayPlainly('mm'), hands: usualHands })
  const { isBefore } = ancestryOf(new Map(steps.map(({ id, needs }) => [id, needs])))
  return { planned, steps, isBefore, ids: steps.map(({ id }) => id) }
}

/** What comes after what in any right order. Each step must be there. */
function expectInTurn(made: ReturnType<typeof madeOf>, chain: readonly string[]): void {
  expect(made.ids).to.include.members([...chain])
  chain.slice(1).forEach((then, index) => {
    const first = chain[index] ?? ''
    expect(made.isBefore(first, then), `${first} before ${then}`).to.equal(true)
  })
}

type Way = readonly [what: string, family: string, changes: Partial<CoverFile>, ...chains: string[][]]

/** Step by step; between two that stand beside each other the maker is free. Source: docs/craft.md, Making. */
const ways: readonly Way[] = [
  [
    'a slip-on cover: flaps, sides looked at, sewn, tried, turned, closed',
    'slip-cover',
    { layers: fused, extras: [{ type: 'tie-pair' }, { type: 'tab-snap' }, { type: 'pocket-patch' }] },
    ['wash-1', 'press-cloth', 'straighten-cloth', 'cut-outer', 'fuse-outer', 'hold-ribbon', 'lay-flaps'],
    ['lay-flaps', 'check-sides', 'lay-lining', 'sew-round', 'try-in', 'clip-corners', 'turn-out'],
    ['turn-out', 'press-turned', 'close-opening', 'set-snap', 'finish'],
    ['make-pocket-patch', 'sew-on-pocket-patch', 'lay-lining'],
    ['make-tab-snap', 'hold-tab-snap', 'check-sides'],
  ],
  [
    'faced flaps: their inner edges are sewn, turned and stitched before they are laid',
    'slip-cover',
    { options: { flapStyle: 'faced' } },
    ['cut-flap-outer', 'lay-flaps', 'check-sides', 'sew-round'],
  ],
  [
    'turned flaps: the folds are marked on the thing, ties stitched with the flap opened out',
    'turned-flap-cover',
    { extras: [{ type: 'tie-pair' }, { type: 'handles' }] },
    ['lay-pile', 'check-sides', 'sew-round', 'clip-corners', 'turn-out', 'press-turned', 'mark-folds'],
    ['mark-folds', 'fold-flaps', 'try-in', 'close-flaps', 'finish'],
    ['mark-folds', 'hold-ribbon', 'close-flaps'],
    ['fold-handles', 'hold-handles', 'close-flaps'],
  ],
  [
    'a single cover fitted on the book: line by line, what the fore-edges hold before the second flap is closed',
    'turned-flap-cover',
    {
      layers: [{ role: 'outer', thickness: '0.3 mm' }],
      options: { construction: 'single' },
      extras: [{ type: 'loop-button' }, { type: 'tie-pair' }],
    },
    ['hem-ends', 'fold-first', 'mark-first-top', 'sew-first-top', 'mark-first-bottom', 'sew-first-bottom'],
    ['sew-first-bottom', 'fold-second', 'mark-second-top', 'sew-second-top', 'mark-second-bottom'],
    ['sew-second-bottom', 'check-sides', 'try-in', 'press-edges', 'tack-edges', 'sew-button', 'finish'],
    ['fold-second', 'hold-loop', 'sew-second-top'],
    ['fold-second', 'hold-ribbon', 'sew-second-top'],
  ],
  [
    'a sleeve of patches: joined, quilted, trimmed once',
    'sleeve',
    { layers: quilted.filter(({ role }) => role !== 'lining'), pieced: ['outer'] },
    ['cut-outer', 'patch-outer', 'mark-quilting-outer', 'quilt-outer', 'melt-marks-outer', 'trim-outer'],
  ],
  [
    'a wrap for several: the end tapered, the strap caught, the series tried before it is closed',
    'adjustable-wrap',
    {},
    ['taper-end', 'measure-strap', 'cut-strap', 'make-strap', 'baste-strap', 'lay-pile', 'check-sides'],
    ['check-sides', 'sew-round', 'clip-corners', 'turn-out', 'press-turned', 'try-in', 'close-opening'],
    ['close-opening', 'stitch-fixed-flap', 'finish'],
  ],
  [
    'a glued wrap: spine, front, back, corners before edges, tails, a night under weight',
    'glued-wrap',
    {},
    ['cut-outer', 'trim-turn-in', 'glue-spine', 'glue-front', 'glue-back', 'check-bubbles'],
    ['check-bubbles', 'slits-and-tails', 'glue-corners', 'turn-in-edges', 'tuck-tails', 'under-weight'],
    ['under-weight', 'dry', 'finish'],
  ],
  [
    'a hard case: the spine first, a board at the gap, the other; stitched off the glue; punched last',
    'board-cover',
    {},
    ['laminate', 'glue-spine-board', 'glue-front-board', 'glue-back-board', 'turn-in-corners'],
    ['turn-in-corners', 'turn-in-edges', 'stitch-case', 'glue-spine-lining', 'crease-gaps', 'glue-linings'],
    ['stitch-linings', 'glue-linings', 'punch-spine', 'thread-elastic', 'finish'],
  ],
  [
    'a soft wrap: scored, tacked, laid together, stitched round',
    'soft-wrap',
    {},
    ['cut-stiffener', 'score-stiffener', 'tack-stiffener', 'lay-sandwich', 'check-sides', 'zigzag-round'],
    ['zigzag-round', 'press-wrap', 'finish'],
  ],
  [
    'a sleeve: quilted, trimmed, joined; the loop in before the mouth, the device tried before it is closed',
    'sleeve',
    { layers: quilted, extras: [{ type: 'loop-button' }] },
    ['mark-quilting-outer', 'quilt-outer', 'melt-marks-outer', 'trim-outer', 'join-outers', 'press-seams'],
    ['join-linings', 'press-seams', 'turn-lining', 'drop-lining', 'check-sides', 'sew-mouth', 'try-in'],
    ['try-in', 'press-mouth', 'topstitch-mouth', 'sew-button', 'finish'],
    ['hold-loop', 'sew-mouth'],
  ],
  [
    'a bound sleeve: the binding is measured round the walls, then cut',
    'sleeve',
    { layers: quilted, options: { edge: 'bound' } },
    ['trim-outer', 'measure-binding', 'cut-binding', 'finish'],
  ],
  [
    'a zip pouch: scoop, pocket, zip front and back, pressed, looked at, sewn round, turned',
    'zip-pouch',
    {},
    ['cut-scoop', 'sew-scoop', 'turn-scoop', 'topstitch-scoop', 'baste-pocket', 'sew-zip-front'],
    ['sew-zip-front', 'sew-zip-back', 'press-zip', 'topstitch-zip', 'check-sides', 'lay-pile', 'sew-round'],
    ['sew-round', 'try-in', 'clip-corners', 'turn-out', 'press-turned', 'close-opening', 'finish'],
  ],
  [
    'a case that folds over: pockets on both sides, ties, sewn, turned, tried, closed',
    'fold-case',
    { extras: [{ type: 'tie-pair' }] },
    ['zip-between-strips', 'topstitch-zip-pocket', 'lay-zip-pocket', 'lay-pile'],
    ['make-pocket', 'baste-pocket', 'lay-pile', 'check-sides', 'sew-round', 'clip-corners', 'turn-out'],
    ['turn-out', 'press-turned', 'try-in', 'close-opening', 'finish'],
    ['hold-ribbon', 'check-sides'],
  ],
  [
    'a case with a zip round it: piping, gusset half by half with a look between, lining, turned',
    'zip-around',
    {},
    ['make-piping', 'sew-piping', 'mark-middles', 'sew-gusset-first', 'check-twist', 'sew-gusset-second'],
    ['gusset-to-zip', 'gusset-ends', 'mark-middles'],
    ['round-corners', 'sew-piping'],
    ['sew-gusset-second', 'check-sides', 'sew-flaps', 'sew-lining', 'try-in', 'trim-seam', 'turn-out'],
    ['turn-out', 'tack-zip-end', 'finish'],
    ['hem-lining', 'sew-lining'],
  ],
]

describe('the ways of making, step by step', () => {
  for (const [what, family, changes, ...chains] of ways)
    it(what, () => {
      const made = madeOf(family, changes)
      for (const chain of chains) expectInTurn(made, chain)
    })

  it('are told for every way there is', () => {
    const told = new Set(ways.map(([, family]) => family))
    expect(families.map(({ id }) => id).filter(id => !told.has(id))).to.deep.equal([])
  })

  it('ask before whatever cannot be taken back, in each of them', () => {
    const gates = (family: string) => madeOf(family).steps.flatMap(({ id, gate }) => (gate ? [id] : []))
    expect(gates('slip-cover')).to.include.members(['check-sides', 'try-in'])
    expect(gates('turned-flap-cover')).to.include.members(['check-sides', 'try-in'])
    expect(gates('adjustable-wrap')).to.include.members(['taper-end', 'check-sides', 'try-in'])
    expect(gates('glued-wrap')).to.include.members(['trim-turn-in', 'check-bubbles', 'under-weight'])
    expect(gates('board-cover')).to.include.members(['glue-spine-board', 'crease-gaps', 'punch-spine'])
    expect(gates('sleeve')).to.include.members(['check-sides', 'try-in'])
    expect(gates('zip-pouch')).to.include.members(['cut-scoop', 'check-sides', 'try-in'])
    expect(gates('zip-around')).to.include.members(['round-corners', 'check-twist', 'try-in'])
  })

  it('wait for glue: a night under weight, two hours before a needle, half an hour before a bend', () => {
    const waits = (family: string) =>
      Object.fromEntries(madeOf(family).steps.flatMap(({ id, wait }) => (wait ? [[id, wait]] : [])))
    expect(waits('glued-wrap')).to.include({ 'under-weight': 720 })
    expect(waits('board-cover')).to.include({
      laminate: 720,
      'turn-in-edges': 120,
      'crease-gaps': 30,
      'glue-linings': 720,
    })
    expect(waits('slip-cover')).to.deep.equal({})
  })

  it('go on without a break while glue is open', () => {
    const within = (family: string) => madeOf(family).steps.flatMap(step => (step.within ? [step.id] : []))
    expect(within('glued-wrap')).to.deep.equal(['glue-spine', 'glue-front', 'glue-back'])
    expect(within('board-cover')).to.deep.equal([
      'glue-spine-board',
      'glue-front-board',
      'glue-back-board',
      'glue-spine-lining',
    ])
  })
})

describe('what cannot be cut', () => {
  const stepsOf = (liningMargin: string) => {
    const cover = coverFrom(familyFile('board-cover', { options: { liningMargin } }))
    const planned = plan(cover)
    return planSteps(cover, planned, { say: sayPlainly('mm'), hands: usualHands })
  }

  it('is not made: a piece that comes out at nothing leaves a cover without steps', () => {
    // boards of 150 wide and more, less 2 · 90 of margin
    expect(stepsOf('90 mm')).to.deep.equal({ steps: [], minutes: 0, elapsed: 0, lastCalls: {} })
    expect(stepsOf('5 mm').steps.map(({ id }) => id)).to.include('glue-linings')
  })
})

describe('what is cut from a panel, or measured off it,', () => {
  const shaped: readonly Way[] = [
    ['a scoop', 'sleeve', { extras: [{ type: 'thumb-scoop' }] }, ['trim-outer', 'cut-thumb-scoop']],
    ['a strap', 'slip-cover', { extras: [{ type: 'strap' }] }, ['trim-outer', 'measure-strap', 'cut-strap']],
    [
      'an elastic',
      'slip-cover',
      { extras: [{ type: 'elastic-band' }] },
      ['trim-outer', 'measure-elastic', 'hold-elastic'],
    ],
    ['rounded corners', 'zip-around', {}, ['trim-outer', 'round-corners', 'sew-piping']],
  ]
  for (const [what, family, changes, ...chains] of shaped)
    it(`follows the trimming of a quilted panel: ${what}`, () => {
      const made = madeOf(family, { layers: quilted, ...changes })
      for (const chain of chains) expectInTurn(made, chain)
    })

  it('is a breach of a law where it comes before', () => {
    const { planned, steps } = madeOf('sleeve', { layers: quilted, extras: [{ type: 'thumb-scoop' }] })
    const order = inOrder(steps)
    const scoop = order.find(({ id }) => id === 'cut-thumb-scoop')
    const rest = order.filter(({ id }) => id !== 'cut-thumb-scoop')
    const trim = rest.findIndex(({ id }) => id === 'trim-outer')
    const tooSoon = [...rest.slice(0, trim), ...(scoop ? [scoop] : []), ...rest.slice(trim)]
    expect(brokenLaws(order, planned)).to.deep.equal([])
    expect(brokenLaws(tooSoon, planned).map(({ law }) => law)).to.deep.equal([
      'a piece is trimmed after it is quilted, before it is shaped and dressed',
    ])
  })
})

describe('everything that a cover can carry, at once and quilted,', () => {
  for (const { id, traits } of families)
    it(`keeps every law on ${id}, and each step says what it is done with`, () => {
      const carried = extras.filter(({ refuses }) => refuses(traits) === undefined)
      const { planned, steps, isBefore } = madeOf(id, {
        layers: quilted,
        extras: carried.map(({ type }) => ({ type })),
      })
      expect(brokenLaws(inOrder(steps), planned)).to.deep.equal([])
      const names = new Set([...planned.pieces, ...planned.notions].map(({ id: known }) => known))
      for (const step of steps) {
        expect([...names], step.id).to.include.members([...step.pieces, ...step.notions])
        expect(new Set(step.needs).size, step.id).to.equal(step.needs.length)
        // the last look is the last: nothing is left to do after it, in any right order
        if (step.id !== 'finish') expect(isBefore(step.id, 'finish'), step.id).to.equal(true)
      }
    })
})
