import {
  extras,
  families,
  plan,
  planSteps,
  readCover,
  sayProperly,
  usualHands,
  type ExportKind,
} from '@snowdrift/core'
import { exportCover } from '@snowdrift/paper'
import { fileFor } from './families.js'
import { quantile, report, timed } from './measure.js'

/** Labels and templates of the cover with the most pieces: every extra that some way of making carries. */
export async function benchPaper(): Promise<void> {
  const made = largest()
  for (const kind of ['labels', 'templates', 'sheet'] as const)
    report(
      `${kind} of a cover of ${made.plan.pieces.length} pieces, median`,
      await median(() => exportCover(kind satisfies ExportKind, made, { withPlain: true })),
      'ms',
      1500,
    )
}

function largest() {
  const [most] = families
    .map(({ id, traits }) => {
      const carried = extras.filter(({ refuses }) => refuses(traits) === undefined)
      const twice = [...carried, ...carried].slice(0, 40).map(({ type }) => ({ type }))
      const read = readCover({ ...fileFor(id), extras: twice })
      if (!read.ok) throw new Error(JSON.stringify(read.issues))
      return { cover: read.value, plan: plan(read.value) }
    })
    .toSorted((one, other) => other.plan.pieces.length - one.plan.pieces.length)
  if (!most) throw new Error('No way of making')
  return { ...most, making: planSteps(most.cover, most.plan, { say: sayProperly('in'), hands: usualHands }) }
}

async function median(work: () => Promise<unknown>): Promise<number> {
  const samples: number[] = []
  for (let turn = 0; turn < 7; turn++) samples.push(await timed(work))
  return quantile(samples, 0.5)
}
