import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { variedCover } from './covers.js'
import { quantile, report, timed } from './measure.js'

/** `./snowdrift plan -` as a person runs it, start-up included. */
export async function benchCommandLine(): Promise<void> {
  const root = join(import.meta.dirname, '..')
  const input = JSON.stringify(variedCover(1))
  const run = () => spawnSync('./snowdrift', ['plan', '-'], { cwd: root, input })
  run()
  const samples: number[] = []
  for (let count = 0; count < 15; count++) samples.push(await timed(run))
  report('./snowdrift plan, warm, median', quantile(samples, 0.5), 'ms', 1000)
}
