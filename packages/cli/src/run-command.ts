import { planFile } from './plan-file.js'
import { nestFile } from './nest-file.js'
import { stepsFile } from './steps-file.js'
import { simulateFile } from './simulate-file.js'
import { exitCodes, type Terminal } from './terminal.js'

const notYet = ['export']

/** Runs one command of the computation; gives the exit code. */
export async function runCommand(
  command: string,
  args: readonly string[],
  terminal: Terminal,
): Promise<number> {
  if (command === 'plan') return planFile(args, terminal)
  if (command === 'simulate') return simulateFile(args, terminal)
  if (command === 'steps') return stepsFile(args, terminal)
  if (command === 'nest') return nestFile(args, terminal)
  terminal.complain(
    notYet.includes(command)
      ? `snowdrift ${command}: not yet. This version plans covers, reckons their chance and lays them out; it cannot ${command} yet.\n`
      : `snowdrift: there is no command “${command}”.\n`,
  )
  return exitCodes.unusable
}
