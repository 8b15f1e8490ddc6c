import { readScheduleRequest, schedule, scheduleToJson } from '@snowdrift/core'
import { overOneFile } from './over-one-file.js'
import { manyBytes } from './read-json.js'
import type { Terminal } from './terminal.js'

/** `schedule FILE`: reads covers and sessions and prints what is done when as JSON. A step that finds no place exits 1 and is named. */
export function scheduleFile(
  args: readonly string[],
  terminal: Terminal,
  now: () => number = () => performance.now(),
): Promise<number> {
  return overOneFile(args, terminal, {
    command: 'schedule',
    read: readScheduleRequest,
    mostBytes: manyBytes,
    work: ({ request, budgetMs, offset }) => {
      const planned = schedule(request, { budgetMs, now })
      return { json: scheduleToJson(planned, offset), isGood: planned.unplaced.length === 0 }
    },
  })
}
