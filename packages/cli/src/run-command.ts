import { planFile } from './plan-file.js'
import { nestFile } from './nest-file.js'
import { learnFile } from './learn-file.js'
import { scheduleFile } from './schedule-file.js'
import { stepsFile } from './steps-file.js'
import { simulateFile } from './simulate-file.js'
import { exitCodes, type Terminal } from './terminal.js'
import type * as Export from './export-file.js'

/** What writes paper is read only where it is wanted: the other commands answer at once. */
export type ReadExport = () => Promise<typeof Export>

/** Runs one command of the computation; gives the exit code. */
export async function runCommand(
  command: string,
  args: readonly string[],
  terminal: Terminal,
  readExport: ReadExport,
): Promise<number> {
  if (command === 'plan') return planFile(args, terminal)
  if (command === 'simulate') return simulateFile(args, terminal)
  if (command === 'steps') return stepsFile(args, terminal)
  if (command === 'schedule') return scheduleFile(args, terminal)
  if (command === 'learn') return learnFile(args, terminal)
  if (command === 'nest') return nestFile(args, terminal)
  if (command === 'export') return (await readExport()).exportFile(args, terminal)
  terminal.complain(`snowdrift: there is no command “${command}”.\n`)
  return exitCodes.unusable
}
