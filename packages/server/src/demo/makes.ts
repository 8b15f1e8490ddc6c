import {
  beginLog,
  formatLength,
  mm,
  noProgress,
  plan,
  planSteps,
  readCover,
  sayPlainly,
  simulate,
  usualHands,
  type CoverFile,
  type MakeBody,
  type MakeLog,
  type StepKind,
} from '@snowdrift/core'

/** One make of the past: of which demo cover it was, and how it came out. Millimetres. */
interface PastMake {
  readonly of: string
  /** As it was called then; absent for the cover that stands on the shelf. */
  readonly name?: string
  readonly finished: string
  /** How much wider than meant the seams came out, across and in height; and how much larger it was cut. */
  readonly seams: readonly [number, number]
  readonly cut: readonly [number, number]
  readonly wentOn: MakeLog['wentOn']
  /** The maker's pace that day. */
  readonly pace: number
  readonly regrets?: MakeLog['regrets']
  readonly mended?: readonly string[]
  readonly more?: Partial<MakeLog>
}

const ledger = 'Hut ledger, with ties'
const notebook = 'Snow-profile notebook, by recipe'
const atlas = 'Star atlas, padded'
const sleeve = 'E-reader sleeve, quilted'
const tight = 'Handbook cover, too tight'
const prints = 'Snow profiles, three prints'

const snug = { width: 'snug', height: 'snug' } as const
const drum = { width: 'drum-tight', height: 'snug' } as const

/** Fourteen makes of two winters at the field station: seams a little wide, sewing slow, cutting true. */
const pastMakes: readonly PastMake[] = [
  {
    of: prints,
    name: 'Snow profiles, winter before last',
    finished: '2025-01-18',
    seams: [0.9, 0.7],
    cut: [0.2, -0.3],
    wentOn: drum,
    pace: 1.5,
  },
  {
    of: ledger,
    name: 'Hut ledger, volume 7',
    finished: '2025-02-22',
    seams: [0.8, 0.4],
    cut: [-0.4, 0.1],
    wentOn: drum,
    pace: 1.45,
    mended: ['inspect-sides'],
  },
  {
    of: atlas,
    name: 'Moon atlas',
    finished: '2025-03-15',
    seams: [0.3, 0.6],
    cut: [0.5, 0.2],
    wentOn: snug,
    pace: 1.38,
    regrets: [{ piece: 'padding', what: 'the padding bunched at the corners: taper it' }],
  },
  {
    of: tight,
    name: 'Handbook of the spring course',
    finished: '2025-04-12',
    seams: [0.7, 0.9],
    cut: [-0.6, -0.2],
    wentOn: { width: 'will-not-go', height: 'drum-tight' },
    pace: 1.36,
    regrets: [{ piece: '', what: 'cut it by what the fit says, not by feeling' }],
  },
  {
    of: sleeve,
    name: 'Sleeve for the old reader',
    finished: '2025-06-07',
    seams: [0.5, 0.2],
    cut: [0.1, 0.4],
    wentOn: snug,
    pace: 1.41,
    regrets: [{ piece: '', what: 'the loop was short for the button: make it longer' }],
  },
  {
    of: notebook,
    name: 'Notebook for the summer grid',
    finished: '2025-07-20',
    seams: [0.6, 0.5],
    cut: [0, 0.3],
    wentOn: snug,
    pace: 1.33,
  },
  {
    of: ledger,
    name: 'Hut ledger, volume 8',
    finished: '2025-10-04',
    seams: [0.4, 0.7],
    cut: [0.3, -0.1],
    wentOn: snug,
    pace: 1.35,
    regrets: [{ piece: 'tie-pair', what: 'ties came undone: an inch longer' }],
  },
  {
    of: prints,
    name: 'Snow profiles, last winter',
    finished: '2025-11-29',
    seams: [0.2, 0.4],
    cut: [-0.2, 0.2],
    wentOn: snug,
    pace: 1.29,
    regrets: [{ piece: 'pocket-patch', what: 'the pocket was limp: interface it' }],
  },
  {
    of: atlas,
    name: 'Star atlas, northern sky',
    finished: '2026-01-10',
    seams: [0.6, 0.3],
    cut: [0.2, 0],
    wentOn: { width: 'easy', height: 'snug' },
    pace: 1.3,
  },
  {
    of: tight,
    name: 'Handbook of the autumn course',
    finished: '2026-02-14',
    seams: [0.5, 0.6],
    cut: [0.4, -0.3],
    wentOn: { width: 'tight-but-goes', height: 'drum-tight' },
    pace: 1.27,
    mended: ['try-in'],
  },
  {
    of: notebook,
    name: 'Notebook for the avalanche pit',
    finished: '2026-03-28',
    seams: [0.3, 0.5],
    cut: [-0.3, 0.1],
    wentOn: snug,
    pace: 1.24,
  },
  {
    of: sleeve,
    finished: '2026-05-16',
    seams: [0.4, 0.6],
    cut: [0.1, -0.2],
    wentOn: snug,
    pace: 1.22,
    more: {
      care: 'Cold wash, flat to dry; the batting comes back.',
      template: { place: 'drawer 2, blue folder', version: 'B' },
    },
  },
  {
    of: notebook,
    finished: '2026-08-08',
    seams: [0.5, 0.2],
    cut: [0.2, 0.2],
    wentOn: snug,
    pace: 1.21,
    more: { threading: 'two turns round the spool pin: the thread is slippery' },
  },
  {
    of: ledger,
    finished: '2026-10-17',
    seams: [0.3, 0.4],
    cut: [-0.1, 0.1],
    wentOn: snug,
    pace: 1.18,
    regrets: [{ piece: 'padding', what: 'the fleece showed at the flap: end it further inside' }],
    more: {
      cost: '18',
      notes: 'Topstitched with the walking foot; no puckers at the ties.',
      reminders: [
        { id: '7f3c1a52-9d0e-4b6a-8c21-5e4f90ab1c37', what: 'Wash it', due: '2026-11-17', done: null },
      ],
    },
  },
]

