import {
  formatIssue,
  isMakeable,
  makingToJson,
  plan,
  planSteps,
  planToJson,
  readCover,
  sayPlainly,
  usualHands,
} from '@snowdrift/core'
import { readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

/** `steps FILE`: prints how a cover is made as JSON; exit codes as `plan` has them. */
export async function stepsFile(args: readonly string[], terminal: Terminal): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const [file, ...rest] = args
  if (file === undefined || rest.length > 0)
    return refuse(['Expected one file: snowdrift steps FILE (- is standard input).'])
  const json = await readJson(file, terminal)
  if (!json.ok) return refuse([json.message])
  const read = readCover(json.value)
  if (!read.ok) return refuse(read.issues.map(formatIssue))
  const cover = read.value
  const planned = plan(cover)
  const making = planSteps(cover, planned, { say: sayPlainly(cover.unit), hands: usualHands })
  terminal.print(JSON.stringify(makingToJson(making), null, 2) + '\n')
  return isMakeable(planToJson(planned, cover.unit)) ? exitCodes.done : exitCodes.cannotBeMade
}
