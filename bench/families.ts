import {
  extras,
  families,
  findLimit,
  listLimitQuestions,
  listSizingChoices,
  mm,
  plan,
  planSteps,
  readCover,
  sayProperly,
  usualHands,
  type CoverFile,
} from '@snowdrift/core'
import { quantile, report } from './measure.js'

const runs = 200

/** plan() with five extras, comparing recipes and the question turned round: the slowest family of each. */
export function benchFamilies(): void {
  const files = families.map(family => fileFor(family.id))
  const slowest = (work: (file: CoverFile) => () => unknown) =>
    Math.max(...files.map(file => median(work(file))))
  report('plan(), the slowest family with five extras, median', slowest(planning), 'ms', 1)
  report(
    'comparing all recipes, the slowest family, median',
    slowest(file => () => listSizingChoices(file)),
    'ms',
    10,
  )
  report('steps of the largest cover, every extra, median', slowestSteps(), 'ms', 3)
  report('the question turned round, the slowest of all, median', slowestQuestion(files), 'ms', 50)
}

function planning(file: CoverFile): () => unknown {
  const read = readCover(file)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  return () => plan(read.value)
}

/** Of every way of making with every extra that it carries, the one that takes longest. */
function slowestSteps(): number {
  return Math.max(
    ...families.map(({ id, traits }) => {
      const carried = extras.filter(({ refuses }) => refuses(traits) === undefined)
      const read = readCover({ ...fileFor(id), extras: carried.map(({ type }) => ({ type })) })
      if (!read.ok) throw new Error(JSON.stringify(read.issues))
      const planned = plan(read.value)
      return median(() => planSteps(read.value, planned, { say: sayProperly('in'), hands: usualHands }))
    }),
  )
}

function slowestQuestion(files: readonly CoverFile[]): number {
  const sheet = { role: 'outer', width: mm(1100), length: mm(900) } as const
  return Math.max(
    ...files.flatMap(file =>
      listLimitQuestions(file).map(({ question }) => median(() => findLimit(file, question, sheet), 7)),
    ),
  )
}

function median(work: () => unknown, times = runs): number {
  const samples = Array.from({ length: 2 * times }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  })
  return quantile(samples.slice(times), 0.5)
}

export function fileFor(family: string): CoverFile {
  const traits = families.find(({ id }) => id === family)?.traits ?? []
  const carried = extras.filter(({ refuses }) => refuses(traits) === undefined).slice(0, 5)
  return {
    format: 'snowdrift/cover',
    version: 2,
    name: family,
    unit: 'in',
    object: {
      kind: 'planner',
      readings: {
        height: ['9 3/8'],
        width: ['6 5/8'],
        thickness: ['3/4'],
        boardThickness: ['1/8'],
        pageWidth: ['6'],
        pageHeight: ['9'],
        contentsThickness: ['5/8'],
      },
    },
    family,
    layers: [
      { role: 'lining', thickness: '0.28 mm' },
      { role: 'padding', thickness: '3 mm', squash: 0.4, backs: ['outer', 'lining'] },
      { role: 'outer', thickness: '0.5 mm' },
    ],
    cloths: [
      { role: 'outer', name: 'moss', thickness: '0.4 mm', print: 'one-way' },
      { role: 'lining', name: 'fog', thickness: '0.2 mm' },
    ],
    cutFrom: { lining: 'fog', outer: 'moss' },
    extras: carried.map(({ type }) => ({ type })),
  }
}
