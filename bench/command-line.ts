import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { variedCover } from './covers.js'
import { quantile, report, timed } from './measure.js'

const commands = [
  { command: 'plan', limit: 1000 },
  { command: 'simulate', limit: 500 },
  { command: 'steps', limit: 500 },
]

/** `./snowdrift plan -` and `simulate -` as a person runs them, start-up included. */
export async function benchCommandLine(): Promise<void> {
  const root = join(import.meta.dirname, '..')
  const input = JSON.stringify(variedCover(1))
  for (const { command, limit } of commands) {
    const run = () => spawnSync('./snowdrift', [command, '-'], { cwd: root, input })
    run()
    const samples: number[] = []
    for (let count = 0; count < 15; count++) samples.push(await timed(run))
    report(`./snowdrift ${command}, warm, median`, quantile(samples, 0.5), 'ms', limit)
  }
}
