import { loadCommands } from './commands.js'

const [command = '', ...args] = process.argv.slice(2)
const terminal = {
  input: process.stdin,
  print: (text: string) => process.stdout.write(text),
  complain: (text: string) => process.stderr.write(text),
}
const { runCommand } = loadCommands().exports
process.exitCode = await runCommand(command, args, terminal, () => import('./export-file.js'))
