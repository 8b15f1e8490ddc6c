import { formatIssue, isMakeable, plan, planToJson, readCover } from '@snowdrift/core'
import { readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

/** `plan FILE`: prints the plan of a cover file as JSON; one line on standard error for each problem. */
export async function planFile(args: readonly string[], terminal: Terminal): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const [file, ...rest] = args
  if (file === undefined || rest.length > 0)
    return refuse(['Expected one file: snowdrift plan FILE (- is standard input).'])
  const json = await readJson(file, terminal)
  if (!json.ok) return refuse([json.message])
  const cover = readCover(json.value)
  if (!cover.ok) return refuse(cover.issues.map(formatIssue))
  const planned = planToJson(plan(cover.value), cover.value.unit)
  terminal.print(JSON.stringify(planned, null, 2) + '\n')
  return isMakeable(planned) ? exitCodes.done : exitCodes.cannotBeMade
}
