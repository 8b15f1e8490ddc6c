import { planFile } from './plan-file.js'
import { simulateFile } from './simulate-file.js'
import { exitCodes, type Terminal } from './terminal.js'

const notYet = ['nest', 'export']

/** Runs one command of the computation; gives the exit code. */
export async function runCommand(
  command: string,
  args: readonly string[],
  terminal: Terminal,
): Promise<number> {
  if (command === 'plan') return planFile(args, terminal)
  if (command === 'simulate') return simulateFile(args, terminal)
  terminal.complain(
    notYet.includes(command)
      ? `snowdrift ${command}: not yet. This version plans covers and reckons their chance; it cannot ${command} yet.\n`
      : `snowdrift: there is no command “${command}”.\n`,
  )
  return exitCodes.unusable
}
