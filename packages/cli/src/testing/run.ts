import { runCommand } from '../run-command.js'

/** One command with what it reads, and everything that it says. */
export async function run(command: string, args: readonly string[], input = '') {
  const written = { out: '', err: '' }
  const terminal = {
    input: (async function* () {
      await Promise.resolve()
      yield input
    })(),
    print: (text: string) => (written.out += text),
    complain: (text: string) => (written.err += text),
  }
  const code = await runCommand(command, args, terminal, () => import('../export-file.js'))
  return { code, ...written }
}
