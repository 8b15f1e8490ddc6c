import {
  checkSimulation,
  formatIssue,
  isUnmakeableBeyondFit,
  mostMakes,
  plan,
  readCover,
  simulate,
  simulationToJson,
  usualMakes,
  usualSeed,
} from '@snowdrift/core'
import { readFlags, type Flag } from './read-flags.js'
import { readJson } from './read-json.js'
import { exitCodes, type Terminal } from './terminal.js'

const usage = 'snowdrift simulate FILE --makes N --seed S (- is standard input)'

const flags: Readonly<Record<'makes' | 'seed', Flag>> = {
  makes: { least: 1, most: mostMakes, usual: usualMakes },
  seed: { least: 0, most: Number.MAX_SAFE_INTEGER, usual: usualSeed },
}

/**
 * `simulate FILE`: prints the chance of fitting as JSON. A cover that will not go is no failure here: the chance is the
 * answer. Anything else that keeps it from being made is.
 */
export async function simulateFile(args: readonly string[], terminal: Terminal): Promise<number> {
  const refuse = (lines: readonly string[]) => {
    terminal.complain(lines.map(line => `${line}\n`).join(''))
    return exitCodes.unusable
  }
  const read = readFlags(args, flags, usage)
  if (!read.ok) return refuse(read.problems)
  const json = await readJson(read.file, terminal)
  if (!json.ok) return refuse([json.message])
  const cover = readCover(json.value)
  if (!cover.ok) return refuse(cover.issues.map(formatIssue))
  const planned = plan(cover.value)
  const said = checkSimulation(cover.value, planned)
  const simulation = said.length > 0 ? undefined : simulate(cover.value, read.flags)
  const findings = [...planned.findings, ...said]
  const printed = simulationToJson(simulation, findings, cover.value.unit)
  terminal.print(JSON.stringify(printed, null, 2) + '\n')
  return isUnmakeableBeyondFit(findings) ? exitCodes.cannotBeMade : exitCodes.done
}
