import { formatIssue, readScheduleRequest, schedule, scheduleToJson } from '@snowdrift/core'
import { manyBytes, readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

/** `schedule FILE`: reads covers and sessions and prints what is done when as JSON. A step that finds no place exits 1 and is named. */
export async function scheduleFile(
  args: readonly string[],
  terminal: Terminal,
  now: () => number = () => performance.now(),
): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const [file, ...rest] = args
  if (file === undefined || rest.length > 0)
    return refuse(['Expected one file: snowdrift schedule FILE (- is standard input).'])
  const json = await readJson(file, terminal, manyBytes)
  if (!json.ok) return refuse([json.message])
  const read = readScheduleRequest(json.value)
  if (!read.ok) return refuse(read.issues.map(formatIssue))
  const { request, budgetMs, offset } = read.value
  const planned = schedule(request, { budgetMs, now })
  terminal.print(JSON.stringify(scheduleToJson(planned, offset), null, 2) + '\n')
  return planned.unplaced.length === 0 ? exitCodes.done : exitCodes.cannotBeMade
}
