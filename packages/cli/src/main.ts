import { runCommand } from './run-command.js'

const [command = '', ...args] = process.argv.slice(2)
process.exitCode = await runCommand(command, args, {
  input: process.stdin,
  print: text => process.stdout.write(text),
  complain: text => process.stderr.write(text),
})
