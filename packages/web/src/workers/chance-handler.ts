import { plan, readCover, reckonOutcome, simulating, weighRemedies, type Simulation } from '@snowdrift/core'
import type { ChanceReply, ChanceRequest } from './chance-protocol'

/** Works out a request bit by bit: each step gives a reply, between any two of which it may be dropped. */
export function* answerChance({ id, file, whatIf, remedies }: ChanceRequest): Generator<ChanceReply> {
  const read = readCover(file)
  if (!read.ok) {
    yield { id, kind: 'done' }
    return
  }
  const cover = read.value
  const planned = plan(cover)
  const parts = 1 + (whatIf.length > 0 ? 1 : 0) + (remedies ? remedyShare : 0)
  const simulation = yield* inShare(id, simulating(cover, planned, { exactness: remedies }), 0, 1 / parts)
  yield { id, kind: 'chance', simulation }
  let done = 1
  if (whatIf.length > 0) {
    const { plan: changed } = reckonOutcome({ cover, plan: planned }, whatIf)
    const other: Simulation | undefined = yield* inShare(
      id,
      simulating(cover, changed),
      done / parts,
      1 / parts,
    )
    yield { id, kind: 'what-if', simulation: other }
    done += 1
  }
  if (remedies && simulation) {
    const weighed = yield* inShare(
      id,
      weighRemedies(cover, simulation.chance),
      done / parts,
      remedyShare / parts,
    )
    yield { id, kind: 'remedies', remedies: weighed }
  }
  yield { id, kind: 'done' }
}

/** Remedies are half a dozen simulations more. */
const remedyShare = 6

function* inShare<Result>(
  id: number,
  running: Generator<number, Result>,
  from: number,
  part: number,
): Generator<ChanceReply, Result> {
  let step = running.next()
  while (!step.done) {
    yield { id, kind: 'progress', share: from + step.value * part }
    step = running.next()
  }
  return step.value
}
