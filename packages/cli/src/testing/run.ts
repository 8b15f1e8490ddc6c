import { runCommand } from '../run-command.js'

/** One command with what it reads, and everything that it says. */
export async function run(command: string, args: readonly string[], input = '') {
  const written = { out: '', err: '' }
  const code = await runCommand(command, args, {
    input: (async function* () {
      await Promise.resolve()
      yield input
    })(),
    print: text => (written.out += text),
    complain: text => (written.err += text),
  })
  return { code, ...written }
}
