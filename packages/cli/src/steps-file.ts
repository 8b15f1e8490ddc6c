import {
  isMakeable,
  makingToJson,
  plan,
  planSteps,
  planToJson,
  readCover,
  sayPlainly,
  usualHands,
} from '@snowdrift/core'
import { overOneFile } from './over-one-file.js'
import type { Terminal } from './terminal.js'

/** `steps FILE`: prints how a cover is made as JSON; exit codes as `plan` has them. */
export function stepsFile(args: readonly string[], terminal: Terminal): Promise<number> {
  return overOneFile(args, terminal, {
    command: 'steps',
    read: readCover,
    work: cover => {
      const planned = plan(cover)
      const making = planSteps(cover, planned, { say: sayPlainly(cover.unit), hands: usualHands })
      return { json: makingToJson(making), isGood: isMakeable(planToJson(planned, cover.unit)) }
    },
  })
}
