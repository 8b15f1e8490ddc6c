import { fork, type ChildProcess } from 'node:child_process'
import { join } from 'node:path'

/**
 * Starts a file that stands beside the caller as a process of its own, built or run from its source like the caller. It
 * takes and sends messages, and keeps nobody from ending.
 */
export function startBeside({ dirname, filename }: ImportMeta, name: string): ChildProcess {
  const child = fork(join(dirname, `${name}${filename.endsWith('.ts') ? '.ts' : '.js'}`), {
    serialization: 'advanced',
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  })
  child.unref()
  child.channel?.unref()
  return child
}
