import type { ArchiveNews } from '@snowdrift/core'
import type { Log } from '../log.js'
import { databaseTrouble } from './database-errors.js'
import { detailOf, type Failure } from './problems.js'

/** How much further work is before it is said again. */
const step = 0.02

/**
 * The answer to long work, line by line: how far it is, then what came of it. Whoever asked and goes away has the work
 * given up at its next step.
 */
export function newsOf(
  work: (tell: (part: number) => void) => Promise<ArchiveNews>,
  log: Log,
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder()
  let isLeft = false
  return new ReadableStream<Uint8Array>({
    start: controller => {
      const say = (news: ArchiveNews) => {
        if (!isLeft) controller.enqueue(encoder.encode(`${JSON.stringify(news)}\n`))
      }
      let said = 0
      const tell = (part: number) => {
        if (isLeft) throw new Left()
        if (part - said < step) return
        said = part
        say({ part })
      }
      work(tell)
        .catch((error: unknown): ArchiveNews => {
          if (!(error instanceof Left)) log.error({ error: String(error) }, 'long work failed')
          return { problem: detailOf(failureOf(error, { wrote: true })) }
        })
        .then(news => {
          say(news)
          if (!isLeft) controller.close()
        })
        .catch(() => undefined)
    },
    cancel: () => {
      isLeft = true
    },
  })
}

/** What went wrong with long work, as it is told; of what wrote nobody knows whether it was taken. */
export function failureOf(error: unknown, { wrote }: { readonly wrote: boolean }): Failure {
  const trouble = databaseTrouble(error)
  return trouble === 'away' ? { kind: 'down', wrote } : { kind: trouble ?? 'bug' }
}

/** Whoever asked is gone. */
class Left extends Error {}