/** Operations that this maker is slow, or quick, at. */
const hand: Readonly<Partial<Record<StepKind, number>>> = {
  sew: 1,
  topstitch: 1.05,
  cut: 0.78,
  press: 0.8,
  'hand-sew': 1.2,
}
const otherwise = 0.85

/** The past of the demo: what `file` of a demo cover is, by its name, and the id it has on the shelf. */
export function demoMakes(
  covers: readonly { readonly id: string; readonly file: CoverFile }[],
): readonly MakeBody[] {
  return pastMakes.map(make => {
    const cover = covers.find(({ file }) => file.name === make.of)
    if (!cover) throw new Error(`The demo has no cover ${make.of}`)
    return { coverId: make.name === undefined ? cover.id : null, log: logOf(cover.file, make) }
  })
}

function logOf(file: CoverFile, make: PastMake): MakeLog {
  const read = readCover(file)
  if (!read.ok) throw new Error(`The demo cover ${make.of} cannot be planned`)
  const cover = { ...read.value, name: make.name ?? read.value.name }
  const planned = plan(cover)
  const making = planSteps(cover, planned, { say: sayPlainly(cover.unit), hands: usualHands })
  const chance = simulate(cover, { makes: 2000 })?.chance
  const log = beginLog({
    cover,
    planned,
    making,
    progress: noProgress,
    unit: cover.unit,
    finished: make.finished,
    ...(chance !== undefined && { chance }),
  })
  const { cutMm, allowancesMm, seams, edges } = log.planned
  const say = (millimetres: number) => formatLength(mm(millimetres), cover.unit, { finest: 64 })
  const sizes = (['width', 'height'] as const).map((side, at) => {
    const cut = (cutMm[side] ?? 0) + (edges[side] ?? 0) * (make.cut[at] ?? 0)
    const sewn = cut - (allowancesMm[side] ?? 0) - (seams[side] ?? 0) * (make.seams[at] ?? 0)
    return [side, { cut: say(cut), sewn: say(sewn) }] as const
  })
  const isSewn = planned.allowances !== undefined
  return {
    ...log,
    cut: Object.fromEntries(sizes.map(([side, { cut }]) => [side, cut])),
    sewn: isSewn ? Object.fromEntries(sizes.map(([side, { sewn }]) => [side, sewn])) : {},
    wentOn: make.wentOn,
    fit: make.wentOn.width !== 'will-not-go',
    times: making.steps.map(({ id, name, kind, minutes }) => ({
      step: id,
      name,
      kind,
      planned: minutes,
      took: Math.round(minutes * make.pace * (hand[kind] ?? otherwise) * 100) / 100,
    })),
    mends: making.steps.flatMap(({ id, name, check }) =>
      check && make.mended?.includes(id) ? [{ step: id, name, what: check.ifNot, cost: check.cost }] : [],
    ),
    regrets: make.regrets ? [...make.regrets] : [],
    ...make.more,
  }
}
