import { isMakeable, plan, planToJson, readCover } from '@snowdrift/core'
import { overOneFile } from './over-one-file.js'
import type { Terminal } from './terminal.js'

/** `plan FILE`: prints the plan of a cover file as JSON; one line on standard error for each problem. */
export function planFile(args: readonly string[], terminal: Terminal): Promise<number> {
  return overOneFile(args, terminal, {
    command: 'plan',
    read: readCover,
    work: cover => {
      const planned = planToJson(plan(cover), cover.unit)
      return { json: planned, isGood: isMakeable(planned) }
    },
  })
}
